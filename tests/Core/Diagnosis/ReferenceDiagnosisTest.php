<?php

declare(strict_types=1);

namespace Tests\Core\Diagnosis;

use Ispira\Core\Circuit\ElementType;
use Ispira\Core\Circuit\SolvedState;
use Ispira\Core\Device\PositionKind;
use Ispira\Core\Device\Quantity;
use Ispira\Core\Device\Test;
use Ispira\Core\Diagnosis\Inference\CaseFile;
use Ispira\Core\Diagnosis\Inference\DrawnValues;
use Ispira\Core\Diagnosis\Inference\Hypothesis;
use Ispira\Core\Diagnosis\Inference\Judged;
use Ispira\Core\Diagnosis\Inference\Likelihood;
use Ispira\Core\Diagnosis\Inference\Misbehaviour;
use Ispira\Core\Diagnosis\Inference\Simulator;
use Ispira\Core\Diagnosis\Inference\SpeedState;
use Ispira\Core\Diagnosis\Trial\SimulatedUnit;
use Ispira\Core\Kernel\RandomSource;
use Ispira\Core\Reading\Reading;
use PHPUnit\Framework\Attributes\DataProviderExternal;
use PHPUnit\Framework\TestCase;
use Tests\Core\Families;

/**
 * The engine against Bayes' rule written down once more in the plainest way: every hypothesis solved in every draw
 * for every reading, nothing shared, kept, skipped or left off.
 */
final class ReferenceDiagnosisTest extends TestCase
{
    /** What the engine may save itself the solving of. */
    private const A_POINT = 0.01;

    /** Machines along the line from one draw to its mirror image: where, in deviations, and how many of a hundred. */
    private const ALONG = [[-1.95, 8], [-1.05, 17], [-0.35, 25], [0.35, 25], [1.05, 17], [1.95, 8]];

    /** @var array<string, list<float>> by circuit, set-up and what turns */
    private static array $sound = [];

    public static function tearDownAfterClass(): void
    {
        self::$sound = [];
    }

    #[DataProviderExternal(Families::class, 'all')]
    public function testTheEngineIsBayesRuleOverTheSimulatedCircuits(string $family): void
    {
        $bench = new Bench([], false, $family);
        $simulator = new Simulator($bench->circuit);
        $faulty = array_values(
            array_filter(
                $bench->hypotheses,
                static fn(Hypothesis $h): bool => \count($h->parts) === 1 && !$h->comesAndGoes,
            ),
        );
        foreach (range(0, 3) as $seed) {
            $number = intdiv($seed * \count($faulty), 4);
            $unit = new SimulatedUnit($bench->circuit, $faulty[$number], new RandomSource($seed + 5), 0.02);
            $readings = array_values(
                array_filter(
                    $unit->map(),
                    static fn(Reading $r): bool => $bench->circuit->setUps[$bench->circuit->tests[$r->test]->setUp]
                        ->atRest === [],
                ),
            );
            $volts =
                array_values(
                    array_filter(
                        $bench->circuit->tests,
                        static fn(Test $t): bool => $t->probe->quantity === Quantity::Volts,
                    ),
                )[$number % 3] ?? null;
            if ($volts !== null) {
                $readings[] = $unit->read('volts', $volts, 0);
            }
            $expected = self::byRemedy($bench, $simulator, $readings);
            $stated = [];
            foreach ($bench->diagnose(new CaseFile($readings))->suspects as $suspect) {
                $stated[$suspect->remedy] = $suspect->probability;
            }
            foreach ($expected as $remedy => $chance) {
                self::assertEqualsWithDelta(
                    // In 2 % of jobs it is something that looks the same to every reading.
                    0.98 * $chance + ($remedy === 'something-else' ? 0.02 : 0.0),
                    $stated[$remedy],
                    self::A_POINT,
                    "{$faulty[$number]->key}: $remedy",
                );
            }
        }
    }

