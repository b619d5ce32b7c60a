<?php

declare(strict_types=1);

namespace App\Captures;

/**
 * A capture of a scope.
 */
final readonly class CaptureShown
{
    /**
     * @param list<string> $repairs
     * @param list<ChannelShown> $channels
     */
    public function __construct(
        public string $id,
        public string $name,
        public ?string $position,
        public ?string $positionLabel,
        public string $takenAt,
        public int $count,
        public float $interval,
        public float $start,
        public array $repairs,
        public array $channels,
    ) {}
}
