<?php

declare(strict_types=1);

namespace Ispira\Core\Capture;

/**
 * The two levels between which a signal goes, from how often each value comes.
 */
final readonly class Levels
{
    private const BINS = 1024;

    /** Bins on either side that count as one place. */
    private const WINDOW = 8;

    /** Difference in V under which nothing goes up and down. */
    private const LEAST_STEP = 0.05;

    /** Share of the whole span that two levels must lie apart. */
    private const APART = 0.3;

    private function __construct(
        public float $low,
        public float $high,
        public float $mean,
        public float $least,
        public float $most,
    ) {}

    /** @throws CaptureError */
    public static function of(SampleStore $store, int $channel): self
    {
        [$least, $most, $sum, $count] = [\INF, -\INF, 0.0, 0];
        foreach ($store->parts($channel) as $values) {
            $least = min($least, min($values));
            $most = max($most, max($values));
            $sum += array_sum($values);
            $count += \count($values);
        }
        if ($count === 0) {
            throw new CaptureError('The channel holds no samples.');
        }
        $mean = $sum / $count;
        if ($most - $least < 1e-12) {
            return new self($least, $least, $mean, $least, $most);
        }
        $bins = array_fill(0, self::BINS, 0);
        $scale = (self::BINS - 1) / ($most - $least);
        foreach ($store->parts($channel) as $values) {
            foreach ($values as $value) {
                ++$bins[(int) (($value - $least) * $scale + 0.5)];
            }
        }
        // Each level is where its half is densest: slopes and overshoot are spread thin.
        $middle = intdiv(self::BINS, 2);
        $low = self::densest(\array_slice($bins, 0, $middle)) / $scale + $least;
        $high = (self::densest(\array_slice($bins, $middle)) + $middle) / $scale + $least;

        return new self($low, $high, $mean, $least, $most);
    }

    /** Whether it goes between two levels at all. */
    public function isPulsed(): bool
    {
        return $this->high - $this->low >= max(self::LEAST_STEP, self::APART * ($this->most - $this->least));
    }

    public function middle(): float
    {
        return 0.5 * ($this->low + $this->high);
    }

    /** @param list<int> $bins */
    private static function densest(array $bins): float
    {
        $most = 0;
        $at = 0.0;
        foreach (array_keys($bins) as $bin) {
            $from = max(0, $bin - self::WINDOW);
            $near = \array_slice($bins, $from, $bin + self::WINDOW + 1 - $from);
            $count = array_sum($near);
            if ($count > $most) {
                $most = $count;
                $sum = 0;
                foreach ($near as $offset => $one) {
                    $sum += ($from + $offset) * $one;
                }
                $at = $sum / $count;
            }
        }

        return $at;
    }
}
