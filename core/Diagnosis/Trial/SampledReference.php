<?php

declare(strict_types=1);

namespace Ispira\Core\Diagnosis\Trial;

use Ispira\Core\Device\CircuitModel;
use Ispira\Core\Device\Quantity;
use Ispira\Core\Device\Test;
use Ispira\Core\Diagnosis\Inference\Assimilation;
use Ispira\Core\Diagnosis\Inference\Hypothesis;
use Ispira\Core\Diagnosis\Inference\HypothesisList;
use Ispira\Core\Diagnosis\Inference\Judged;
use Ispira\Core\Diagnosis\Inference\Likelihood;
use Ispira\Core\Diagnosis\Inference\OneMachine;
use Ispira\Core\Diagnosis\Inference\ReadingScale;
use Ispira\Core\Diagnosis\Inference\SpeedState;
use Ispira\Core\Kernel\RandomSource;
use Ispira\Core\Reading\MeterAccuracy;
use Ispira\Core\Reading\PickUp;
use Ispira\Core\Reading\Reading;

/**
 * Bayes' rule by plain sampling: thousands of machines, each solved for each reading, each weighed by how well it
 * foretells all of them together. No straight lines, no designs, nothing shared: slow, and right within its noise.
 */
final class SampledReference
{
    /** Every so many machines one comes from the wider world, and the farthest that a value lies from its middle. */
    private const WIDE_EVERY = 4;
    private const FARTHEST = 4.5;

    /** @var list<OneMachine> */
    private array $machines = [];

    /** @var list<float> what each of them counts */
    private array $counts = [];

    /** @var list<array{0: float, 1: float}> of each machine: deviations of the degrees of a first and a second fault */
    private array $degrees = [];

    private readonly PickUp $pickUp;

    /** @param float $scale supply of the circuit over that of a 12 V system */
    public function __construct(
        private readonly CircuitModel $circuit,
        RandomSource $chance,
        int $draws,
        private readonly float $scale,
    ) {
        $this->pickUp = PickUp::in($circuit->netlist);
        $any = OneMachine::asDeclared($circuit);
        $ofWide = 1.0 / self::WIDE_EVERY;
        for ($draw = 0; $draw < $draws; ++$draw) {
            $wide = $draw % self::WIDE_EVERY === 0;
            $values = [];
            foreach ($circuit->unknowns as $unknown) {
                $z = ($wide ? Assimilation::TAIL_WIDTH : 1.0) * $chance->normal();
                $values[$unknown->name] = $unknown->at(max(-self::FARTHEST, min(self::FARTHEST, $z)));
            }
            $this->machines[] = $any->like($values);
            $this->counts[] = $wide
                ? Assimilation::TAIL_SHARE / $ofWide
                : (1.0 - Assimilation::TAIL_SHARE) / (1.0 - $ofWide);
            $this->degrees[] = [$chance->even(), $chance->even()];
        }
    }

    /**
     * Likelihood of readings together under a hypothesis.
     *
     * @param list<Reading> $readings what was heard, seen, or measured in V or A
     */
    private function evidence(Hypothesis $hypothesis, Hypothesis $sound, array $readings): float
    {
        $sum = 0.0;
        foreach ($this->machines as $draw => $machine) {
            $state = $hypothesis->hasDegree() ? $hypothesis->inDegree(...$this->degrees[$draw]) : $hypothesis;
            $weight = $this->counts[$draw];
            // Each pair of ears hears all of it.
            $byEar = array_fill(0, SpeedState::EARS, 1.0);
            foreach ($readings as $reading) {
                $test = $this->circuit->tests[$reading->test];
                if ($test->probe->quantity->isNumber()) {
                    $weight *=
                        $this->number($reading, $machine, $test, $state, $sound) *
                        $this->steadiness($reading, $test, $state, $machine, $sound);
                    continue;
                }
                if ($test->probe->quantity === Quantity::Observation) {
                    $usual = $this->circuit->observations[$test->probe->at]->usual;
                    $weight *= self::choice($reading, Likelihood::observed($hypothesis, $test, $usual));
                    continue;
                }
                $ratio = $machine->judged($test, $state, $sound);
                foreach ($byEar as $ear => $before) {
                    $chances = Judged::chances($this->circuit, $test, $ratio, $ear);
                    $byEar[$ear] = $before * self::choice($reading, $chances);
                }
            }
            $sum += ($weight * array_sum($byEar)) / SpeedState::EARS;
        }

        return $sum / \count($this->machines);
    }