    /**
     * @param list<Reading> $readings
     *
     * @return array<string, float> probability by remedy
     */
    private static function byRemedy(Bench $bench, Simulator $simulator, array $readings): array
    {
        $weights = [];
        foreach ($bench->hypotheses as $hypothesis) {
            $weight = $hypothesis->prior;
            $present = $absent = [];
            $together = null;
            foreach ($readings as $reading) {
                $test = $bench->circuit->tests[$reading->test];
                if (!$hypothesis->comesAndGoes && $hypothesis->key !== 'something-else') {
                    // One machine is heard in all positions, and one is measured in all places.
                    $each = $test->probe->quantity->isNumber()
                        ? array_merge(
                            ...array_fill(
                                0,
                                4,
                                self::steadyByMachine($bench, $simulator, $hypothesis, $test, $reading->steady),
                            ),
                        )
                        : self::byMachine($bench, $simulator, $hypothesis, $test, (string) $reading->value);
                    $together =
                        $together === null
                            ? $each
                            : array_map(static fn(float $a, float $b): float => $a * $b, $together, $each);
                    if (!$test->probe->quantity->isNumber()) {
                        continue;
                    }
                }
                $of = static fn(Hypothesis $state): float => self::likelihood(
                    $bench,
                    $simulator,
                    $hypothesis,
                    $state,
                    $test,
                    $reading,
                );
                $present[$test->setUp] =
                    ($present[$test->setUp] ?? 1.0) *
                    ($hypothesis->key === 'something-else'
                        ? self::ofAnything($bench, $simulator, $test, $reading)
                        : $of($hypothesis));
                if ($hypothesis->comesAndGoes) {
                    $absent[$test->setUp] = ($absent[$test->setUp] ?? 1.0) * $of($bench->hypotheses['none']);
                }
            }
            // What comes and goes shows in 45 of 100 visits to a set-up, in all of its readings or in none.
            foreach ($present as $setUp => $likelihood) {
                $weight *= $hypothesis->comesAndGoes ? 0.45 * $likelihood + 0.55 * $absent[$setUp] : $likelihood;
            }
            $weight *= $together === null ? 1.0 : self::ofAllMachines($together);
            $weights[$hypothesis->remedy()] = ($weights[$hypothesis->remedy()] ?? 0.0) + $weight;
        }
        $total = array_sum($weights);

        return array_map(static fn(float $weight): float => $weight / $total, $weights);
    }

    /** @param Hypothesis $state the hypothesis, or the sound circuit while its fault is away */
    private static function likelihood(
        Bench $bench,
        Simulator $simulator,
        Hypothesis $hypothesis,
        Hypothesis $state,
        Test $test,
        Reading $reading,
    ): float {
        if ($test->probe->quantity->isNumber()) {
            $number = self::ofNumber($bench, $simulator, $state, $test, $reading);

            return $hypothesis->comesAndGoes
                ? $number *
                        self::ofAllMachines(
                            self::steadyByMachine($bench, $simulator, $hypothesis, $test, $reading->steady),
                        )
                : $number;
        }
        $one = self::ofChoice($bench, $simulator, $state, $test, (string) $reading->value);
        if (
            $state->comesAndGoes &&
            Misbehaviour::differs(
                self::heard($bench, $simulator, $state, $test)[0],
                self::heard($bench, $simulator, $bench->hypotheses['none'], $test)[0],
            )
        ) {
            // It changes while one listens in 60 of 100 cases, and is then noted as cutting out.
            return 0.6 * ($reading->value === SpeedState::CutsOut->value ? 0.95 : 0.01) + 0.4 * $one;
        }

        return $one;
    }

