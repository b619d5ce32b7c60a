<?php

declare(strict_types=1);

namespace App\Captures;

use Ispira\Core\Capture\Pulses;

/**
 * A channel of a capture.
 */
final readonly class ChannelShown
{
    /**
     * @param list<ChannelReading> $readings
     */
    public function __construct(
        public string $name,
        public string $unit,
        public ?Pulses $pulses,
        public array $readings,
    ) {}
}
