<?php

declare(strict_types=1);

namespace Ispira\Core\Diagnosis\Inference;

use Ispira\Core\Device\CircuitModel;
use Ispira\Core\Device\Quantity;
use Ispira\Core\Device\SetUp;
use Ispira\Core\Device\Test;

/**
 * One machine with values of its own: what its tests show in any state of its circuit.
 */
final class OneMachine
{
    /** @var array<string, float> rad/s with nothing wrong, by set-up and mover */
    private array $soundSpeeds = [];

    /** @param list<float> $values in the solver's order */
    private function __construct(
        private readonly CircuitModel $circuit,
        private readonly Simulator $simulator,
        private readonly array $values,
    ) {}

    /** @param \Closure(): float $normal deviations of its unknown values, one after the other */
    public static function drawn(CircuitModel $circuit, \Closure $normal): self
    {
        $simulator = new Simulator($circuit);

        return new self($circuit, $simulator, DrawnValues::single($circuit, $simulator->solver, $normal)->vectors[0]);
    }

    /** @param array<string, float> $unknowns values of all its unknowns */
    public static function of(CircuitModel $circuit, array $unknowns): self
    {
        $simulator = new Simulator($circuit);

        return new self($circuit, $simulator, DrawnValues::vector($circuit, $simulator->solver, $unknowns));
    }

    /**
     * Another machine of the same circuit.
     *
     * @param array<string, float> $unknowns values of all its unknowns
     */
    public function like(array $unknowns): self
    {
        return new self(
            $this->circuit,
            $this->simulator,
            DrawnValues::vector($this->circuit, $this->simulator->solver, $unknowns),
        );
    }

    /** With the netlist's own values. */
    public static function asDeclared(CircuitModel $circuit): self
    {
        $simulator = new Simulator($circuit);

        return new self($circuit, $simulator, $simulator->solver->nominalValues());
    }

    /** @param string $parameter as "element.parameter" */
    public function value(string $parameter): float
    {
        return $this->values[$this->simulator->solver->slot($parameter)];
    }

    /** @return float as {@see Simulator::observe()} gives it */
    public function shows(Test $test, Hypothesis $state): float
    {
        $setUp = $this->circuit->setUps[$test->setUp];
        $applied = $this->simulator->valuesAt($test->probe, $this->simulator->valuesFor($this->values, $setUp, $state));
        $way = $this->simulator->solverFor($test->probe)->solve($applied);
        $atRest = fn(): array => $this->simulator->valuesFor($this->values, $setUp, $state, true);

        return $this->simulator->observe($test->probe, $this->simulator->stoppedAtRest($setUp, $way, $atRest) ?? $way);
    }

    /**
     * The same; a speed as it is heard, over the one that is right.
     *
     * @param Hypothesis $sound nothing wrong, the same for this machine each time
     *
     * @return float as {@see Judged} takes it
     */
    public function judged(Test $test, Hypothesis $state, Hypothesis $sound): float
    {
        if ($test->probe->quantity !== Quantity::Speed) {
            return $this->shows($test, $state);
        }
        $setUp = $this->circuit->setUps[$test->setUp];
        if ($setUp->atRest !== []) {
            return $this->simulator->restless(
                $this->circuit->kindIn($test),
                $test->probe->at,
                $this->values,
                $setUp,
                $state,
                $this->simulator->soundWay($test->probe->at, $this->values, $setUp, $sound),
            );
        }
        if ($state->decouples($setUp)) {
            return 0.0;
        }
        $mover = $this->circuit->fullSpeedMover($test);

        return Simulator::heard(
            $this->shows($test, $state),
            $this->soundSpeed($setUp, $test->probe->at, $sound),
            $this->soundSpeed($this->circuit->fullSpeedSetUp($mover), $mover, $sound),
        );
    }

    private function soundSpeed(SetUp $setUp, string $mover, Hypothesis $sound): float
    {
        return $this->soundSpeeds["$setUp->key|$mover"] ??= $this->simulator->solver
            ->solve($this->simulator->valuesFor($this->values, $setUp, $sound))
            ->speed($mover);
    }
}
