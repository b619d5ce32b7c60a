<?php

declare(strict_types=1);

namespace Ispira\Core\Diagnosis\Inference;

use Ispira\Core\Device\Quantity;
use Ispira\Core\Device\Test;

/**
 * How well a prediction fits what was read.
 *
 * A number is normal around its prediction; its spread joins the meter's accuracy, the
 * repeatability of the hook-up and what is still unknown of the circuit. A small share of
 * every likelihood is a slip, spread evenly over what a meter can show, so that no one
 * reading can rule out the truth.
 */
final readonly class Likelihood
{
    /** Square root of τ: a normal density at its middle is one over this and its deviation. */
    public const ROOT_TAU = 2.5066282746310002;

    /** Range over which a slip is spread evenly, in V (per 12 V of system) and A. */
    private const SLIP_RANGE = 24.0;

    /** Decades over which a slipped resistance reading is spread evenly on a logarithmic scale. */
    private const SLIP_DECADES = 7.0;

    private const OVER_RANGE_BY_SLIP = 0.2;

    /** Share of people who do not see, hear or feel what a fault shows. */
    private const OVERLOOKED = 0.15;

    /** Chance that a reading wanders, by whether the part moved has a bad joint. */
    private const WANDERS = ['sound' => 0.03, 'loose' => 0.45];

    private function __construct() {}

    /** Density of a slip at a reading. */
    public static function slipDensity(Quantity $quantity, float $reading, float $scale): float
    {
        return match ($quantity) {
            Quantity::Ohms => 1.0 / ((abs($reading) + 0.3) * self::SLIP_DECADES * \M_LN10),
            Quantity::Duty, Quantity::Rise => 0.01,
            Quantity::Capacitance => 0.03,
            Quantity::Pressure, Quantity::Frequency => 0.004,
            default => 1.0 / (self::SLIP_RANGE * $scale),
        };
    }

    public static function normalDensity(float $x, float $mean, float $deviation): float
    {
        $z = ($x - $mean) / $deviation;

        return $z * $z > 200.0 ? 0.0 : exp(-0.5 * $z * $z) / ($deviation * self::ROOT_TAU);
    }

    /**
     * Likelihood and the part of it that is no slip, where the reading or the prediction is an open circuit.
     *
     * @return array{0: float, 1: float}
     */
    public static function ofOpen(
        Quantity $quantity,
        ?float $reading,
        bool $predictedOpen,
        float $slip,
        float $scale,
    ): array {
        if ($reading === null) {
            $fits = $predictedOpen ? 0.97 * (1.0 - $slip) : 0.0;

            return [$fits + $slip * self::OVER_RANGE_BY_SLIP, $fits];
        }

        return [$slip * self::slipDensity($quantity, $reading, $scale), 0.0];
    }

    /**
     * @param array<string, float> $chances by outcome
     *
     * @return array{0: float, 1: float}
     */
    public static function ofChoice(array $chances, string $outcome, float $slip): array
    {
        $fits = (1.0 - $slip) * ($chances[$outcome] ?? 0.0);

        return [$fits + $slip / max(1, \count($chances)), $fits];
    }

    public static function ofSteadiness(bool $steady, bool $loose): float
    {
        $wanders = self::WANDERS[$loose ? 'loose' : 'sound'];

        return $steady ? 1.0 - $wanders : $wanders;
    }

    /**
     * Chances of what is seen under a hypothesis: its faults' own where they say so, else the usual.
     *
     * @param array<string, float> $usual
     *
     * @return array<string, float>
     */
    public static function observed(Hypothesis $hypothesis, Test $test, array $usual): array
    {
        $special = [];
        foreach ($hypothesis->faults as $fault) {
            $observed = $hypothesis->comesAndGoes ? $fault->observedPassing + $fault->observed : $fault->observed;
            if (isset($observed[$test->probe->at])) {
                $special[] = $observed[$test->probe->at];
            }
        }
        if ($special === []) {
            return $usual;
        }
        $chances = [];
        foreach (array_keys($usual) as $outcome) {
            $told = array_sum(array_column($special, $outcome)) / \count($special);
            $chances[$outcome] = (1.0 - self::OVERLOOKED) * $told + self::OVERLOOKED * $usual[$outcome];
        }

        return $chances;
    }
}
