<?php

declare(strict_types=1);

namespace Ispira\Core\Pages\Shown;

/**
 * A suspect that belongs to another circuit of the machine.
 */
final readonly class LeadOn
{
    public function __construct(public string $part, public string $family, public string $href) {}
}
