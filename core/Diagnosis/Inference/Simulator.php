<?php

declare(strict_types=1);

namespace Ispira\Core\Diagnosis\Inference;

use Ispira\Core\Circuit\Capacitor;
use Ispira\Core\Circuit\Ohmmeter;
use Ispira\Core\Circuit\SolvedState;
use Ispira\Core\Circuit\Solver;
use Ispira\Core\Device\Adjustment;
use Ispira\Core\Device\CircuitModel;
use Ispira\Core\Device\PositionKind;
use Ispira\Core\Device\Probe;
use Ispira\Core\Device\Quantity;
use Ispira\Core\Device\SetUp;

/**
 * Computes what a probe would show in a set-up under a hypothesis, for one vector of component values.
 */
final class Simulator
{
    public readonly Solver $solver;

    /** @var array<string, Ohmmeter> by probe */
    private array $ohmmeters = [];

    /** @var array<string, array<string, true>> parameters that a set-up limits, by set-up and position that is really made */
    private array $limits = [];

    /** Speed in rad/s under which a shaft counts as standing, for the choice of what to compare with. */
    private const STANDS_BELOW = 1e-6;

    /** Share of the right air under which a limit ends the heat before its rise is read. */
    private const LEAST_AIR = 0.3;

    /** Share of the pull-up on either side of which the mean of a pulsed line means that it is stuck. */
    private const PULSES_BETWEEN = 0.2;

    public function __construct(public readonly CircuitModel $circuit)
    {
        $this->solver = $circuit->netlist->solver();
    }

    /**
     * The vector with set-up and hypothesis applied.
     *
     * Set-ups assign first and then raise or lower; faults come last, so that a weld
     * beats a switch that is off and a break beats one that is on.
     *
     * @param list<float> $values
     * @param bool        $atRest whether the shaft stands at its place of rest
     *
     * @return list<float>
     */
    public function valuesFor(array $values, SetUp $setUp, Hypothesis $hypothesis, bool $atRest = false): array
    {
        return $this->adjusted($values, [
            ...$this->adjustments($setUp, $hypothesis, $atRest),
            ...$hypothesis->adjustments,
        ]);
    }

    /**
     * Whether a hypothesis can be put on a set-up that was applied before: unless it assigns what the set-up limits.
     */
    public function canBePutOn(SetUp $setUp, Hypothesis $hypothesis): bool
    {
        $limits = $this->limits["$setUp->key|" . ($hypothesis->acts[$setUp->position] ?? '')] ??= $this->limitsOf(
            $setUp,
            $hypothesis,
        );
        foreach ($hypothesis->adjustments as $adjustment) {
            if (isset($limits[$adjustment->parameter]) && !$adjustment->isLimit()) {
                return false;
            }
        }

        return true;
    }

    /** @return array<string, true> parameters that a set-up keeps from being lower or higher than a value */
    private function limitsOf(SetUp $setUp, Hypothesis $hypothesis): array
    {
        $limits = [];
        foreach ($this->adjustments($setUp, $hypothesis, false) as $adjustment) {
            if ($adjustment->isLimit()) {
                $limits[$adjustment->parameter] = true;
            }
        }

        return $limits;
    }

    /**
     * The vector with a set-up applied and nothing wrong, but in the position that the control makes under a
     * hypothesis.
     *
     * @param list<float> $values
     *
     * @return list<float>
     */
    public function withSetUp(array $values, SetUp $setUp, Hypothesis $hypothesis): array
    {
        return $this->adjusted($values, $this->adjustments($setUp, $hypothesis, false));
    }

    /**
     * A hypothesis put on a vector with a set-up applied, see {@see canBePutOn()}.
     *
     * @param list<float> $values
     *
     * @return list<float>
     */
    public function putOn(array $values, Hypothesis $hypothesis): array
    {
        return $this->adjusted($values, $hypothesis->adjustments);
    }

    /**
     * What a set-up changes, in the position that the control really makes.
     *
     * @return list<Adjustment>
     */
    private function adjustments(SetUp $setUp, Hypothesis $hypothesis, bool $atRest): array
    {
        $position = $hypothesis->acts[$setUp->position] ?? $setUp->position;

        return [
            ...$this->circuit->positions[$position]->adjustments,
            ...$setUp->adjustments,
            ...$atRest ? $setUp->atRest : [],
        ];
    }

