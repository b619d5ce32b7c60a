<?php

declare(strict_types=1);

namespace Ispira\Core\Diagnosis\Decision;

use Ispira\Core\Device\CircuitModel;
use Ispira\Core\Device\Quantity;
use Ispira\Core\Device\Test;
use Ispira\Core\Diagnosis\Inference\Belief;
use Ispira\Core\Diagnosis\Inference\CaseFile;
use Ispira\Core\Diagnosis\Inference\Hypothesis;
use Ispira\Core\Diagnosis\Inference\HypothesisList;
use Ispira\Core\Diagnosis\Inference\Misbehaviour;
use Ispira\Core\Diagnosis\Inference\NoStore;
use Ispira\Core\Diagnosis\Inference\Predictions;
use Ispira\Core\Diagnosis\Inference\PredictionStore;
use Ispira\Core\Diagnosis\Inference\SpeedState;
use Ispira\Core\Diagnosis\Inference\UnknownTest;
use Ispira\Core\Reading\Reading;
use Ispira\Core\Reading\Trust;

/**
 * Weighs every fault of a circuit against the readings, and says what to do next.
 */
final readonly class Engine
{
    /** Share of slips in a reading from which it counts as not explained. */
    private const UNEXPLAINED = 0.8;

    /** Verdict without a doubt worth money still needs this probability while a test could raise it. */
    public const SURE = 0.97;

    /** Probability under which nobody is named: better to say that it is not clear. */
    private const STATED_FROM = 0.7;

    /** How much likelier a reading has to be with the fault than without for it to have touched it. */
    private const TOUCHES = 4.0;

    /** How much likelier the readings beyond the map are with the fault than without for ears not to be asked again. */
    private const EVIDENT = 100.0;

    private const MOST_REPEATS = 3;

    /** Share of slips in a reading from which it is worth taking once more. */
    public const DOUBTED = 0.05;

    /** Information in bits under which a test separates nothing. */
    public const TELLS_NOTHING = 0.015;

    /** The same as a share of what is still open: whoever is nearly sure learns nothing from a test like that. */
    private const TELLS_LITTLE = 0.06;

    public function __construct(private PredictionStore $store = new NoStore()) {}

    /**
     * @throws UnknownTest when a reading is of a test that the circuit does not have
     */
    public function diagnose(CircuitModel $circuit, CaseFile $case, DecisionSettings $settings): Diagnosis
    {
        $this->check($circuit, $case);
        $hypotheses = HypothesisList::of($circuit, $case->intermittent, $case->replacedBefore);
        $predictions = new Predictions($circuit, $hypotheses[HypothesisList::NOTHING_WRONG], $this->store);
        $scale = $predictions->usualSupply() / 13.0;
        $misbehaviour = new Misbehaviour($predictions, $hypotheses[HypothesisList::NOTHING_WRONG]);
        $belief = Belief::of($case, $hypotheses, $predictions, $misbehaviour, $scale);
        $byHypothesis = $belief->byHypothesis();
        $money = new Money($circuit, $settings);
        $suspects = $this->suspects($hypotheses, $byHypothesis, $belief, $money);
        $foreseen = new ForeseenOutcomes(
            $hypotheses,
            $belief,
            $predictions,
            $case->intermittent ? $misbehaviour : null,
            $scale,
        );
        $values = new TestValues($hypotheses, $byHypothesis, $circuit, $foreseen, $money, $settings);
        $doubted = $this->doubted($case, $belief);
        $choices = $values->all(
            $this->opened($circuit, $case),
            array_diff_key($this->exhausted($circuit, $case), $doubted),
            $doubted,
        );
        $misfit = $this->misfit($circuit, $case, $belief);
        $guessing = $money->wasted(array_column($suspects, 'probability', 'remedy'));
        $open = TestValues::entropy(array_column($suspects, 'probability', 'remedy'));
        $next = $this->next($choices, $suspects[0]->probability, $open);
        if ($next === null && $suspects[0]->namesParts()) {
            $next = $this->beforeVerdict($circuit, $case, $suspects[0], $belief, $values);
        }
        $verdict =
            $next === null && $misfit === null && $case->standing() !== [] && $this->canBeStated($suspects[0])
                ? $this->verdict($circuit, $case, $suspects[0])
                : null;
        $predictions->keep();

        return new Diagnosis(
            $suspects,
            $next,
            array_values(array_filter($choices, static fn(TestChoice $c): bool => $c !== $next)),
            $verdict,
            $misfit,
            $guessing,
            new Evidence($hypotheses, $belief, $values, $foreseen, $predictions),
            array_values(
                array_filter(
                    $circuit->tests,
                    static fn(Test $t): bool => $t->offered &&
                        array_intersect($t->tools, $settings->missingTools) !== [],
                ),
            ),
        );
    }

    private function check(CircuitModel $circuit, CaseFile $case): void
    {
        foreach ($case->readings as $reading) {
            if (!isset($circuit->tests[$reading->test])) {
                throw new UnknownTest($reading->test);
            }
        }
    }

    /**
     * @param array<string, Hypothesis> $hypotheses
     * @param array<string, float>      $byHypothesis
     *
     * @return non-empty-list<Suspect>
     */
    private function suspects(array $hypotheses, array $byHypothesis, Belief $belief, Money $money): array
    {
        $probability = [];
        $faults = [];
        $examples = [];
        $origins = [];
        foreach ($byHypothesis as $key => $chance) {
            $hypothesis = $hypotheses[$key];
            $remedy = $hypothesis->remedy();
            $fault = $hypothesis->faultKey();
            $probability[$remedy] = ($probability[$remedy] ?? 0.0) + $chance;
            $faults[$remedy][$fault] = ($faults[$remedy][$fault] ?? 0.0) + $chance;
            $examples[$remedy][$fault] ??= $hypothesis;
            $before = array_sum($belief->origins[$key] ?? []);
            foreach ($belief->origins[$key] ?? [] as $origin => $weight) {
                $origins[$remedy][$origin] =
                    ($origins[$remedy][$origin] ?? 0.0) + ($before > 0.0 ? ($chance * $weight) / $before : 0.0);
            }
        }
        arsort($probability);
        $suspects = [];
        foreach ($probability as $remedy => $chance) {
            arsort($faults[$remedy]);
            $suspects[] = new Suspect(
                $remedy,
                $chance,
                $faults[$remedy],
                $examples[$remedy],
                $money->ofRemedy($remedy),
                $origins[$remedy] ?? [],
            );
        }

        return $suspects === [] ? throw new \LogicException('A circuit without hypotheses.') : $suspects;
    }

    /**
     * The test to do next: the one that saves most beyond its cost; failing that, while the
     * leading suspect is not sure, the one that tells most for its minutes.
     *
     * @param list<TestChoice> $choices best gain first
     * @param float            $open    bits that are still open
     */
    private function next(array $choices, float $leading, float $open): ?TestChoice
    {
        if ($choices !== [] && $choices[0]->gain() > 0.0) {
            return $choices[0];
        }
        if ($leading >= self::SURE) {
            return null;
        }
        $least = max(self::TELLS_NOTHING, self::TELLS_LITTLE * $open);
        $telling = array_filter($choices, static fn(TestChoice $c): bool => $c->information > $least);
        usort(
            $telling,
            static fn(TestChoice $a, TestChoice $b): int => $b->information / $b->minutes <=>
                $a->information / $a->minutes,
        );

        return $telling[0] ?? null;
    }

    /** Whether a suspect is sure enough to be named, and is something that can be. */
    private function canBeStated(Suspect $suspect): bool
    {
        return $suspect->remedy !== HypothesisList::SOMETHING_ELSE && $suspect->probability >= self::STATED_FROM;
    }

    /** @return array<string, true> speeds of the map that were called wrong, and heard no second time */
    private function calledWrongOnce(CircuitModel $circuit, CaseFile $case): array
    {
        $wrong = $times = [];
        foreach ($case->present() as $reading) {
            $test = $circuit->tests[$reading->test];
            if ($test->probe->quantity === Quantity::Speed) {
                $times[$test->key] = ($times[$test->key] ?? 0) + 1;
                if (!$test->offered && $reading->value !== SpeedState::Right->value) {
                    $wrong[$test->key] = true;
                }
            }
        }

        return array_filter($wrong, static fn(string $test): bool => $times[$test] === 1, \ARRAY_FILTER_USE_KEY);
    }

    /**
     * What has to be done before a part is named: something has touched it, and where only ears and weak evidence speak
     * for a fault, they have spoken twice.
     */
    private function beforeVerdict(
        CircuitModel $circuit,
        CaseFile $case,
        Suspect $suspect,
        Belief $belief,
        TestValues $values,
    ): ?TestChoice {
        // Who was heard twice, or plainly, need not be asked again.
        $inDoubt = $this->isInDoubt($circuit, $case);
        $listen = $inDoubt ? $this->calledWrongOnce($circuit, $case) : [];
        $opened = $this->opened($circuit, $case);
        [$touched, $strength, $strongest] = $this->found($circuit, $case, $suspect, $belief, $inDoubt);
        if (!$touched) {
            return $values->separating($suspect->remedy, $opened, $this->exhausted($circuit, $case), $listen);
        }
        if ($strength >= log(self::EVIDENT) || !$inDoubt) {
            return null;
        }

        return $values->separating(
            $suspect->remedy,
            $opened,
            array_fill_keys(array_keys($circuit->tests), true),
            $listen,
        );
    }

    /**
     * What tests beyond the map found: whether one shows what only the fault explains, or was taken at the part of a
     * machine that surely fails; how strongly they speak for the fault against nothing wrong, as a natural logarithm,
     * without the strongest, which may be a slip; and which that is, where it was taken only once.
     *
     * @return array{0: bool, 1: float, 2: string|null}
     */
    private function found(
        CircuitModel $circuit,
        CaseFile $case,
        Suspect $suspect,
        Belief $belief,
        bool $inDoubt,
    ): array {
        $own = $suspect->leading()->key;
        $touched = false;
        $speaks = $times = [];
        foreach ($case->present() as $reading) {
            $test = $circuit->tests[$reading->test];
            if (!$test->offered) {
                continue;
            }
            $fit = $belief->fit[$reading->id] ?? [];
            $ratio = max($fit[$own] ?? 0.0, 1e-12) / max($fit[HypothesisList::NOTHING_WRONG] ?? 0.0, 1e-12);
            $speaks[$test->key] = max($speaks[$test->key] ?? -\INF, log($ratio));
            $times[$test->key] = ($times[$test->key] ?? 0) + 1;
            $touched = $touched || $ratio > self::TOUCHES;
            foreach ($inDoubt ? [] : explode('+', $suspect->remedy) as $part) {
                $touched = $touched || $circuit->touches($test, $part);
            }
        }

        arsort($speaks);
        $strongest = array_key_first($speaks);
        $once = $strongest !== null && $times[$strongest] === 1 && $speaks[$strongest] > 0.0;

        return [$touched, array_sum($speaks) - max([0.0, ...array_values($speaks)]), $once ? $strongest : null];
    }

    /**
     * Whether it may be that nothing is wrong: no position was called wrong twice, and not two were called dead, or
     * running where they should stand, which nobody mishears.
     */
    private function isInDoubt(CircuitModel $circuit, CaseFile $case): bool
    {
        $times = [];
        $plain = 0;
        foreach ($case->present() as $reading) {
            if ($circuit->tests[$reading->test]->probe->quantity === Quantity::Speed) {
                $state = SpeedState::tryFrom((string) $reading->value);
                $wrong = $state !== SpeedState::Right;
                $times[$reading->test] = ($times[$reading->test] ?? 0) + ($wrong ? 1 : 0);
                $plain += $wrong && $state !== SpeedState::Slow && $state !== SpeedState::Fast ? 1 : 0;
            }
        }

        return $plain < 2 && ($times === [] || max($times) < 2);
    }

    private function misfit(CircuitModel $circuit, CaseFile $case, Belief $belief): ?Misfit
    {
        $spoiling = [];
        foreach ($case->facts($circuit) as $reading) {
            $slip = $belief->slips[$reading->id] ?? 0.0;
            // What was read twice or kept is a fact: then the machine is odd, not the reading.
            if ($slip > self::UNEXPLAINED && $reading->trust === Trust::Measured && !$reading->kept) {
                $spoiling[$reading->id] = $slip;
            }
        }
        arsort($spoiling);

        return $spoiling === [] ? null : new Misfit(array_map(strval(...), array_keys($spoiling)));
    }

    private function verdict(CircuitModel $circuit, CaseFile $case, Suspect $suspect): Verdict
    {
        $done = $this->done($case);
        $left = [];
        foreach ($circuit->causeChecks as $check) {
            if (\in_array($check->part, explode('+', $suspect->remedy), true) && !isset($done[$check->test])) {
                $left[] = $check;
            }
        }

        return new Verdict($suspect, $left, $suspect->probability < self::SURE);
    }

    /** @return list<string> */
    private function opened(CircuitModel $circuit, CaseFile $case): array
    {
        $places = [];
        foreach ($case->readings as $reading) {
            array_push($places, ...$circuit->tests[$reading->test]->access);
        }

        return array_values(array_unique($places));
    }

    /**
     * Tests that would only repeat themselves. Moving a part by hand is worth a second try while the fault comes and
     * goes.
     *
     * @return array<string, true>
     */
    private function exhausted(CircuitModel $circuit, CaseFile $case): array
    {
        $done = $this->done($case);
        if (!$case->intermittent) {
            return $done;
        }
        $times = array_count_values(array_map(static fn(Reading $r): string => $r->test, $case->standing()));

        return array_filter(
            $done,
            static fn(string $test): bool => !$circuit->tests[$test]->repeatable || $times[$test] >= self::MOST_REPEATS,
            \ARRAY_FILTER_USE_KEY,
        );
    }

    /**
     * Tests read once whose reading may well be a slip, as the other readings stand.
     *
     * @return array<string, true>
     */
    private function doubted(CaseFile $case, Belief $belief): array
    {
        $doubted = [];
        $times = [];
        foreach ($case->present() as $reading) {
            if ($reading->trust === Trust::Measured) {
                $times[$reading->test] = ($times[$reading->test] ?? 0) + 1;
                if (($belief->slips[$reading->id] ?? 0.0) > self::DOUBTED) {
                    $doubted[$reading->test] = true;
                }
            }
        }

        return array_filter($doubted, static fn(string $test): bool => $times[$test] === 1, \ARRAY_FILTER_USE_KEY);
    }

    /** @return array<string, true> tests with a standing reading in the present episode */
    private function done(CaseFile $case): array
    {
        return array_fill_keys(array_map(static fn(Reading $r): string => $r->test, $case->present()), true);
    }
}
