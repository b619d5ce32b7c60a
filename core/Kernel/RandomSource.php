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
    private const STEPS = 1 << 53;

    /** √3: as far as what is even reaches on either side, in standard deviations. */
    private const EVENLY = 1.7320508;

    private readonly Randomizer $randomizer;

    public function __construct(int $seed)
    {
        $this->randomizer = new Randomizer(new Xoshiro256StarStar($seed));
    }

    /** Evenly spread between two numbers, neither of them reached. */
    public function between(float $least, float $most): float
    {
        return $least + (($most - $least) * ($this->randomizer->getInt(0, self::STEPS - 1) + 0.5)) / self::STEPS;
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
