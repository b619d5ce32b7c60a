<?php

declare(strict_types=1);

namespace Ispira\Core\Diagnosis;

use Ispira\Core\Circuit\CircuitSolver;
use Ispira\Core\Family\CircuitModel;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;

/**
 * Draws of the unknown component values, common to all hypotheses.
 *
 * A Latin hypercube: each unknown visits each of its equally likely layers once, in an
 * order of its own. The seed is fixed, so that the same circuit is always judged alike.
 */
final readonly class DrawnValues
{
    public const COUNT = 24;
    private const SEED = 20240613;

    /** @param list<list<float>> $vectors element parameters in the solver's order, one list a draw */
    private function __construct(public array $vectors)
    {
    }

    public static function of(CircuitModel $circuit, CircuitSolver $solver): self
    {
        $random = new Randomizer(new Xoshiro256StarStar(self::SEED));
        $layers = [];
        foreach ($circuit->unknowns as $unknown) {
            $layers[$unknown->name] = $random->shuffleArray(range(0, self::COUNT - 1));
        }
        $deviates = array_map(static fn (int $layer): float => self::normalQuantile(($layer + 0.5) / self::COUNT), range(0, self::COUNT - 1));
        $vectors = [];
        for ($draw = 0; $draw < self::COUNT; ++$draw) {
            $values = [];
            foreach ($circuit->unknowns as $unknown) {
                $values[$unknown->name] = $unknown->at($deviates[$layers[$unknown->name][$draw]]);
            }
            $vectors[] = self::vector($circuit, $solver, $values);
        }

        return new self($vectors);
    }

    /**
     * One draw, for a simulated unit.
     *
     * @param \Closure(): float $normal gives standard normal deviates
     */
    public static function single(CircuitModel $circuit, CircuitSolver $solver, \Closure $normal): self
    {
        $values = [];
        foreach ($circuit->unknowns as $unknown) {
            $values[$unknown->name] = $unknown->at(max(-3.0, min(3.0, $normal())));
        }

        return new self([self::vector($circuit, $solver, $values)]);
    }

    /**
     * @param array<string, float> $unknowns
     *
     * @return list<float>
     */
    private static function vector(CircuitModel $circuit, CircuitSolver $solver, array $unknowns): array
    {
        $vector = $solver->nominalValues();
        foreach (($circuit->assign)($unknowns) as $parameter => $value) {
            $vector[$solver->slot($parameter)] = $value;
        }

        return array_values($vector);
    }

    /** Inverse of the standard normal distribution, by bisection on its integral. */
    private static function normalQuantile(float $probability): float
    {
        $low = -6.0;
        $high = 6.0;
        for ($i = 0; $i < 50; ++$i) {
            $middle = ($low + $high) / 2.0;
            if (self::normalIntegral($middle) < $probability) {
                $low = $middle;
            } else {
                $high = $middle;
            }
        }

        return ($low + $high) / 2.0;
    }

    /** Φ(x) by the rational approximation of Abramowitz and Stegun 26.2.17, good to 7.5e-8. */
    private static function normalIntegral(float $x): float
    {
        $t = 1.0 / (1.0 + 0.2316419 * abs($x));
        $polynomial = $t * (0.319381530 + $t * (-0.356563782 + $t * (1.781477937 + $t * (-1.821255978 + $t * 1.330274429))));
        $tail = exp(-$x * $x / 2.0) / sqrt(2.0 * \M_PI) * $polynomial;

        return $x >= 0.0 ? 1.0 - $tail : $tail;
    }
}
