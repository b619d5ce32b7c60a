<?php

declare(strict_types=1);

namespace Ispira\Core\Capture;

use Ispira\Core\Kernel\RandomSource;

/**
 * Makes captures of pulses as a scope would take them.
 */
final readonly class SimulatedScope
{
    /**
     * @param float $rate      samples a second
     * @param float $frequency in Hz; 0 for a level that rests
     * @param float $duty      share of the time that it is high, in %
     * @param float $low       V
     * @param float $high      V
     * @param float $rise      time from one level to the other, in s
     * @param float $noise     standard deviation in V
     * @param float $jitter    standard deviation of the edges, as a part of the period
     * @param int   $skips     one pulse of so many does not come; 0 for none
     * @param float $phase     part of the period that has passed at the first sample
     */
    public function __construct(
        private float $rate,
        private float $frequency,
        private float $duty,
        private float $low = 0.0,
        private float $high = 12.0,
        private float $rise = 0.0,
        private float $noise = 0.0,
        private float $jitter = 0.0,
        private int $skips = 0,
        private float $phase = 0.3,
        private RandomSource $chance = new RandomSource(1),
    ) {}

    /**
     * The samples, some thousand at a time.
     *
     * @return \Generator<int, list<float>>
     */
    public function parts(int $count): \Generator
    {
        $values = [];
        $pulse = (int) floor($this->phase);
        [$up, $down] = $this->edges($pulse);
        $fallen = -\INF;
        for ($n = 0; $n < $count; ++$n) {
            $value = $this->low;
            if ($this->frequency > 0.0) {
                $time = $n / $this->rate + $this->phase / $this->frequency;
                while ($time >= ($pulse + 1) / $this->frequency) {
                    $fallen = $this->isSkipped($pulse) ? -\INF : $down;
                    [$up, $down] = $this->edges(++$pulse);
                }
                // The pulse before may still be falling.
                $share = 1.0 - self::ramp($time - $fallen, $this->rise);
                if (!$this->isSkipped($pulse)) {
                    $share += self::ramp($time - $up, $this->rise) - self::ramp($time - $down, $this->rise);
                }
                $value += $share * ($this->high - $this->low);
            } elseif ($this->duty >= 50.0) {
                $value = $this->high;
            }
            $values[] = $this->noise > 0.0 ? $value + $this->noise * $this->chance->normal() : $value;
            if (\count($values) === 4096) {
                yield $values;
                $values = [];
            }
        }
        if ($values !== []) {
            yield $values;
        }
    }

    /** Puts a capture of so many samples into a store. */
    public function into(SampleStore $store, int $count, string $name = 'channel 1'): Head
    {
        foreach ($this->parts($count) as $values) {
            $store->append(0, $values);
        }
        $head = new Head([$name], ['V'], 1.0 / $this->rate, 0.0, $count);
        $store->finish($head);

        return $head;
    }

    /** @return array{0: float, 1: float} when the pulse begins to rise and to fall, in s */
    private function edges(int $pulse): array
    {
        if ($this->frequency <= 0.0) {
            return [\INF, \INF];
        }
        $shake = fn(): float => $this->jitter > 0.0 ? $this->jitter * $this->chance->normal() : 0.0;
        $width = $this->duty / 100.0;
        $begin = $pulse + 0.5 * (1.0 - $width);

        return [($begin + $shake()) / $this->frequency, ($begin + $width + $shake()) / $this->frequency];
    }

    private function isSkipped(int $pulse): bool
    {
        return $this->skips > 0 && $pulse % $this->skips === $this->skips - 1;
    }

    private static function ramp(float $since, float $rise): float
    {
        return $since <= 0.0 ? 0.0 : ($since >= $rise ? 1.0 : $since / $rise);
    }
}