    /** A bad joint is felt where a meter shows it at all. */
    private function steadiness(
        Reading $reading,
        Test $test,
        Hypothesis $state,
        OneMachine $machine,
        Hypothesis $sound,
    ): float {
        return Likelihood::ofSteadiness(
            $reading->steady,
            $state->isLoose() &&
                MeterAccuracy::tellsApart(
                    $test->probe->quantity,
                    $machine->shows($test, $state),
                    $machine->shows($test, $sound),
                ),
        );
    }

    /** @param array<string, float> $chances by answer */
    private static function choice(Reading $reading, array $chances): float
    {
        return Likelihood::ofChoice($chances, (string) $reading->value, $reading->slip())[0];
    }

    /** Density on the scale of the quantity; where nothing is driven, of what is picked up too. */
    private function number(
        Reading $reading,
        OneMachine $machine,
        Test $test,
        Hypothesis $state,
        Hypothesis $sound,
    ): float {
        $shown = $machine->shows($test, $state);
        $quantity = $test->probe->quantity;
        if (!\is_float($reading->value)) {
            return is_infinite($shown) ? 1.0 : $reading->slip();
        }
        $slope = ReadingScale::slope($quantity, $reading->value);
        $slip = ($reading->slip() * Likelihood::slipDensity($quantity, $reading->value, $this->scale)) / $slope;
        if (is_infinite($shown)) {
            return $slip;
        }
        $own = MeterAccuracy::spread($quantity, $reading->value) * $reading->widening() * $slope;
        $fits = Likelihood::normalDensity(
            ReadingScale::to($quantity, $reading->value),
            ReadingScale::to($quantity, $shown),
            $own,
        );
        $idle = $this->pickUp->mayBe($reading->value);
        if ($idle && PickUp::mayBeAt($quantity, $shown, static fn(): float => $machine->shows($test, $sound))) {
            $fits = $this->pickUp->density($reading->value, $slope * $fits) / $slope;
        }

        return (1.0 - $reading->slip()) * $fits + $slip;
    }

    /**
     * Odds by remedy for the hypotheses in question; the others keep the weight that they are given.
     *
     * @param array<string, Hypothesis> $hypotheses all of them
     * @param array<string, float>      $stated     by hypothesis, as the engine has them
     * @param float                     $from       weight from which a hypothesis is in question
     * @param list<Reading>             $readings
     *
     * @return array<string, float> odds by remedy
     */
    public function odds(array $hypotheses, array $stated, float $from, array $readings): array
    {
        $sound = $hypotheses[HypothesisList::NOTHING_WRONG];
        $weights = [];
        $asked = 0.0;
        foreach ($stated as $key => $weight) {
            if ($weight >= $from && $key !== HypothesisList::SOMETHING_ELSE && !$hypotheses[$key]->comesAndGoes) {
                $weights[$key] = $hypotheses[$key]->prior * $this->evidence($hypotheses[$key], $sound, $readings);
                $asked += $weight;
            }
        }
        $total = array_sum($weights);
        $odds = [];
        foreach ($stated as $key => $weight) {
            $remedy = $hypotheses[$key]->remedy();
            $share = isset($weights[$key]) && $total > 0.0 ? ($asked * $weights[$key]) / $total : $weight;
            $odds[$remedy] = ($odds[$remedy] ?? 0.0) + $share;
        }

        return $odds;
    }
}
