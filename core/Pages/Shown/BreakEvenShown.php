<?php

declare(strict_types=1);

namespace Ispira\Core\Pages\Shown;

/**
 * When a tool has paid for itself.
 */
final readonly class BreakEvenShown
{
    public function __construct(
        public string $tool,
        public string $label,
        public string $price,
        public string $perYear,
        public string $typed,
        public float $saving,
        public ?int $jobs,
        public ?float $months,
    ) {}
}
