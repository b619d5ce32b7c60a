<?php

declare(strict_types=1);

namespace Ispira\Core\Job\Shown;

/**
 * What the diagnosis said when a part was replaced.
 */
final readonly class VerdictThen
{
    /**
     * @param string|null $label null where nothing was sure
     * @param float $guessing money that buying on the map alone would have wasted on average
     * @param list<string> $reasons
     */
    public function __construct(
        public ?string $label,
        public ?float $probability,
        public float $guessing,
        public array $reasons,
    ) {}
}
