<?php

declare(strict_types=1);

namespace Ispira\Core\Pages\Shown;

/**
 * What the new part showed.
 */
final readonly class PartMeasured
{
    public function __construct(
        public string $id,
        public string $title,
        public bool $right,
        public string $expected,
        public ?string $reason,
    ) {}
}
