<?php

declare(strict_types=1);

namespace Ispira\Core\Pages\Shown;

/**
 * A part that may be kept running for some days.
 */
final readonly class TemporaryShown
{
    /**
     * @param list<string> $cautions
     * @param list<string> $steps
     */
    public function __construct(
        public string $part,
        public string $name,
        public string $days,
        public string $latest,
        public ?string $objection,
        public array $cautions,
        public array $steps,
    ) {}
}
