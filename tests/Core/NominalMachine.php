<?php

declare(strict_types=1);

namespace Tests\Core;

use Ispira\Core\Device\CircuitModel;
use Ispira\Core\Device\FamilyRegistry;
use Ispira\Core\Device\Quantity;
use Ispira\Core\Device\Test;
use Ispira\Core\Diagnosis\Inference\DrawnValues;
use Ispira\Core\Diagnosis\Inference\Hypothesis;
use Ispira\Core\Diagnosis\Inference\HypothesisList;
use Ispira\Core\Diagnosis\Inference\Simulator;
use Ispira\Core\Diagnosis\Inference\SpeedState;

/**
 * A machine whose unknown values all stand in the middle of their populations, or where they are put: what a fault
 * shows on it.
 */
final readonly class NominalMachine
{
    public CircuitModel $circuit;

    private Simulator $simulator;

    /** @var array<string, Hypothesis> */
    public array $hypotheses;

    /** @var list<float> */
    private array $values;

    /**
     * @param array<string, string>   $parameters
     * @param (\Closure(): float)|null $deviates  of the unknown values in turn, in standard deviations; none when null
     */
    public function __construct(string $family, array $parameters = [], ?\Closure $deviates = null)
    {
        $found = FamilyRegistry::shipped()->get($family);
        $this->circuit = $found->circuit($found->parameters()->read($parameters));
        $this->simulator = new Simulator($this->circuit);
        $this->hypotheses = HypothesisList::of($this->circuit, false);
        $this->values = DrawnValues::single(
            $this->circuit,
            $this->simulator->solver,
            $deviates ?? static fn(): float => 0.0,
        )->vectors[0];
    }

    /** Number that a test shows; a speed as it is heard. */
    public function shows(string $hypothesis, string $test): float
    {
        return $this->showsIn($this->hypotheses[$hypothesis], $test);
    }

    /** The same for any state of the circuit. */
    public function showsIn(Hypothesis $state, string $key): float
    {
        $test = $this->circuit->tests[$key];
        $with = $this->observed($state, $test);
        if ($test->probe->quantity !== Quantity::Speed) {
            return $with;
        }
        $setUp = $this->circuit->setUps[$test->setUp];
        $sound = $this->hypotheses['none'];
        $mover = $test->probe->at;
        if ($setUp->atRest !== []) {
            return $this->simulator->restless(
                $this->circuit->kindIn($test),
                $mover,
                $this->values,
                $setUp,
                $state,
                $this->simulator->soundWay($mover, $this->values, $setUp, $sound),
            );
        }
        $compared = $this->circuit->fullSpeedMover($test);
        $full = $this->simulator->solver
            ->solve($this->simulator->valuesFor($this->values, $this->circuit->fullSpeedSetUp($compared), $sound))
            ->speed($compared);

        return $state->decouples() ? 0.0 : Simulator::heard($with, $this->observed($sound, $test), $full);
    }

    /** What a position is most often called. */
    public function called(string $hypothesis, string $position): string
    {
        return $this->calledIn($this->hypotheses[$hypothesis], $position);
    }

    public function calledIn(Hypothesis $state, string $position): string
    {
        $chances = SpeedState::chances(
            $this->showsIn($state, "speed@$position"),
            $this->circuit->positions[$position]->kind,
        );
        arsort($chances);

        return (string) array_key_first($chances);
    }

    private function observed(Hypothesis $state, Test $test): float
    {
        $applied = $this->simulator->valuesAt(
            $test->probe,
            $this->simulator->valuesFor($this->values, $this->circuit->setUps[$test->setUp], $state),
        );

        return $this->simulator->observe($test->probe, $this->simulator->solverFor($test->probe)->solve($applied));
    }
}
