<?php

declare(strict_types=1);

namespace Ispira\Core\Diagnosis\Decision;

use Ispira\Core\Device\CircuitModel;
use Ispira\Core\Device\Test;
use Ispira\Core\Diagnosis\Inference\Belief;
use Ispira\Core\Diagnosis\Inference\CaseFile;
use Ispira\Core\Diagnosis\Inference\Hypothesis;
use Ispira\Core\Diagnosis\Inference\HypothesisList;
use Ispira\Core\Diagnosis\Inference\Misbehaviour;
use Ispira\Core\Diagnosis\Inference\NoStore;
use Ispira\Core\Diagnosis\Inference\Predictions;
use Ispira\Core\Diagnosis\Inference\PredictionStore;
use Ispira\Core\Diagnosis\Inference\UnknownTest;
use Ispira\Core\Kernel\Ranking;
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

    /** How much likelier the readings beyond the map are with the fault than without for ears not to be asked again. */
    private const EVIDENT = 100.0;

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
        $evidence = $this->weigh($circuit, $case, $settings);
        [$belief, $values] = [$evidence->belief, $evidence->values];
        $money = new Money($circuit, $settings);
        $suspects = $this->suspects($evidence->hypotheses, $belief->byHypothesis(), $belief, $money);
        $progress = new Progress($circuit, $case, $belief);
        $doubted = $progress->doubted();
        $choices = $values->all($progress->opened(), array_diff_key($progress->exhausted(), $doubted), $doubted);
        $misfit = $this->misfit($circuit, $case, $belief);
        $guessing = $money->wasted(array_column($suspects, 'probability', 'remedy'));
        $open = TestValues::entropy(array_column($suspects, 'probability', 'remedy'));
        $next = $this->next($choices, $suspects[0]->probability, $open);
        if ($next === null && $suspects[0]->namesParts()) {
            // Who cannot be sure looks once more at what was looked at once.
            $next = $this->canBeStated($suspects[0])
                ? $this->beforeVerdict($circuit, $progress, $suspects[0], $values)
                : $this->next($values->all($progress->opened(), $progress->takenTwice()), 0.0, $open);
        }
        $nothing = $suspects[0]->remedy === HypothesisList::NOTHING_WRONG;
        if ($next === null && $nothing && $case->standing() !== []) {
            // What was called wrong is heard once more before anybody says that nothing is.
            $next = $values->separating(
                $suspects[0]->remedy,
                $progress->opened(),
                $progress->exhausted(),
                $progress->calledWrongOnce(),
            );
            $next = $next !== null && isset($progress->calledWrongOnce()[$next->test->key]) ? $next : null;
        }
        // What is only supposed is supposed for certain.
        $stated =
            $case->supposed === null ? array_map(static fn(Suspect $s): Suspect => $s->stated(), $suspects) : $suspects;
        $verdict =
            $next === null &&
            (!$nothing || $progress->isInDoubt()) &&
            $misfit === null &&
            $case->standing() !== [] &&
            $this->canBeStated($suspects[0])
                ? $this->verdict($circuit, $progress, $suspects[0], $stated[0])
                : null;
        $evidence->predictions->keep();

        return new Diagnosis(
            $stated,
            $next,
            array_values(array_filter($choices, static fn(TestChoice $c): bool => $c->test !== $next?->test)),
            $verdict,
            $misfit,
            $guessing,
            $evidence,
            array_values(
                array_filter(
                    $circuit->tests,
                    static fn(Test $t): bool => $t->offered &&
                        $t->possible &&
                        array_intersect($t->tools, $settings->missingTools) !== [],
                ),
            ),
        );
    }

    /**
     * What the readings say, without a look at what to do next.
     *
     * @throws UnknownTest when a reading is of a test that the circuit does not have
     */
    public function weigh(CircuitModel $circuit, CaseFile $case, DecisionSettings $settings): Evidence
    {
        $this->check($circuit, $case);
        $hypotheses = HypothesisList::of($circuit, $case->intermittent, $case->replacedBefore, $case->odds);
        $predictions = new Predictions($circuit, $hypotheses[HypothesisList::NOTHING_WRONG], $this->store);
        $scale = $predictions->scale();
        $misbehaviour = new Misbehaviour($predictions, $hypotheses[HypothesisList::NOTHING_WRONG]);
        $belief = Belief::of($case, $hypotheses, $predictions, $misbehaviour, $scale);
        $foreseen = new ForeseenOutcomes(
            $hypotheses,
            $belief,
            $predictions,
            $case->intermittent ? $misbehaviour : null,
            $scale,
        );
        $money = new Money($circuit, $settings);
        $values = new TestValues($hypotheses, $belief->byHypothesis(), $circuit, $foreseen, $money, $settings);

        return new Evidence($hypotheses, $belief, $values, $foreseen, $predictions);
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
        $suspects = [];
        foreach (Ranking::largestFirst($probability) as $remedy => $chance) {
            $suspects[] = new Suspect(
                $remedy,
                $chance,
                Ranking::largestFirst($faults[$remedy]),
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
        $telling = Ranking::by($telling, static fn(TestChoice $one): float => $one->telling());

        return array_values($telling)[0] ?? null;
    }

    /** Whether a suspect is sure enough to be named, and is something that can be. */
    private function canBeStated(Suspect $suspect): bool
    {
        return $suspect->remedy !== HypothesisList::SOMETHING_ELSE && $suspect->probability >= self::STATED_FROM;
    }

    /**
     * What has to be done before a part is named: something has touched it, and where only ears and weak evidence speak
     * for a fault, they have spoken twice.
     */
    private function beforeVerdict(
        CircuitModel $circuit,
        Progress $progress,
        Suspect $suspect,
        TestValues $values,
    ): ?TestChoice {
        // Who was heard twice, or plainly, need not be asked again.
        $inDoubt = $progress->isInDoubt();
        $listen = $inDoubt ? $progress->calledWrongOnce() : [];
        $opened = $progress->opened();
        [$touched, $strength, $strongest] = $progress->found($suspect, $inDoubt);
        if (!$touched) {
            return $values->separating($suspect->remedy, $opened, $progress->exhausted(), $listen);
        }
        if ($strength >= log(self::EVIDENT) || !$inDoubt) {
            return $this->ownTest($circuit, $progress, $suspect, $values);
        }

        $all = array_fill_keys(array_keys($circuit->tests), true);

        return $values->separating($suspect->remedy, $opened, $all, $listen) ??
            ($strongest === null ? null : $values->makingSure($circuit->tests[$strongest], $opened));
    }

    /** The test that measures a part by itself, while it is not done. */
    private function ownTest(
        CircuitModel $circuit,
        Progress $progress,
        Suspect $suspect,
        TestValues $values,
    ): ?TestChoice {
        foreach (explode('+', $suspect->remedy) as $part) {
            $test = $circuit->tests[$circuit->parts[$part]->measuredBy ?? ''] ?? null;
            if ($test !== null && !isset($progress->done()[$test->key]) && $values->canDo($test)) {
                return $values->makingSure($test, $progress->opened());
            }
        }

        return null;
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

    private function verdict(CircuitModel $circuit, Progress $progress, Suspect $suspect, Suspect $stated): Verdict
    {
        $done = $progress->done();
        $left = [];
        foreach ($circuit->causeChecks as $check) {
            if (\in_array($check->part, explode('+', $suspect->remedy), true) && !isset($done[$check->test])) {
                $left[] = $check;
            }
        }

        return new Verdict($stated, $left, $suspect->probability < self::SURE);
    }
}
