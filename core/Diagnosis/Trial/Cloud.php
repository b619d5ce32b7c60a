<?php

declare(strict_types=1);

namespace Ispira\Core\Diagnosis\Trial;

use Ispira\Core\Diagnosis\Inference\Hypothesis;
use Ispira\Core\Kernel\RandomSource;

/**
 * Machines with one fault that come to fit what was read, see {@see IdealObserver}.
 */
final class Cloud
{
    /** Moves of each machine on a rung, share of sides that one changes, and the share of moves that should be taken. */
    private const MOVES = 2;
    private const SIDES_MOVED = 0.3;
    private const TAKEN = 0.3;

    /** Natural logarithm of how likely the readings are with this fault, as far as they count by now. */
    public float $evidence = 0.0;

    private float $counted = 0.0;

    /** Longest step along a side of the cube; learned. */
    private float $step = 0.3;

    /** @var non-empty-list<list<float>> */
    private array $points;

    /** @var non-empty-list<float> natural logarithms of their likelihoods */
    private array $fits;

    public function __construct(
        private readonly ForeignLikelihood $likelihood,
        private readonly Hypothesis $hypothesis,
        private readonly RandomSource $chance,
        int $machines,
    ) {
        $points = $fits = [];
        do {
            $point = [];
            for ($side = 0; $side < $likelihood->sides(); ++$side) {
                $point[] = $chance->between(0.0, 1.0);
            }
            $points[] = $point;
            $fits[] = $likelihood->at($point, $hypothesis);
        } while (\count($points) < $machines);
        $this->points = $points;
        $this->fits = $fits;
    }

    /**
     * Counts the readings for more, draws the machines anew by how they fit, and moves them.
     *
     * @param float $count share of the readings' weight from here on, 1 for all of it, after which nothing has to move
     */
    public function climb(float $count): void
    {
        $best = max($this->fits);
        $weights = array_map(fn(float $fit): float => exp(($count - $this->counted) * ($fit - $best)), $this->fits);
        $this->evidence += ($count - $this->counted) * $best + log(array_sum($weights) / \count($weights));
        $this->counted = $count;
        $this->drawAnew($weights);
        for ($move = 0; $count < 1.0 && $move < self::MOVES; ++$move) {
            $moved = 0;
            $points = $fits = [];
            foreach ($this->points as $number => $point) {
                $to = $this->moved($point, $this->fits[$number]);
                $moved += (int) ($to !== null);
                [$points[], $fits[]] = $to ?? [$point, $this->fits[$number]];
            }
            $this->points = $points;
            $this->fits = $fits;
            $this->step = max(0.005, min(0.7, $this->step * exp($moved / \count($this->points) - self::TAKEN)));
        }
    }

    /**
     * Systematically (Kitagawa 1996).
     *
     * @param non-empty-list<float> $weights
     */
    private function drawAnew(array $weights): void
    {
        $each = array_sum($weights) / \count($weights);
        $at = $each * $this->chance->between(0.0, 1.0);
        $points = $fits = [];
        $sum = $weights[0];
        $number = 0;
        do {
            // Rounding may leave the last of them a little under its sum.
            while ($sum < $at && $number < \count($weights) - 1) {
                $sum += $weights[++$number];
            }
            $points[] = $this->points[$number];
            $fits[] = $this->fits[$number];
            $at += $each;
        } while (\count($points) < \count($weights));
        $this->points = $points;
        $this->fits = $fits;
    }

    /**
     * A step of Metropolis's, thrown back by the walls of the cube.
     *
     * @param list<float> $from
     *
     * @return array{list<float>, float}|null where to and how that fits; null where it stays
     */
    private function moved(array $from, float $fit): ?array
    {
        $to = [];
        foreach ($from as $at) {
            if ($this->chance->happens(self::SIDES_MOVED)) {
                $at = abs($at + $this->step * $this->chance->between(-1.0, 1.0));
                $at = $at > 1.0 ? 2.0 - $at : $at;
            }
            $to[] = $at;
        }
        $fits = $this->likelihood->at($to, $this->hypothesis);

        return log($this->chance->between(0.0, 1.0)) < $this->counted * ($fits - $fit) ? [$to, $fits] : null;
    }
}
