<?php

declare(strict_types=1);

namespace Ispira\Core\Planning\HeatCycle;

/**
 * Delays without a trip, over at least four cycles at the shortest off time.
 */
final readonly class DelayWindow
{
    private const LEAST_CYCLES = 4;
    private const RESOLUTION = 0.5;

    /** Longest delays tried, in s. */
    private const MOST_START = 180.0;
    private const MOST_RUN_ON = 300.0;

    public function __construct(private Furnace $furnace, private Calls $calls) {}

    public function trips(FanControl $control): bool
    {
        $calls = new Calls(
            $this->calls->on,
            $this->calls->off,
            max(self::LEAST_CYCLES, $this->calls->cycles),
            1,
            $this->calls->limitRunsFan,
        );

        return (new HeatCycleSimulation($this->furnace, $control, $calls, 5.0))->run(false, true)->trips !== [];
    }

    /** Least run-on without a trip, in s; null when none up to five minutes is enough. */
    public function leastRunOn(float $startDelay): ?float
    {
        return $this->trips(new FanControl($startDelay, self::MOST_RUN_ON))
            ? null
            : $this->boundary(
                fn(float $runOn): bool => $this->trips(new FanControl($startDelay, $runOn)),
                0.0,
                self::MOST_RUN_ON,
            );
    }

    /** Longest start delay without a trip, in s; null when even none trips. */
    public function longestStart(float $runOn): ?float
    {
        if ($this->trips(new FanControl(0.0, $runOn))) {
            return null;
        }
        $latest = min(self::MOST_START, $this->calls->on - 1.0);

        return $this->trips(new FanControl($latest, $runOn))
            ? $this->boundary(fn(float $start): bool => !$this->trips(new FanControl($start, $runOn)), 0.0, $latest) -
                    self::RESOLUTION
            : $latest;
    }

    /** @param \Closure(float): bool $before true below the boundary */
    private function boundary(\Closure $before, float $low, float $high): float
    {
        if (!$before($low)) {
            return $low;
        }
        while ($high - $low > self::RESOLUTION) {
            $middle = 0.5 * ($low + $high);
            [$low, $high] = $before($middle) ? [$middle, $high] : [$low, $middle];
        }

        return $high;
    }
}