    /**
     * @param list<float>      $values
     * @param list<Adjustment> $adjustments limits come after the others
     *
     * @return list<float>
     */
    private function adjusted(array $values, array $adjustments): array
    {
        $limits = [];
        foreach ($adjustments as $adjustment) {
            if ($adjustment->isLimit()) {
                $limits[] = $adjustment;
                continue;
            }
            $slot = $this->solver->slot($adjustment->parameter);
            $from = $adjustment->source === null ? $slot : $this->solver->slot($adjustment->source);
            $values[$slot] = $adjustment->applyTo($values[$from]);
        }
        foreach ($limits as $adjustment) {
            $slot = $this->solver->slot($adjustment->parameter);
            $values[$slot] = $adjustment->applyTo($values[$slot]);
        }

        return array_values($values);
    }

    /** The circuit as the probe finds it: an ohmmeter brings its own source and needs the others dead. */
    public function solverFor(Probe $probe): Solver
    {
        return $probe->quantity === Quantity::Ohms ? $this->ohmmeter($probe)->solver : $this->solver;
    }

    /**
     * A vector of the circuit as {@see solverFor()} of the probe takes it.
     *
     * @param list<float> $values
     *
     * @return list<float>
     */
    public function valuesAt(Probe $probe, array $values): array
    {
        return $probe->quantity === Quantity::Ohms ? $this->ohmmeter($probe)->values($values) : $values;
    }

    /** @return float in V, A, Ω (INF when open) or rad/s (NAN when a relay chatters) */
    public function observe(Probe $probe, SolvedState $point): float
    {
        return match ($probe->quantity) {
            Quantity::Volts, Quantity::Vacuum => $point->voltageBetween($probe->at, $probe->against),
            Quantity::Amps => $point->current($probe->at),
            Quantity::Ohms => Ohmmeter::shows($point),
            Quantity::Duty => max(
                0.0,
                min(100.0, (100.0 * $point->voltageBetween($probe->at, $probe->against)) / self::level($probe, $point)),
            ),
            Quantity::Speed => $point->speed($probe->at),
            Quantity::Lamp => $this->across($probe->at, $point) / $probe->full,
            Quantity::Capacitance => $this->capacitance($probe, $point->parameter(...)),
            Quantity::Rise => self::full($probe, $point) / max(self::LEAST_AIR, self::air($probe, $point)),
            Quantity::Pressure => self::full($probe, $point) *
                self::turning($probe, $point) *
                self::air($probe, $point),
            Quantity::Frequency => self::pulses($probe, $point),
            Quantity::Observation => 0.0,
        };
    }

    /**
     * What a meter on capacitance shows: it depends on the part alone.
     *
     * @param \Closure(string): float $parameter value of a parameter by its name
     */
    public function capacitance(Probe $probe, \Closure $parameter): float
    {
        return Capacitor::shows(
            $parameter("$probe->at.microfarads"),
            $parameter("$probe->at.leakOhms"),
            $parameter("$probe->at.ohms"),
        );
    }

    /**
     * What a shaft with a place of rest does: the number that {@see Judged} takes.
     *
     * Where it should run, one that stops at its place of rest stops for good. Where it should
     * park, see {@see Parking}.
     *
     * @param list<float> $values
     * @param array{speed: float, braking: float} $sound the same when nothing is wrong
     */
    public function restless(
        PositionKind $kind,
        string $mover,
        array $values,
        SetUp $setUp,
        Hypothesis $hypothesis,
        array $sound,
    ): float {
        $right = max(abs($sound['speed']), self::STANDS_BELOW);
        $atRest = $this->valuesFor($values, $setUp, $hypothesis, true);
        $stands = $hypothesis->decouples($setUp);
        $way = $stands
            ? 0.0
            : $this->solver->solve($this->valuesFor($values, $setUp, $hypothesis))->speed($mover) / $right;
        $rest = $stands ? 0.0 : $this->solver->solve($atRest)->speed($mover) / $right;
        if (!$kind->parks()) {
            return abs($rest) < abs($way) ? $rest : $way;
        }

        return Parking::code($way, $rest, $this->solver->electricBraking($atRest, $mover), $sound['braking']);
    }

