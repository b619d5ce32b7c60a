<?php

declare(strict_types=1);

namespace Ispira\Core\Capture;

/**
 * What a row of pulses is: how often, how wide, how even, and what is amiss in it.
 */
final readonly class Pulses
{
    /** Share of the period under which a pulse that does not come every period is a bounce. */
    private const BOUNCE = 0.12;

    /** Periods over the usual one from which pulses are missing. */
    private const MISSING_FROM = 1.6;

    /**
     * @param float|null $frequency in Hz; null without pulses
     * @param float|null $duty      share of the time that it is high, in %
     * @param float|null $jitter    standard deviation of the periods over their mean, in %
     * @param int        $periods   whole ones that were measured
     * @param int        $missing   pulses that should have come in the gaps
     * @param int        $bounces   edges that belong to the contact and not to the signal
     * @param bool|null  $activeHigh whether it is high that does something, told by where it rests; null where that
     *     cannot be told
     * @param float|null $longest   longest time between an edge up and the next, in s
     */
    private function __construct(
        public float $low,
        public float $high,
        public float $mean,
        public ?float $frequency = null,
        public ?float $duty = null,
        public ?float $jitter = null,
        public int $periods = 0,
        public int $missing = 0,
        public int $bounces = 0,
        public ?bool $activeHigh = null,
        public ?float $longest = null,
    ) {}

    /** @throws CaptureError */
    public static function of(SampleStore $store, int $channel): self
    {
        $levels = Levels::of($store, $channel);
        if (!$levels->isPulsed()) {
            return new self($levels->mean, $levels->mean, $levels->mean);
        }
        $edges = Edges::of($store, $channel, $levels);
        [$ups, $downs, $bounces] = self::cleaned($edges);
        if (\count($ups) < 2 || \count($downs) < 1) {
            return new self($levels->low, $levels->high, $levels->mean, bounces: $bounces);
        }
        $periods = $highs = [];
        $down = 0;
        $last = \count($ups) - 1;
        $most = \count($downs);
        for ($n = 0; $n < $last; ++$n) {
            while ($down < $most && $downs[$down] < $ups[$n]) {
                ++$down;
            }
            if ($down < $most && $downs[$down] < $ups[$n + 1]) {
                $periods[] = $ups[$n + 1] - $ups[$n];
                $highs[] = $downs[$down] - $ups[$n];
            }
        }
        if ($periods === []) {
            return new self($levels->low, $levels->high, $levels->mean, bounces: $bounces);
        }
        $usual = self::usual($periods);
        $missing = 0;
        $longest = 0.0;
        $restsLow = $restsHigh = 0.0;
        [$sum, $squares, $highSum, $count] = [0.0, 0.0, 0.0, 0];
        foreach ($periods as $n => $period) {
            $longest = max($longest, $period);
            if ($period > self::MISSING_FROM * $usual) {
                $missing += max(1, (int) round($period / $usual) - 1);
                $restsHigh += $highs[$n];
                $restsLow += $period - $highs[$n];
                continue;
            }
            $sum += $period;
            $squares += $period * $period;
            $highSum += $highs[$n];
            ++$count;
        }
        if ($count === 0) {
            return new self($levels->low, $levels->high, $levels->mean, bounces: $bounces);
        }
        $mean = $sum / $count;

        return new self(
            $levels->low,
            $levels->high,
            $levels->mean,
            1.0 / $mean,
            (100.0 * $highSum) / $sum,
            (100.0 * sqrt(max(0.0, $squares / $count - $mean * $mean))) / $mean,
            $count,
            $missing,
            $bounces,
            $missing === 0 ? null : $restsLow > $restsHigh,
            $longest,
        );
    }

    public function isPulsed(): bool
    {
        return $this->frequency !== null;
    }

    /** @param array<string, float|int|bool|null> $data as of {@see toArray()} */
    public static function fromArray(array $data): self
    {
        $number = static fn(string $key): ?float => \is_int($data[$key] ?? null) || \is_float($data[$key] ?? null)
            ? (float) $data[$key]
            : null;
        $high = $data['activeHigh'] ?? null;

        return new self(
            $number('low') ?? 0.0,
            $number('high') ?? 0.0,
            $number('mean') ?? 0.0,
            $number('frequency'),
            $number('duty'),
            $number('jitter'),
            (int) $number('periods'),
            (int) $number('missing'),
            (int) $number('bounces'),
            \is_bool($high) ? $high : null,
            $number('longest'),
        );
    }

    /** @return array<string, float|int|bool|null> */
    public function toArray(): array
    {
        /** @var array<string, float|int|bool|null> $own */
        $own = get_object_vars($this);

        return $own;
    }

    /**
     * Edges without those of bouncing contacts.
     *
     * @return array{0: list<float>, 1: list<float>, 2: int} edges up, edges down, and how many were taken out
     */
    private static function cleaned(Edges $edges): array
    {
        $times = $edges->times;
        $up = $edges->startsUp;
        $ups = $downs = $spacings = [];
        $count = \count($times);
        for ($n = 0; $n + 2 < $count; $n += 2) {
            $spacings[] = $times[$n + 2] - $times[$n];
        }
        $least = $spacings === [] ? 0.0 : self::BOUNCE * self::usual($spacings);
        $clean = self::settled($times, $least, self::ownWidths($times, 2.0 * $least));
        $out = \count($times) - \count($clean);
        foreach ($clean as $time) {
            if ($up) {
                $ups[] = $time;
            } else {
                $downs[] = $time;
            }
            $up = !$up;
        }

        return [$ups, $downs, $out];
    }

    /**
     * Whether every other spacing, from the first and from the second on, is usually narrower than a width: then so is
     * the signal.
     *
     * @param list<float> $times
     *
     * @return array{0: bool, 1: bool}
     */
    private static function ownWidths(array $times, float $width): array
    {
        $narrow = $all = [0, 0];
        for ($n = 1, $count = \count($times); $n < $count; ++$n) {
            $side = ($n - 1) % 2;
            ++$all[$side];
            $narrow[$side] += $width > $times[$n] - $times[$n - 1] ? 1 : 0;
        }

        return [$narrow[0] > 0.5 * $all[0], $narrow[1] > 0.5 * $all[1]];
    }

    /**
     * Quick edges in a row are one change at the first of them when they are odd in number, and none when even;
     * two alone that are as narrow as the signal's own pulses stay.
     *
     * @param list<float>             $times
     * @param array{0: bool, 1: bool} $own
     *
     * @return list<float>
     */
    private static function settled(array $times, float $least, array $own): array
    {
        $clean = [];
        $row = [];
        foreach ([...$times, \INF] as $n => $time) {
            $before = end($row);
            if ($before !== false && $time - $before >= $least) {
                $quick = \count($row);
                if ($quick % 2 === 1) {
                    $clean[] = $row[0];
                } elseif ($quick === 2 && $own[($n - 2) % 2]) {
                    $clean[] = $row[0];
                    $clean[] = $row[1];
                }
                $row = [];
            }
            $row[] = $time;
        }

        return $clean;
    }

    /**
     * The spacing in which half of the time is spent: short bounces and few long gaps do not move it.
     *
     * @param non-empty-list<float> $spacings
     */
    private static function usual(array $spacings): float
    {
        sort($spacings);
        $half = 0.5 * array_sum($spacings);
        $sum = 0.0;
        foreach ($spacings as $spacing) {
            $sum += $spacing;
            if ($sum >= $half) {
                return $spacing;
            }
        }

        return $spacings[0];
    }
}
