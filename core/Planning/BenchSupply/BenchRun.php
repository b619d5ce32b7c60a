<?php

declare(strict_types=1);

namespace Ispira\Core\Planning\BenchSupply;

/**
 * What a five-wire motor did alone on a bench supply.
 */
final readonly class BenchRun
{
    /**
     * @param float|null $startsAt command in V at which it began to turn; null when it never did
     * @param list<array{0: float, 1: float}> $points command in V and rpm, by rising command
     * @param bool $steady  whether the feedback came without gaps
     * @param bool $smooth  whether it ran without noise and ran down smoothly
     * @param bool $loaded  whether its wheel was on
     */
    public function __construct(
        public ?float $startsAt,
        public array $points,
        public bool $steady,
        public bool $smooth,
        public bool $loaded,
    ) {}

    /** Turns a minute from pulses a second. @param float $pulses a turn, above zero */
    public static function rpm(float $hertz, float $pulses): float
    {
        return (60.0 * $hertz) / $pulses;
    }

    /** Speed at a command, straight between its points; null outside them. */
    public function rpmAt(float $volts): ?float
    {
        $before = null;
        foreach ($this->points as $point) {
            if ($volts <= $point[0]) {
                if ($before === null) {
                    return $volts < $point[0] ? null : $point[1];
                }

                return $before[1] + (($point[1] - $before[1]) * ($volts - $before[0])) / ($point[0] - $before[0]);
            }
            $before = $point;
        }

        return null;
    }
}
