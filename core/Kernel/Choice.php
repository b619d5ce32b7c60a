<?php

declare(strict_types=1);

namespace Ispira\Core\Kernel;

/**
 * One answer out of several, and what it is called.
 */
final readonly class Choice
{
    public function __construct(public string $value, public string $label) {}
}