    private static function ofNumber(
        Bench $bench,
        Simulator $simulator,
        Hypothesis $state,
        Test $test,
        Reading $reading,
    ): float {
        self::assertIsFloat($reading->value);
        [$mean, $variance] = self::onScale($bench, $simulator, $state, $test);
        // Normal on the scale asinh(x / 0.04 V), with the meter's 0.03 V and 1 % of what was read; a world two and a half
        // times wider beside the usual one wherever that is strained.
        $slope = 1.0 / hypot($reading->value, 0.04);
        $off = asinh($reading->value / 0.04) - $mean;
        $own = ((0.03 + 0.01 * abs($reading->value)) * $slope) ** 2;
        $supplies = array_column(
            DrawnValues::of($bench->circuit, $simulator->solver)->vectors,
            $simulator->solver->slot($bench->circuit->supply),
        );
        // A slip may show anything up to 24 V for each 13 of supply.
        // Where nothing drives a current, some places show some tenths of a volt.
        [$sound] = self::onScale($bench, $simulator, $bench->hypotheses['none'], $test);
        $least = abs(0.04 * sinh($sound)) > 1.0 ? 0.05 : 2e-4;
        [$some, $volts, $sides] = self::pickedUp($bench);
        if (abs(0.04 * sinh($mean)) < $least && abs($reading->value) < 5.0 * $volts) {
            $byMeter = $slope * self::normal($off, $own);
            $density = (1.0 - $some) * $byMeter + ($some * 2.0 * self::normal($reading->value, $volts ** 2)) / $sides;
            [$off, $own] = [0.0, max($own, ($slope / $density) ** 2 / (2.0 * \M_PI))];
        }
        $slip = 0.02 / ((24.0 * array_sum($supplies)) / \count($supplies) / 13.0) / $slope;
        $usual = 0.98 * self::normal($off, $variance + $own);
        $density = $usual + $slip;
        $strain = ($off ** 2 / ($variance + $own) - 1.0) / (2.0 * sqrt(2.0));
        if ($usual < $slip || $strain > 1.0) {
            $wide = 0.98 * self::normal($off, 2.5 ** 2 * $variance + $own);
            $density = 0.88 * $density + 0.12 * ($wide + $slip);
        }

        return $density;
    }

    /**
     * Half of the dead places beside alternating current show half a volt or so, never less than nothing; on direct
     * current one of ten does, of either sign.
     *
     * @return array{0: float, 1: float, 2: int} share of places, deviation in V, signs that it may have
     */
    private static function pickedUp(Bench $bench): array
    {
        if ($bench->circuit->netlist->alternates()) {
            return [0.5, 0.5, 1];
        }
        $highest = 0.0;
        foreach ($bench->circuit->netlist->elements as $element) {
            $highest = max($highest, $element->type === ElementType::Source ? $element->parameters['volts'] : 0.0);
        }

        return [0.1, $highest > 60.0 ? 0.15 : 0.1, 2];
    }

    /**
     * A steady reading is a little likelier without a bad joint, in machines in which that is to be felt there.
     *
     * @return list<float> likelihood with each machine along the lines
     */
    private static function steadyByMachine(
        Bench $bench,
        Simulator $simulator,
        Hypothesis $hypothesis,
        Test $test,
        bool $steady,
    ): array {
        $felt = $hypothesis->isLoose()
            ? self::changes($bench, $simulator, $hypothesis, $test)
            : array_fill(0, \count(DrawnValues::THIRDS) * DrawnValues::A_PAIR, false);
        $likelihoods = [];
        foreach (array_chunk($felt, DrawnValues::A_PAIR) as [$one, $other]) {
            foreach (self::within($hypothesis) as $_) {
                foreach (self::ALONG as [$at, $_]) {
                    $likelihoods[] = Likelihood::ofSteadiness($steady, $at > 0 ? $one : $other);
                }
            }
        }

        return $likelihoods;
    }

    private static function normal(float $off, float $variance): float
    {
        return exp((-0.5 * $off ** 2) / $variance) / sqrt(2.0 * \M_PI * $variance);
    }

    /** @return array{0: float, 1: float} mean and variance over the draws */
    private static function onScale(Bench $bench, Simulator $simulator, Hypothesis $state, Test $test): array
    {
        $draws = DrawnValues::of($bench->circuit, $simulator->solver);
        $places = array_map(
            static fn(SolvedState $solved): float => asinh($simulator->observe($test->probe, $solved) / 0.04),
            self::states($bench, $simulator, $state, $test->setUp, $draws),
        );
        $mean = array_sum($places) / \count($places);
        $squares = array_map(static fn(float $place): float => ($place - $mean) ** 2, $places);

        return [$mean, array_sum($squares) / \count($places)];
    }

