<?php

declare(strict_types=1);

namespace Ispira\Core\Diagnosis;

use Ispira\Core\Circuit\Solver;
use Ispira\Core\Family\CircuitModel;

/**
 * Draws of the unknown component values, common to all hypotheses.
 *
 * The smallest of the two-level designs of Plackett and Burman (1946) that has room for all
 * unknowns: every unknown stands one deviation above its middle in half of the draws and one
 * below in the other half, and any two of them are uncorrelated over the draws, so that no
 * reading seems to teach what it cannot.
 */
final readonly class DrawnValues
{
    /** First rows of the designs for up to 7, 11, 15, 19 and 23 unknowns. */
    private const FIRST_ROWS = ['+++-+--', '++-+++---+-', '++++-+-++--+---', '++--++++-+-+----++-', '+++++-+-++--++--+-+----'];

    /** @param list<list<float>> $vectors element parameters in the solver's order, one list a draw */
    private function __construct(public array $vectors)
    {
    }

    public static function of(CircuitModel $circuit, Solver $solver): self
    {
        $row = self::FIRST_ROWS[\count(self::FIRST_ROWS) - 1];
        foreach (array_reverse(self::FIRST_ROWS) as $shorter) {
            $row = \count($circuit->unknowns) <= \strlen($shorter) ? $shorter : $row;
        }
        $vectors = [];
        for ($draw = 0; $draw <= \strlen($row); ++$draw) {
            $values = [];
            foreach ($circuit->unknowns as $number => $unknown) {
                $values[$unknown->name] = $unknown->at(self::level($row, $draw, $number % \strlen($row)));
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
    private static function level(string $row, int $draw, int $unknown): float
    {
        $places = \strlen($row);

        return $draw < $places && $row[($unknown - $draw + $places) % $places] === '+' ? 1.0 : -1.0;
    }
}
