<?php

declare(strict_types=1);

namespace Ispira\Core\Pages\Shown;

/**
 * What a tool saves on a complaint like this one.
 */
final readonly class ToolWorth
{
    public function __construct(public string $key, public string $label, public float $saving) {}
}