    /** A fault in no list: as the sound circuit in two fifths, else anything. */
    private static function ofAnything(Bench $bench, Simulator $simulator, Test $test, Reading $reading): float
    {
        $none = $bench->hypotheses['none'];
        if (!$test->probe->quantity->isNumber()) {
            $answers = \count(Judged::answers($bench->circuit, $test));

            return 0.4 * self::ofChoice($bench, $simulator, $none, $test, (string) $reading->value) + 0.6 / $answers;
        }
        self::assertIsFloat($reading->value);
        [$mean, $variance] = self::onScale($bench, $simulator, $none, $test);
        $supplies = array_column(
            DrawnValues::of($bench->circuit, $simulator->solver)->vectors,
            $simulator->solver->slot($bench->circuit->supply),
        );
        $broad = (0.9 * hypot($reading->value, 0.04)) / ((24.0 * array_sum($supplies)) / \count($supplies) / 13.0);

        return 0.4 * self::normal(asinh($reading->value / 0.04) - $mean, 9.0 * $variance + 0.02) + 0.6 * $broad;
    }

    /** @return list<bool> whether a meter shows something else with the fault, one a draw */
    private static function changes(Bench $bench, Simulator $simulator, Hypothesis $hypothesis, Test $test): array
    {
        $shown = static fn(Hypothesis $one): array => array_map(
            static fn(SolvedState $state): float => $simulator->observe($test->probe, $state),
            self::states(
                $bench,
                $simulator,
                $one,
                $test->setUp,
                DrawnValues::forJudging($bench->circuit, $simulator->solver),
            ),
        );

        return array_map(
            static fn(float $with, float $without): bool => abs($with - $without) > 0.03 + 0.01 * abs($without),
            $shown($hypothesis),
            $shown($bench->hypotheses['none']),
        );
    }

    private static function ofChoice(
        Bench $bench,
        Simulator $simulator,
        Hypothesis $hypothesis,
        Test $test,
        string $answer,
    ): float {
        return self::ofAllMachines(self::byMachine($bench, $simulator, $hypothesis, $test, $answer));
    }

    /** @return list<float> likelihood of an answer with each machine along the lines, for one pair of ears after the other */
    private static function byMachine(
        Bench $bench,
        Simulator $simulator,
        Hypothesis $hypothesis,
        Test $test,
        string $answer,
    ): array {
        $runs = $bench->circuit->kindIn($test) === PositionKind::Runs;
        $heard = array_chunk(self::heard($bench, $simulator, $hypothesis, $test), DrawnValues::A_PAIR);
        $rises = self::rises($heard);
        $halves = array_map(
            static fn(array $pair): float => min(abs($pair[0]), abs($pair[1])) >= 0.07
                ? abs($pair[0] - $pair[1]) / 2
                : 0.0,
            $heard,
        );
        $most = max(0.0, ...$halves);
        $likelihoods = [];
        foreach ([0, 1, 2, 3] as $ear) {
            foreach ($heard as $row => [$one, $other]) {
                $known = $runs && !is_nan($one) && !is_nan($other);
                $straight = abs($one) < 0.07 === abs($other) < 0.07;
                foreach (self::within($hypothesis) as $worse) {
                    foreach (self::ALONG as [$at, $_]) {
                        $near = $at > 0 ? $one : $other;
                        $more = abs($near) >= 0.07 ? $worse * $rises[$row] : 0.0;
                        // Where one of the two stands, the other rises as most others do.
                        $along = $straight
                            ? 0.5 * ($one + $other) + 0.5 * $at * ($one - $other)
                            : $near + (abs($near) < 0.07 ? 0.0 : (abs($at) - 1.0) * $most);
                        $ratio = $known ? max(0.0, $along + $more) : $near;
                        $chances = Judged::chances($bench->circuit, $test, $ratio, $ear);
                        $likelihoods[] = 0.98 * ($chances[$answer] ?? 0.0) + 0.02 / \count($chances);
                    }
                }
            }
        }

        return $likelihoods;
    }

