<?php

declare(strict_types=1);

namespace Tests\Core;

use Ispira\Core\Device\CircuitModel;
use Ispira\Core\Device\FamilyRegistry;
use Ispira\Core\Diagnosis\Inference\Hypothesis;
use Ispira\Core\Diagnosis\Inference\HypothesisList;
use Ispira\Core\Diagnosis\Inference\OneMachine;
use Ispira\Core\Diagnosis\Inference\SpeedState;

/**
 * A machine whose unknown values all stand in the middle of their populations, or where they are put: what a fault
 * shows on it.
 */
final readonly class NominalMachine
{
    public CircuitModel $circuit;

    private OneMachine $machine;

    /** @var array<string, Hypothesis> */
    public array $hypotheses;

    /**
     * @param array<string, mixed>    $parameters
     * @param (\Closure(): float)|null $deviates  of the unknown values in turn, in standard deviations; none when null
     */
    public function __construct(string $family, array $parameters = [], ?\Closure $deviates = null)
    {
        $found = FamilyRegistry::shipped()->get($family);
        $this->circuit = $found->circuit($found->parameters()->read($parameters));
        $this->hypotheses = HypothesisList::of($this->circuit, false);
        $this->machine = OneMachine::drawn($this->circuit, $deviates ?? static fn(): float => 0.0);
    }

    /** Number that a test shows; a speed as it is heard. */
    public function shows(string $hypothesis, string $test): float
    {
        return $this->showsIn($this->hypotheses[$hypothesis], $test);
    }

    /** The same for any state of the circuit. */
    public function showsIn(Hypothesis $state, string $key): float
    {
        return $this->machine->judged($this->circuit->tests[$key], $state, $this->hypotheses['none']);
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
}