    /**
     * Whether a shaft that should run in a set-up may come to its place of rest and stop there, where it switches its
     * own circuit: a meter then finds it at rest.
     */
    public function mayStopAtRest(SetUp $setUp): bool
    {
        return $setUp->atRest !== [] && !$this->circuit->kindOf($setUp)->parks();
    }

    /**
     * The state in which a meter finds a shaft that {@see mayStopAtRest()}: there, where it turned on its way and stands
     * at rest; null where it runs on, or never turned and stays where it was.
     *
     * @param \Closure(): list<float> $atRest its values at rest, asked for only where it may stop
     */
    public function stoppedAtRest(SetUp $setUp, SolvedState $way, \Closure $atRest): ?SolvedState
    {
        if (!$this->mayStopAtRest($setUp)) {
            return null;
        }
        $mover = $this->circuit->moverIn($setUp);
        $turning = abs($way->speed($mover));
        $rest = $turning > self::STANDS_BELOW ? $this->solver->solve($atRest()) : null;

        return $rest !== null && abs($rest->speed($mover)) < Parking::STANDS_UNDER * $turning ? $rest : null;
    }

    /**
     * How a shaft goes to its place of rest when nothing is wrong.
     *
     * @param list<float> $values
     *
     * @return array{speed: float, braking: float} rad/s on the way, and N·m·s at rest
     */
    public function soundWay(string $mover, array $values, SetUp $setUp, Hypothesis $sound): array
    {
        return [
            'speed' => $this->solver->solve($this->valuesFor($values, $setUp, $sound))->speed($mover),
            'braking' => $this->solver->electricBraking($this->valuesFor($values, $setUp, $sound, true), $mover),
        ];
    }

    /** What the probe shows in full, on this machine. */
    private static function full(Probe $probe, SolvedState $point): float
    {
        return $probe->scale === '' ? $probe->full : $probe->full * $point->parameter($probe->scale);
    }

    /** V of a full duty. */
    private static function level(Probe $probe, SolvedState $point): float
    {
        return $probe->level === '' ? $probe->full : max(0.1, $point->voltageBetween($probe->level, $probe->against));
    }

    /** Speed over the one that the probe was declared for; a shaft that cuts in and out counts as standing. */
    private static function turning(Probe $probe, SolvedState $point): float
    {
        $speed = $point->speed($probe->mover);

        return is_nan($speed) ? 0.0 : max(0.0, $speed / $probe->atSpeed);
    }

    private static function air(Probe $probe, SolvedState $point): float
    {
        return self::turning($probe, $point) * $point->parameter("$probe->mover.air");
    }

    private static function pulses(Probe $probe, SolvedState $point): float
    {
        $pullUp =
            $probe->level === '' ? $probe->pullUp : max(0.1, $point->voltageBetween($probe->level, $probe->against));
        $share = $point->voltageBetween($probe->at, $probe->against) / $pullUp;

        return $share > self::PULSES_BETWEEN && $share < 1.0 - self::PULSES_BETWEEN
            ? self::full($probe, $point) * self::turning($probe, $point)
            : 0.0;
    }

    private function across(string $element, SolvedState $point): float
    {
        $lamp = $this->circuit->netlist->elements[$element];

        return abs($point->voltageBetween($lamp->from, $lamp->to));
    }

    private function ohmmeter(Probe $probe): Ohmmeter
    {
        return $this->ohmmeters[$probe->key()] ??= new Ohmmeter($this->solver, $probe->at, $probe->against);
    }

    /**
     * Speed as it is heard: over the sound circuit's in the same set-up, or over full speed where that stands.
     */
    public static function heard(float $speed, float $soundSpeed, float $fullSpeed): float
    {
        return abs($soundSpeed) > self::STANDS_BELOW
            ? $speed / $soundSpeed
            : $speed / max(abs($fullSpeed), self::STANDS_BELOW);
    }
}