    /**
     * What a deviation more of a fault does to a speed, where it turns: along a parabola c0 + c1·x + c2·x² through the
     * thirds at −a, a and 0, or the straight line through two of them.
     *
     * @param list<non-empty-list<float>> $heard of each third and its mirror image
     *
     * @return list<float>
     */
    private static function rises(array $heard): array
    {
        $a = DrawnValues::THIRDS[1];
        $middle = [];
        foreach ($heard as $row => $pair) {
            $turning = array_filter($pair, static fn(float $ratio): bool => abs($ratio) >= 0.07);
            $middle[$row] = \count($turning) === \count($pair) ? array_sum($pair) / \count($pair) : null;
        }
        [$less, $more, $half] = $middle;
        if ($less !== null && $more !== null && $half !== null) {
            $second = (0.5 * ($less + $more) - $half) / $a ** 2;

            return array_map(
                static fn(float $x): float => ($more - $less) / (2.0 * $a) + 2.0 * $second * $x,
                DrawnValues::THIRDS,
            );
        }
        $rise = match (true) {
            $less !== null && $more !== null => ($more - $less) / (2.0 * $a),
            $less !== null && $half !== null => ($half - $less) / $a,
            $more !== null && $half !== null => ($more - $half) / $a,
            default => 0.0,
        };

        return [$rise, $rise, $rise];
    }

    /** @return list<float> places within a third of how bad a fault may be: Gauss and Legendre's two */
    private static function within(Hypothesis $hypothesis): array
    {
        return $hypothesis->hasDegree() ? [-1.0 / 3.0, 1.0 / 3.0] : [0.0];
    }

    /** @param list<float> $likelihoods by machine */
    private static function ofAllMachines(array $likelihoods): float
    {
        $sum = $all = 0.0;
        foreach ($likelihoods as $machine => $likelihood) {
            $share = self::ALONG[$machine % \count(self::ALONG)][1];
            $sum += $share * $likelihood;
            $all += $share;
        }

        return $sum / $all;
    }

    /** @return list<float> speed over the right one, or over full speed where none is right, one a draw */
    private static function heard(Bench $bench, Simulator $simulator, Hypothesis $hypothesis, Test $test): array
    {
        $draws = DrawnValues::forJudging($bench->circuit, $simulator->solver);
        $mover = $bench->circuit->fullSpeedMover($test);
        $watched = $bench->circuit->setUps[$test->setUp];
        $right = self::soundSpeeds($bench, $simulator, $test->setUp, $test->probe->at, $draws);
        $full = self::soundSpeeds($bench, $simulator, $bench->circuit->fullSpeedSetUp($mover)->key, $mover, $draws);

        return array_map(
            static fn(float $speed, float $right, float $full): float => $hypothesis->decouples($watched)
                ? 0.0
                : $speed / (abs($right) > 1e-6 ? $right : max(abs($full), 1e-6)),
            self::speeds($bench, $simulator, $hypothesis, $test->setUp, $test->probe->at, $draws),
            $right,
            $full,
        );
    }

    /** @return list<float> one a draw */
    private static function soundSpeeds(
        Bench $bench,
        Simulator $simulator,
        string $setUp,
        string $mover,
        DrawnValues $draws,
    ): array {
        return self::$sound["{$bench->circuit->hash}|$setUp|$mover"] ??= self::speeds(
            $bench,
            $simulator,
            $bench->hypotheses['none'],
            $setUp,
            $mover,
            $draws,
        );
    }

    /** @return list<float> one a draw */
    private static function speeds(
        Bench $bench,
        Simulator $simulator,
        Hypothesis $hypothesis,
        string $setUp,
        string $mover,
        DrawnValues $draws,
    ): array {
        return array_map(
            static fn(SolvedState $state): float => $state->speed($mover),
            self::states($bench, $simulator, $hypothesis, $setUp, $draws),
        );
    }

    /** @return list<SolvedState> one a draw */
    private static function states(
        Bench $bench,
        Simulator $simulator,
        Hypothesis $hypothesis,
        string $setUp,
        DrawnValues $draws,
    ): array {
        return array_map(
            static fn(array $vector, array $degrees): SolvedState => $simulator->solver->solve(
                $simulator->valuesFor($vector, $bench->circuit->setUps[$setUp], $hypothesis->inDegree(...$degrees)),
            ),
            $draws->vectors,
            $draws->degrees,
        );
    }
}
