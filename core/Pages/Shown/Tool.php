<?php

declare(strict_types=1);

namespace Ispira\Core\Pages\Shown;

/**
 * A tool that tests of the circuit need.
 */
final readonly class Tool
{
    public function __construct(public string $key, public string $label, public bool $atHand) {}
}
