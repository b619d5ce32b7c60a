<?php

declare(strict_types=1);

namespace Ispira\Core\Diagnosis\Inference;

use Ispira\Core\Circuit\Solver;
use Ispira\Core\Device\CircuitModel;

/**
 * Draws of the unknown component values, common to all hypotheses, and of how bad a fault is.
 *
 * The smallest of the two-level designs of Plackett and Burman (1946) that has room for all
 * unknowns: every unknown stands one deviation above its middle in half of the draws and one
 * below in the other half, and any two of them are uncorrelated over the draws, so that no
 * reading seems to teach what it cannot.
 */
final readonly class DrawnValues
{
    /**
     * Numbers of unknowns for which a design is made: primes of the form 4n + 3, whose quadratic residues are its first
     * row (Paley 1933). The sixteenth design has no such prime.
     */
    private const PRIMES = [7, 11, 15, 19, 23, 31, 43, 47, 59, 67, 71, 79, 83, 103];
    private const FIFTEEN = '++++-+-++--+---';

    /** Draws for judging that are one row and its mirror image. */
    public const A_PAIR = 2;

    /**
     * Rows of the design that are drawn for judging, each with its mirror image: how bad a fault is in them, in
     * deviations. What is heard turns on that more than on all the rest, so each of these pairs stands in the middle of
     * one third of the slice, while the others rise in one of a pair and fall in the other.
     */
    public const THIRDS = [-2.0 / self::ROOT_THREE, 2.0 / self::ROOT_THREE, 0.0];
    private const ROOT_THREE = 1.7320508075688772;

    /**
     * @param list<list<float>>                   $vectors element parameters in the solver's order, one list a draw
     * @param list<array{0: float, 1: float}>     $degrees deviations of the degree of a fault, and of a second one
     */
    private function __construct(public array $vectors, public array $degrees) {}

    public static function of(CircuitModel $circuit, Solver $solver): self
    {
        $row = self::row($circuit);
        $signs = [];
        for ($draw = 0; $draw <= \strlen($row); ++$draw) {
            $signs[] = [$draw, 1.0, self::level($row, $draw, \count($circuit->unknowns))];
        }

        return self::drawn($circuit, $solver, $row, $signs);
    }

    /**
     * A few draws for what is judged in steps: some rows of the design and their mirror images, so that
     * every unknown stays balanced.
     */
    public static function forJudging(CircuitModel $circuit, Solver $solver): self
    {
        $signs = [];
        foreach (self::THIRDS as $draw => $third) {
            array_push($signs, [$draw, 1.0, $third], [$draw, -1.0, $third]);
        }

        return self::drawn($circuit, $solver, self::row($circuit), $signs);
    }

    /**
     * How many of the draws for judging tell whether the others can differ: a pair, and of a fault that may be worse or
     * less bad one more, where it is worse.
     */
    public static function enoughToTell(Hypothesis $hypothesis): int
    {
        return self::A_PAIR + ($hypothesis->hasDegree() ? 1 : 0);
    }

    /**
     * First row of the smallest design with room for the unknowns and one degree; where it is full, that of a second
     * fault shares a column with the supply.
     */
    private static function row(CircuitModel $circuit): string
    {
        foreach (self::PRIMES as $prime) {
            if (\count($circuit->unknowns) + 1 <= $prime) {
                return $prime === 15 ? self::FIFTEEN : self::residues($prime);
            }
        }

        throw new \LogicException('More unknown values than any design has room for.');
    }

    /** + at 0 and at each square modulo a prime. */
    private static function residues(int $prime): string
    {
        $row = str_repeat('-', $prime);
        for ($n = 0; $n < $prime; ++$n) {
            $row[($n * $n) % $prime] = '+';
        }

        return $row;
    }

    /**
     * @param list<array{0: int, 1: float, 2: float}> $signs rows of the design, 1 or −1 for their mirror image, and how
     *     bad a fault is there
     */
    private static function drawn(CircuitModel $circuit, Solver $solver, string $row, array $signs): self
    {
        $vectors = [];
        $degrees = [];
        foreach ($signs as [$draw, $sign, $degree]) {
            $values = [];
            $number = 0;
            foreach ($circuit->unknowns as $unknown) {
                $values[$unknown->name] = $unknown->at($sign * self::level($row, $draw, $number++));
            }
            $vectors[] = self::vector($circuit, $solver, $values);
            $degrees[] = [$degree, $sign * self::level($row, $draw, $number + 1)];
        }

        return new self($vectors, $degrees);
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

        return new self([self::vector($circuit, $solver, $values)], [[0.0, 0.0]]);
    }

    /**
     * One machine.
     *
     * @param array<string, float> $unknowns
     *
     * @return list<float>
     */
    public static function vector(CircuitModel $circuit, Solver $solver, array $unknowns): array
    {
        $vector = $solver->nominalValues();
        foreach ($circuit->assigned($unknowns) as $parameter => $value) {
            $vector[$solver->slot($parameter)] = $value;
        }

        return array_values($vector);
    }

    /** Each row but the last is the row before, shifted by one; the last is all minus. */
    private static function level(string $row, int $draw, int $unknown): float
    {
        $places = \strlen($row);
        $unknown %= $places;

        return $draw < $places && $row[($unknown - $draw + $places) % $places] === '+' ? 1.0 : -1.0;
    }
}
