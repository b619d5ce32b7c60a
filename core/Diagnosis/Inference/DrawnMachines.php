<?php

declare(strict_types=1);

namespace Ispira\Core\Diagnosis\Inference;

use Ispira\Core\Device\CircuitModel;
use Ispira\Core\Device\Probe;
use Ispira\Core\Device\SetUp;

/**
 * The machines that were drawn, many for numbers and few for judging: their values in any set-up, under any hypothesis.
 */
final class DrawnMachines
{
    private ?DrawnValues $draws = null;

    private ?DrawnValues $forJudging = null;

    /** @var array<string, list<Hypothesis>> one a draw, by hypothesis */
    private array $inDegree = [];

    /** @var array<string, array<int, list<float>>> by set-up and position, one a draw */
    private array $withSetUp = [];

    public function __construct(private readonly CircuitModel $circuit, private readonly Simulator $simulator) {}

    /** @return list<list<float>> one a draw; few are enough for what is only heard or seen, which is judged in steps */
    public function vectors(bool $few): array
    {
        return $this->drawsFor($few)->vectors;
    }

    private function drawsFor(bool $few): DrawnValues
    {
        return $few
            ? ($this->forJudging ??= DrawnValues::forJudging($this->circuit, $this->simulator->solver))
            : ($this->draws ??= DrawnValues::of($this->circuit, $this->simulator->solver));
    }

    /**
     * The sum of some parameters of the circuit.
     *
     * @param list<string> $parameters "element.parameter"
     * @param SetUp|null   $setUp      with nothing done to it when null
     *
     * @return list<float> one a draw
     */
    public function parameters(Hypothesis $hypothesis, array $parameters, ?SetUp $setUp = null): array
    {
        $slots = array_map($this->simulator->solver->slot(...), $parameters);
        $sums = [];
        $inDegree = $this->inDegree($hypothesis, false);
        foreach ($this->vectors(false) as $draw => $vector) {
            $values =
                $setUp === null
                    ? $this->simulator->putOn($vector, $inDegree[$draw])
                    : $this->simulator->valuesFor($vector, $setUp, $inDegree[$draw]);
            $sums[] = array_sum(array_map(static fn(int $slot): float => $values[$slot], $slots));
        }

        return $sums;
    }

    /** @return list<float> with the shaft at its place of rest */
    public function atRest(int $draw, SetUp $setUp, Hypothesis $hypothesis, bool $few): array
    {
        return $this->simulator->valuesFor(
            $this->drawsFor($few)->vectors[$draw],
            $setUp,
            $this->inDegree($hypothesis, $few)[$draw],
            true,
        );
    }

    /** @return list<float> */
    public function applied(int $draw, SetUp $setUp, Hypothesis $hypothesis, Probe $probe, bool $few): array
    {
        $state = $this->inDegree($hypothesis, $few)[$draw];
        $values = $this->simulator->canBePutOn($setUp, $hypothesis)
            ? $this->simulator->putOn($this->withSetUp($draw, $setUp, $hypothesis, $few), $state)
            : $this->simulator->valuesFor($this->drawsFor($few)->vectors[$draw], $setUp, $state);

        return $this->simulator->valuesAt($probe, $values);
    }

    /** @return list<float> a draw with a set-up applied, and nothing wrong but where the control stands */
    private function withSetUp(int $draw, SetUp $setUp, Hypothesis $hypothesis, bool $few): array
    {
        $position = $hypothesis->acts[$setUp->position] ?? $setUp->position;

        return $this->withSetUp[($few ? 'few ' : '') . "$setUp->key|$position"][$draw] ??= $this->simulator->withSetUp(
            $this->drawsFor($few)->vectors[$draw],
            $setUp,
            $hypothesis,
        );
    }

    /** @return list<Hypothesis> a fault as bad as each draw has it */
    public function inDegree(Hypothesis $hypothesis, bool $few): array
    {
        return $this->inDegree[($few ? 'few ' : '') . $hypothesis->key] ??= array_map(
            static fn(array $degrees): Hypothesis => $hypothesis->hasDegree()
                ? $hypothesis->inDegree(...$degrees)
                : $hypothesis,
            $this->drawsFor($few)->degrees,
        );
    }
}
