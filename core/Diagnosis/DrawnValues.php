<?php

declare(strict_types=1);

namespace Ispira\Core\Diagnosis;

use Ispira\Core\Circuit\Solver;
use Ispira\Core\Family\CircuitModel;

/**
 * Draws of the unknown component values, common to all hypotheses.
 *
 * The two-level design of Plackett and Burman (1946) for up to 23 unknowns: every unknown
 * stands one deviation above its middle in half of the draws and one below in the other
 * half, and any two of them are uncorrelated over the 24 draws, so that no reading seems to
 * teach what it cannot.
 */
final readonly class DrawnValues
{
    public const COUNT = 24;
    private const FIRST_ROW = '+++++-+-++--++--+-+----';

    /** @param list<list<float>> $vectors element parameters in the solver's order, one list a draw */
    private function __construct(public array $vectors)
    {
    }

    public static function of(CircuitModel $circuit, Solver $solver): self
    {
        $vectors = [];
        for ($draw = 0; $draw < self::COUNT; ++$draw) {
            $values = [];
            foreach ($circuit->unknowns as $number => $unknown) {
                $values[$unknown->name] = $unknown->at(self::level($draw, $number % (self::COUNT - 1)));
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
    public static function single(CircuitModel $circuit, Solver $solver, \Closure $normal): self
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
    private static function vector(CircuitModel $circuit, Solver $solver, array $unknowns): array
    {
        $vector = $solver->nominalValues();
        foreach (($circuit->assign)($unknowns) as $parameter => $value) {
            $vector[$solver->slot($parameter)] = $value;
        }

        return array_values($vector);
    }

    /** Each row but the last is the row before, shifted by one; the last is all minus. */
    private static function level(int $draw, int $unknown): float
    {
        $places = self::COUNT - 1;

        return $draw < $places && self::FIRST_ROW[($unknown - $draw + $places) % $places] === '+' ? 1.0 : -1.0;
    }
}
