<?php

declare(strict_types=1);

namespace Ispira\Core\Kernel;

use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;

/**
 * Repeatable chance: the same seed gives the same numbers on every machine.
 */
final class RandomSource
{
    /** 2^53: as many numbers as a float tells apart between 0 and 1. */
    private const STEPS = 9_007_199_254_740_992.0;

    /** 2^32: what the upper half of a number of 64 bits counts. */
    private const HALF = 4_294_967_296.0;

    /** √3: as far as what is even reaches on either side, in standard deviations. */
    public const EVENLY = 1.7320508;

    private readonly Xoshiro256StarStar $engine;

    private readonly Randomizer $randomizer;

    public function __construct(int $seed)
    {
        $this->engine = new Xoshiro256StarStar($seed);
        $this->randomizer = new Randomizer($this->engine);
    }

    /** Evenly spread between two numbers, neither of them reached. */
    public function between(float $least, float $most): float
    {
        return $least + (($most - $least) * ($this->step() + 0.5)) / self::STEPS;
    }

    /** One of the STEPS from 0; put together of two halves, so that a PHP of 32 bits finds the same. */
    private function step(): float
    {
        $bytes = $this->engine->generate();
        $low = \ord($bytes[0]) + 256.0 * (\ord($bytes[1]) + 256.0 * (\ord($bytes[2]) + 256.0 * \ord($bytes[3])));
        // 53 bits: of the upper half the lowest 21.
        $high = \ord($bytes[4]) + 256.0 * (\ord($bytes[5]) + 256.0 * (\ord($bytes[6]) & 0x1f));

        return $low + self::HALF * $high;
    }

    /** Evenly spread around nothing, with a standard deviation of one. */
    public function even(): float
    {
        return self::EVENLY * $this->between(-1.0, 1.0);
    }

    public function happens(float $probability): bool
    {
        return $this->between(0.0, 1.0) < $probability;
    }

    /** Standard normal deviate (Box and Muller 1958). */
    public function normal(): float
    {
        return sqrt(-2.0 * log($this->between(0.0, 1.0))) * cos(2.0 * \M_PI * $this->between(0.0, 1.0));
    }

    /**
     * @template T
     *
     * @param list<T> $items
     *
     * @return list<T>
     */
    public function shuffled(array $items): array
    {
        return $this->randomizer->shuffleArray($items);
    }

    /** @param array<string, float> $weights at least one */
    public function pick(array $weights): string
    {
        $left = $this->between(0.0, array_sum($weights));
        foreach ($weights as $item => $weight) {
            $left -= $weight;
            if ($left <= 0.0) {
                return (string) $item;
            }
        }

        return (string) array_key_last($weights);
    }
}
