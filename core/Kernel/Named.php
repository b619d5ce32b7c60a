<?php

declare(strict_types=1);

namespace Ispira\Core\Kernel;

/**
 * Something with a key, and what it is called.
 */
final readonly class Named
{
    public function __construct(public string $key, public string $label) {}
}
