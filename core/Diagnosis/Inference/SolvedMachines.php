<?php

declare(strict_types=1);

namespace Ispira\Core\Diagnosis\Inference;

use Ispira\Core\Circuit\SolvedState;
use Ispira\Core\Device\CircuitModel;
use Ispira\Core\Device\Probe;
use Ispira\Core\Device\Quantity;
use Ispira\Core\Device\SetUp;

/**
 * The states in which a meter finds the machines that were drawn, each solved once. What should run but stops at its
 * place of rest is found there, where it has switched its own circuit.
 */
final class SolvedMachines
{
    /** @var array<string, list<SolvedState>> one a draw, by hypothesis and set-up */
    private array $points = [];

    /** @var array<string, list<SolvedState>> one a draw, by set-up and what decides its currents */
    private array $shared = [];

    /** @var array<string, string> what decides its currents, by hypothesis and set-up */
    private array $signatures = [];

    /** @var array<string, non-empty-list<list<float>>> of the sound circuit, by set-up: {@see firstOf()} */
    private array $usual = [];

    /** @var array<string, list<bool>> whether the shaft has come to rest, beside the shared states */
    private array $atRest = [];

    public function __construct(
        private readonly CircuitModel $circuit,
        private readonly Simulator $simulator,
        private readonly DrawnMachines $machines,
        private readonly Hypothesis $sound,
    ) {}

    /**
     * The circuit's state in every draw, or in the first few of them. Hypotheses that differ only where no current
     * flows share it.
     *
     * @return list<SolvedState>
     */
    public function of(
        Hypothesis $hypothesis,
        string $setUpKey,
        Probe $probe,
        bool $few,
        int $most = \PHP_INT_MAX,
    ): array {
        $place = ($few ? 'few ' : '') . $setUpKey . ($probe->quantity === Quantity::Ohms ? '|' . $probe->key() : '');
        $key = "$hypothesis->key|$place" . ($probe->quantity->isOfPlace() ? '|volts' : '');
        $draws = min($most, \count($this->machines->vectors($few)));
        if (\count($this->points[$key] ?? []) >= $draws) {
            return $this->points[$key];
        }
        $setUp = $this->circuit->setUps[$setUpKey];
        $solver = $this->simulator->solverFor($probe);
        $first = $this->firstOf($setUp, $hypothesis, $probe, $few);
        $usual = $this->usual[$place] ??= $this->firstOf($setUp, $this->sound, $probe, $few);
        $signature = $this->signatures["$hypothesis->key|$place"] ??=
            "$place|" . implode('|', array_map($solver->signature(...), $first, $usual));
        $shared = isset($this->shared[$signature]);
        $states = $this->shared[$signature] ?? [];
        for ($draw = \count($states); $draw < $draws; ++$draw) {
            $way = $solver->solve($this->machines->applied($draw, $setUp, $hypothesis, $probe, $few));
            $rest = $this->simulator->stoppedAtRest(
                $setUp,
                $way,
                fn(): array => $this->machines->atRest($draw, $setUp, $hypothesis, $few),
            );
            $states[] = $rest ?? $way;
            $this->atRest[$signature][] = $rest !== null;
        }
        $this->shared[$signature] = $states;

        // Only potentials of dead ends differ between hypotheses that share their currents.
        return $this->points[$key] =
            !$shared || !$probe->quantity->isOfPlace()
                ? $states
                : array_map(
                    static fn(SolvedState $point, bool $atRest): SolvedState => $solver->rehung(
                        $point,
                        $atRest ? end($first) : $first[0],
                    ),
                    $states,
                    $this->atRest[$signature],
                );
    }

    /** @return non-empty-list<list<float>> the first draw, and at its place of rest where it may stop there */
    private function firstOf(SetUp $setUp, Hypothesis $hypothesis, Probe $probe, bool $few): array
    {
        $onItsWay = $this->machines->applied(0, $setUp, $hypothesis, $probe, $few);

        return $this->simulator->mayStopAtRest($setUp)
            ? [$onItsWay, $this->machines->atRest(0, $setUp, $hypothesis, $few)]
            : [$onItsWay];
    }
}
