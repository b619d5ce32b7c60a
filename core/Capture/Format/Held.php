<?php

declare(strict_types=1);

namespace Ispira\Core\Capture\Format;

use Ispira\Core\Capture\Head;
use Ispira\Core\Capture\SampleStore;

/**
 * Turns changes at odd times into even samples: each value is held until the next.
 */
final class Held
{
    private const BUFFER = 4096;

    /** Samples that a few changes may be spread over, and that any number of them may. */
    private const ENOUGH = [1_000_000, 10_000_000];
    private const EACH = 1000;

    private int $count = 0;

    /** @var array<int, float> */
    private array $values;

    /** @var list<list<float>> */
    private array $waiting;

    public function __construct(
        private readonly SampleStore $store,
        private readonly float $start,
        private readonly float $interval,
        int $channels,
    ) {
        $this->values = array_fill(0, $channels, 0.0);
        $this->waiting = array_fill(0, $channels, []);
    }

    /**
     * Samples to which changes are spread at most: a few lines of text must not become a full disk. Beyond it the
     * interval is no longer chosen to meet every change.
     */
    public static function most(int $changes): int
    {
        return min(self::ENOUGH[1], max(self::ENOUGH[0], $changes * self::EACH));
    }

    /** Value of a channel from a time on. */
    public function set(int $channel, float $value): void
    {
        $this->values[$channel] = $value;
    }

    /** Holds all values up to a time, not including it. */
    public function until(float $time): void
    {
        $end = (int) min(ceil(($time - $this->start) / $this->interval - 1e-6), Head::MOST_SAMPLES + 1);
        while ($this->count < $end) {
            $more = min(self::BUFFER - \count($this->waiting[0]), $end - $this->count);
            foreach ($this->values as $channel => $value) {
                for ($n = 0; $n < $more; ++$n) {
                    $this->waiting[$channel][] = $value;
                }
            }
            $this->count += $more;
            if (\count($this->waiting[0]) >= self::BUFFER) {
                $this->flush();
            }
        }
    }

    /** @return int samples of each channel */
    public function finish(): int
    {
        $this->flush();
        Head::within($this->count);

        return $this->count;
    }

    private function flush(): void
    {
        foreach ($this->waiting as $channel => $values) {
            $this->store->append($channel, $values);
            $this->waiting[$channel] = [];
        }
    }
}
