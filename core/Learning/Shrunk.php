<?php

declare(strict_types=1);

namespace Ispira\Core\Learning;

/**
 * Chances that begin as they are expected and are moved by counts, the more of them there are the further.
 *
 * How much an expectation weighs against counts is not known beforehand: it is a mixture of Dirichlet distributions
 * of several strengths, each weighed by how well it foretold the counts (the Dirichlet-multinomial likelihood). Counts
 * that look like the expectation leave it alone; counts that part from it move it sooner.
 */
final readonly class Shrunk
{
    /**
     * How many jobs an expectation may be worth, and how likely each is before any count: the trade's odds are mostly
     * right, so that each is twice as likely as the next weaker one.
     */
    private const STRENGTHS = [15.0, 40.0, 120.0, 400.0, 2000.0];
    private const BEFOREHAND = [1.0, 2.0, 4.0, 8.0, 16.0];

    /**
     * @param array<string, float> $chances by key, adding up to 1
     * @param float $strength how many jobs the expectation is worth, on average over the mixture
     * @param float $counted how many jobs were counted
     * @param array<string, float> $spread standard deviation of each chance
     */
    private function __construct(
        public array $chances,
        public float $strength,
        public float $counted,
        public array $spread,
    ) {}

    /**
     * @param array<string, float> $expected chances by key, positive and adding up to 1
     * @param array<string, float> $counts of the same keys; others are left out
     */
    public static function of(array $expected, array $counts): self
    {
        $counts = array_intersect_key($counts, $expected);
        $all = array_sum($counts);
        $weights = [];
        foreach (self::STRENGTHS as $number => $strength) {
            $weights[$number] =
                log(self::BEFOREHAND[$number]) + self::likelihood($expected, $counts, $strength, (float) $all);
        }
        $most = max($weights);
        $weights = array_map(static fn(float $one): float => exp($one - $most), $weights);
        $total = array_sum($weights);
        $chances = $squares = array_fill_keys(array_keys($expected), 0.0);
        $mean = 0.0;
        foreach (self::STRENGTHS as $number => $strength) {
            $weight = $weights[$number] / $total;
            $mean += $weight * $strength;
            foreach ($expected as $key => $share) {
                $chance = ($strength * $share + ($counts[$key] ?? 0.0)) / ($strength + $all);
                $chances[$key] += $weight * $chance;
                $squares[$key] += $weight * ($chance ** 2 + ($chance * (1.0 - $chance)) / ($strength + $all + 1.0));
            }
        }
        $spread = [];
        foreach ($chances as $key => $chance) {
            $spread[$key] = sqrt(max(0.0, $squares[$key] - $chance ** 2));
        }

        return new self($chances, $mean, (float) $all, $spread);
    }

    /**
     * @param array<string, float> $expected
     * @param array<string, float> $counts
     */
    private static function likelihood(array $expected, array $counts, float $strength, float $all): float
    {
        $sum = LogGamma::of($strength) - LogGamma::of($strength + $all);
        foreach ($counts as $key => $count) {
            $own = $strength * $expected[$key];
            $sum += LogGamma::of($own + $count) - LogGamma::of($own);
        }

        return $sum;
    }
}
