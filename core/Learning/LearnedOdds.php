<?php

declare(strict_types=1);

namespace Ispira\Core\Learning;

use Ispira\Core\Device\CircuitModel;
use Ispira\Core\Diagnosis\Inference\HypothesisList;
use Ispira\Core\Diagnosis\Inference\Odds;

/**
 * Odds of a circuit from the proven jobs of its family, and closer from those of its model.
 *
 * What is replaced comes first, and then which fault of it: both begin as shipped. The jobs of the family move them, and
 * what came of it is the expectation that the jobs of the model move. Jobs about parts that this variant does not have
 * say nothing of it.
 */
final readonly class LearnedOdds
{
    /**
     * @param array<string, float> $shipped chance by remedy
     * @param Counted $counted of the family and the model together
     * @param float $strength of what the nearest of these counts moved
     */
    private function __construct(
        private array $shipped,
        private Shrunk $remedies,
        private Counted $counted,
        private float $strength,
        public Odds $odds,
    ) {}

    /**
     * @param Counted $others jobs of the family on other models
     * @param Counted $own    jobs of its model
     */
    public static function of(CircuitModel $circuit, Counted $others, Counted $own = new Counted()): self
    {
        [$remedies, $faults] = self::asShipped($circuit);
        [$others, $own] = [$others->within($remedies), $own->within($remedies)];
        $ofFamily = Shrunk::of($remedies, $others->remedies);
        $ofModel = Shrunk::of($ofFamily->chances, $own->remedies);
        $factors = $within = [];
        foreach ($remedies as $remedy => $chance) {
            $factors[$remedy] = $ofModel->chances[$remedy] / $chance;
            if (\count($faults[$remedy]) > 1) {
                $family = Shrunk::of($faults[$remedy], $others->faults[$remedy] ?? []);
                $learned = Shrunk::of($family->chances, $own->faults[$remedy] ?? []);
                foreach ($learned->chances as $fault => $share) {
                    $within[$remedy][$fault] = $share / $faults[$remedy][$fault];
                }
            }
        }
        $counted = self::together($others, $own);

        return new self(
            $remedies,
            $ofModel,
            $counted,
            $own->remedies === [] ? $ofFamily->strength : $ofModel->strength,
            $counted->remedies === [] ? Odds::shipped() : new Odds($factors, $within),
        );
    }

    /** @return array<string, float> learned chance by remedy */
    public function chances(): array
    {
        return $this->remedies->chances;
    }

    /** @return list<OddsRow> the likeliest first; of what is in no list no job can speak */
    public function rows(): array
    {
        $rows = [];
        foreach (array_diff_key($this->shipped, [HypothesisList::SOMETHING_ELSE => true]) as $remedy => $chance) {
            $own = $this->remedies->chances[$remedy];
            $reach = 1.96 * $this->remedies->spread[$remedy];
            $rows[] = new OddsRow(
                (string) $remedy,
                $chance,
                $own,
                $this->counted->remedies[$remedy] ?? 0.0,
                max(0.0, $own - $reach),
                min(1.0, $own + $reach),
            );
        }
        usort($rows, static fn(OddsRow $a, OddsRow $b): int => [-$a->own, $a->remedy] <=> [-$b->own, $b->remedy]);

        return $rows;
    }

    /** How many jobs were counted. */
    public function jobs(): float
    {
        return $this->counted->jobs();
    }

    /** How many jobs the expectation is worth beside those of the model, or of the family where it has none. */
    public function strength(): float
    {
        return $this->strength;
    }

    private static function together(Counted $a, Counted $b): Counted
    {
        $remedies = $a->remedies;
        foreach ($b->remedies as $remedy => $jobs) {
            $remedies[$remedy] = ($remedies[$remedy] ?? 0.0) + $jobs;
        }

        return new Counted($remedies);
    }

    /** @return array{array<string, float>, array<string, array<string, float>>} by remedy; by fault within it */
    private static function asShipped(CircuitModel $circuit): array
    {
        $remedies = $faults = [];
        foreach (HypothesisList::of($circuit, false) as $hypothesis) {
            $remedy = $hypothesis->remedy();
            $fault = rtrim($hypothesis->faultKey(), '~');
            $remedies[$remedy] = ($remedies[$remedy] ?? 0.0) + $hypothesis->prior;
            $faults[$remedy][$fault] = ($faults[$remedy][$fault] ?? 0.0) + $hypothesis->prior;
        }
        foreach ($faults as $remedy => $shares) {
            $sum = array_sum($shares);
            $faults[$remedy] = array_map(static fn(float $share): float => $share / $sum, $shares);
        }

        return [$remedies, $faults];
    }
}
