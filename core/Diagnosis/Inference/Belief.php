<?php

declare(strict_types=1);

namespace Ispira\Core\Diagnosis\Inference;

use Ispira\Core\Device\Quantity;
use Ispira\Core\Device\Test;
use Ispira\Core\Reading\MeterAccuracy;
use Ispira\Core\Reading\Reading;

/**
 * Weights of all hypotheses, and how readings and replacements change them.
 */
final class Belief
{
    /** Chance that an intermittent fault shows during one visit to a set-up. */
    public const SHOWS = 0.45;

    /** Chance that it comes and goes while the fan is being listened to. */
    private const SHOWS_CHANGING = 0.6;

    /** Chance that a replaced part is faulty itself or fitted wrongly, and that a second fault was there all along. */
    private const NEW_PART_FAULTY = 0.04;
    private const SECOND_FAULT = 0.06;

    /** Share of slips in a reading from which nothing is learned from it. */
    private const DOUBTED_FROM = 0.5;

    /** Hypotheses that fall below this share of the best are not followed further within an episode. */
    private const NEGLIGIBLE = 1e-6;

    /** @var array<string, float> by hypothesis, adding up to 1 */
    public array $weights = [];

    /** @var array<string, Learned> by hypothesis */
    public array $learned = [];

    /** @var array<string, array<string, float>> after a replacement: what the weight of a hypothesis was made of */
    public array $origins = [];

    /** @var array<string, float> share of slips in each reading, by reading id */
    public array $slips = [];

    /** @var array<string, array<string, float>> likelihood by reading id and hypothesis key */
    public array $fit = [];

    /** @var array<string, int> the how-manieth of its test a reading is, by reading id */
    private array $times = [];

    /** @var array<string, array{0: Learned, 1: Learned}> what was learned, and the same over few draws, by hypothesis */
    private array $rough = [];

    /** @var array<string, array{0: float, 1: float}> likelihoods of what was heard, so that equal predictions are weighed once */
    private array $memory = [];

    /** @param array<string, Hypothesis> $hypotheses */
    public function __construct(
        private readonly array $hypotheses,
        private readonly Predictions $predictions,
        private readonly Misbehaviour $misbehaviour,
        private readonly float $scale,
    ) {
        foreach ($hypotheses as $key => $hypothesis) {
            $this->weights[$key] = $hypothesis->prior;
            $this->learned[$key] = Learned::nothing();
        }
    }

    /** @param array<string, Hypothesis> $hypotheses */
    public static function of(
        CaseFile $case,
        array $hypotheses,
        Predictions $predictions,
        Misbehaviour $misbehaviour,
        float $scale,
    ): self {
        $belief = new self($hypotheses, $predictions, $misbehaviour, $scale);
        if ($case->supposed !== null) {
            foreach ($hypotheses as $key => $hypothesis) {
                $belief->weights[$key] = $hypothesis->remedy() === $case->supposed ? $hypothesis->prior : 0.0;
            }
        }
        foreach ([null, ...$case->replacements] as $episode => $remedy) {
            if ($remedy !== null) {
                $belief->replaced(explode('+', $remedy));
            }
            $belief->take(
                array_values(array_filter($case->standing(), static fn(Reading $r): bool => $r->episode === $episode)),
            );
        }

        return $belief;
    }

    /** @return array<string, float> probability by hypothesis, largest first */
    public function byHypothesis(): array
    {
        $weights = $this->weights;
        arsort($weights);

        return $weights;
    }

    /**
     * Weighs readings of one episode.
     *
     * @param list<Reading> $readings
     */
    public function take(array $readings): void
    {
        $slips = [];
        $read = [];
        foreach ($readings as $reading) {
            $of = $reading->test . $reading->trust->value;
            $this->times[$reading->id] = $read[$of] = ($read[$of] ?? 0) + 1;
        }
        foreach ($this->tellingFirst($this->visits($readings), $slips) as $visit) {
            $floor = self::NEGLIGIBLE * max(0.0, ...array_values($this->weights));
            foreach ($this->hypotheses as $key => $hypothesis) {
                // The sound circuit is followed to the end: reasons are told against it.
                if ($this->weights[$key] < $floor && $key !== HypothesisList::NOTHING_WRONG) {
                    $this->weights[$key] = 0.0;
                    continue;
                }
                $likelihood = $this->visit($hypothesis, $visit, $slips);
                $this->weights[$key] *= $likelihood;
            }
        }
        $total = array_sum($this->weights);
        foreach ($this->weights as $key => $weight) {
            $this->weights[$key] = $total > 0.0 ? $weight / $total : 0.0;
        }
        foreach ($slips as $reading => $byHypothesis) {
            $this->slips[$reading] = 0.0;
            foreach ($byHypothesis as $key => $slip) {
                $this->slips[$reading] += $this->weights[$key] * $slip;
            }
        }
    }

    /**
     * Groups readings that were taken in one visit to a set-up: an intermittent fault shows in all of them or in none.
     *
     * @param list<Reading> $readings
     *
     * @return list<non-empty-list<Reading>>
     */
    private function visits(array $readings): array
    {
        $visits = [];
        $number = -1;
        $last = null;
        $noted = null;
        foreach ($readings as $reading) {
            $setUp = $this->predictions->circuit->tests[$reading->test]->setUp . $reading->trust->value;
            if (
                $setUp !== $last ||
                ($noted !== null && $reading->misbehaved !== null && $noted !== $reading->misbehaved)
            ) {
                ++$number;
                $noted = null;
            }
            $noted ??= $reading->misbehaved;
            $visits[$number][] = $reading;
            $last = $setUp;
        }

        return array_values($visits);
    }

    /**
     * The leading visits in which only eyes and ears judged teach no value, so that their order is free: what fits
     * the sound circuit least goes first. Hypotheses it refutes then need no prediction for the others.
     *
     * @param list<non-empty-list<Reading>> $visits
     * @param array<string, array<string, float>> $slips
     *
     * @return list<non-empty-list<Reading>>
     */
    private function tellingFirst(array $visits, array $slips): array
    {
        $judged = 0;
        $sound = [];
        while (
            isset($visits[$judged]) &&
            !array_filter(
                $visits[$judged],
                fn(Reading $r): bool => $this->predictions->circuit->tests[$r->test]->probe->quantity->isNumber(),
            )
        ) {
            $sound[] = $this->visit($this->hypotheses[HypothesisList::NOTHING_WRONG], $visits[$judged], $slips);
            ++$judged;
        }
        asort($sound);

        return [
            ...array_map(static fn(int $number): array => $visits[$number], array_keys($sound)),
            ...\array_slice($visits, $judged),
        ];
    }

    /**
     * Likelihood of the readings of one visit; what they teach goes into {@see $learned}.
     *
     * @param non-empty-list<Reading> $visit
     * @param array<string, array<string, float>> $slips filled by reading and hypothesis
     */
    private function visit(Hypothesis $hypothesis, array $visit, array &$slips): float
    {
        $start = $this->learned[$hypothesis->key];
        $noted = array_values(array_filter(array_column($visit, 'misbehaved'), is_bool(...)))[0] ?? null;
        $setUp = $this->predictions->circuit->tests[$visit[0]->test]->setUp;
        [$present, $learned, $shares] = $this->follow($hypothesis, $hypothesis, $visit, $start);
        $present *=
            $noted === null
                ? 1.0
                : Misbehaviour::likelihood($noted, $this->misbehaviour->isNoticed($hypothesis, $setUp));
        $likelihood = $present;
        $shown = 1.0;
        if ($hypothesis->comesAndGoes) {
            [$absent, $otherwise, $otherShares] = $this->follow(
                $hypothesis,
                $this->hypotheses[HypothesisList::NOTHING_WRONG],
                $visit,
                $start,
            );
            $absent *= $noted === null ? 1.0 : Misbehaviour::likelihood($noted, false);
            $likelihood = self::SHOWS * $present + (1.0 - self::SHOWS) * $absent;
            $shown = $likelihood > 0.0 ? (self::SHOWS * $present) / $likelihood : 0.0;
            $learned = $shown > 0.5 ? $learned : $otherwise;
        }
        $this->learned[$hypothesis->key] = $learned;
        foreach ($visit as $number => $reading) {
            [$fit, $slip] = $shares[$number];
            if (isset($otherShares)) {
                $fit = self::SHOWS * $fit + (1.0 - self::SHOWS) * $otherShares[$number][0];
                $slip = $shown * $slip + (1.0 - $shown) * $otherShares[$number][1];
            }
            $this->fit[$reading->id][$hypothesis->key] = $fit;
            $slips[$reading->id][$hypothesis->key] = $slip;
        }

        return $likelihood;
    }

    /**
     * Follows the readings of a visit with the circuit in one state.
     *
     * @param Hypothesis $state the hypothesis itself, or the sound circuit while an intermittent fault is away
     * @param non-empty-list<Reading> $visit
     *
     * @return array{0: float, 1: Learned, 2: list<array{0: float, 1: float}>} likelihood, what was learned, and likelihood and share of slip of each reading
     */
    private function follow(Hypothesis $hypothesis, Hypothesis $state, array $visit, Learned $learned): array
    {
        $likelihood = 1.0;
        $shares = [];
        foreach ($visit as $reading) {
            $test = $this->predictions->circuit->tests[$reading->test];
            if ($test->probe->quantity->isNumber()) {
                [$one, $fits, $learned] = $this->number($hypothesis, $state, $reading, $test, $learned);
            } else {
                [$one, $fits] = $this->choice($hypothesis, $state, $reading, $test);
                // The same eyes and ears judge alike again: a repeat counts in part.
                $again = $hypothesis->comesAndGoes || $test->repeatable ? 1.0 : 1.0 / $this->times[$reading->id];
                [$one, $fits] = [$one ** $again, $one > 0.0 ? ($fits / $one) * $one ** $again : 0.0];
            }
            $likelihood *= $one;
            $shares[] = [$one, $one > 0.0 ? 1.0 - $fits / $one : 1.0];
        }

        return [$likelihood, $learned, $shares];
    }

    /** @return array{0: float, 1: float, 2: Learned} likelihood, its part that is no slip, and what was learned */
    private function number(
        Hypothesis $hypothesis,
        Hypothesis $state,
        Reading $reading,
        Test $test,
        Learned $learned,
    ): array {
        $quantity = $test->probe->quantity;
        $numbers = $this->predictions->of($state, $test);
        $slip = $reading->slip();
        $steadiness =
            $this->times[$reading->id] > 1
                ? 1.0
                : Likelihood::ofSteadiness(
                    $reading->steady,
                    $hypothesis->isLoose() && $this->runsThrough($hypothesis, $test),
                );
        if (\is_string($reading->value) || $reading->value === null || is_infinite($numbers[0])) {
            [$one, $fits] = Likelihood::ofOpen(
                $quantity,
                $reading->value === null ? null : (float) $reading->value,
                is_infinite($numbers[0]),
                $slip,
                $this->scale,
            );

            return [$one * $steadiness, $fits * $steadiness, $learned];
        }
        $numbers = $this->predictions->atSupply($numbers, $reading, $test);
        [$mean, $variance] = $learned->expect($numbers);
        // The same meter on the same place errs alike again: a repeat adds little.
        $own = (MeterAccuracy::spread($quantity, $mean) * $this->times[$reading->id] * $reading->widening()) ** 2;
        $fits = (1.0 - $slip) * Likelihood::normalDensity($reading->value, $mean, sqrt($variance + $own));
        $one = $fits + $slip * Likelihood::slipDensity($quantity, $reading->value, $this->scale);
        if ($fits > self::DOUBTED_FROM * $one) {
            $learned = $learned->with($numbers, $reading->value, $own, new Lesson($state, $reading, $own));
        }

        return [$one * $steadiness, $fits * $steadiness, $learned];
    }

    /**
     * What a hypothesis has learned, retold over the few draws for judging: enough to choose which tests are worth a
     * closer look.
     */
    public function roughly(string $hypothesis): Learned
    {
        $learned = $this->learned[$hypothesis];
        if ($learned->lessons === []) {
            return $learned;
        }
        if (($this->rough[$hypothesis][0] ?? null) !== $learned) {
            $rough = Learned::nothing();
            foreach ($learned->lessons as $lesson) {
                $test = $this->predictions->circuit->tests[$lesson->reading->test];
                $rough = $rough->with(
                    $this->predictions->atSupply(
                        $this->predictions->few($lesson->state, $test),
                        $lesson->reading,
                        $test,
                    ),
                    (float) $lesson->reading->value,
                    $lesson->variance,
                );
            }
            $this->rough[$hypothesis] = [$learned, $rough];
        }

        return $this->rough[$hypothesis][1];
    }

    /** Whether the fault of a hypothesis changes what a test shows: only then can its bad joint be felt there. */
    private function runsThrough(Hypothesis $hypothesis, Test $test): bool
    {
        $with = $this->predictions->of($hypothesis, $test)[0];
        $without = $this->predictions->of($this->hypotheses[HypothesisList::NOTHING_WRONG], $test)[0];

        return MeterAccuracy::tellsApart($test->probe->quantity, $with, $without);
    }

    /** @return array{0: float, 1: float} */
    private function choice(Hypothesis $hypothesis, Hypothesis $state, Reading $reading, Test $test): array
    {
        $slip = $reading->slip();
        if ($test->probe->quantity === Quantity::Observation) {
            $usual = $this->predictions->circuit->observations[$test->probe->at]->usual;

            return Likelihood::ofChoice(
                Likelihood::observed($hypothesis, $test, $usual),
                (string) $reading->value,
                $slip,
            );
        }
        if ($hypothesis->comesAndGoes && $state === $hypothesis && $this->noticed($hypothesis, $test)) {
            $changing = $reading->value === SpeedState::CutsOut->value ? 0.95 : 0.01;
            [$one, $fits] = $this->heard($state, $reading, $test, $slip);

            return [
                self::SHOWS_CHANGING * $changing + (1.0 - self::SHOWS_CHANGING) * $one,
                self::SHOWS_CHANGING * $changing + (1.0 - self::SHOWS_CHANGING) * $fits,
            ];
        }

        return $this->heard($state, $reading, $test, $slip);
    }

    private function noticed(Hypothesis $hypothesis, Test $test): bool
    {
        return Misbehaviour::differs(
            $this->predictions->of($hypothesis, $test)[0],
            $this->predictions->of($this->hypotheses[HypothesisList::NOTHING_WRONG], $test)[0],
        );
    }

    /** @return array{0: float, 1: float} mean over the draws */
    private function heard(Hypothesis $state, Reading $reading, Test $test, float $slip): array
    {
        $packed = $this->predictions->packed($state, $test);
        $memory = "$reading->id|$packed";
        if (!isset($this->memory[$memory])) {
            $sums = [0.0, 0.0];
            $ratios = Predictions::unpacked($packed);
            foreach ($ratios as $ratio) {
                [$one, $fits] = Likelihood::ofChoice(
                    Judged::chances($this->predictions->circuit, $test, $ratio),
                    (string) $reading->value,
                    $slip,
                );
                $sums[0] += $one;
                $sums[1] += $fits;
            }
            $this->memory[$memory] = [$sums[0] / \count($ratios), $sums[1] / \count($ratios)];
        }

        return $this->memory[$memory];
    }

    /**
     * Carries the belief over a replacement: what was true before decides what can be true after.
     *
     * A fault of another part is still there ("the verdict was wrong"); of a pair, the half that was
     * not replaced remains ("the cause was not removed"); where the right part was changed, all is
     * well, or a second fault comes to light, or the new part has a fault of its own.
     *
     * @param list<string> $parts
     */
    private function replaced(array $parts): void
    {
        $before = $this->weights;
        $this->weights = array_fill_keys(array_keys($before), 0.0);
        $this->origins = [];
        $cured = 0.0;
        foreach ($this->hypotheses as $key => $hypothesis) {
            $left = array_values(array_diff($hypothesis->parts, $parts));
            if ($left === []) {
                $cured += $before[$key];
            } elseif (\count($left) === \count($hypothesis->parts)) {
                $this->addOrigin($key, 'verdict-wrong', $before[$key]);
            } else {
                $this->addOrigin($this->remainder($hypothesis, $left) ?? $key, 'cause-remains', $before[$key]);
            }
        }
        $priors = ['new-part' => 1e-12, 'second-fault' => 1e-12];
        $origins = [];
        foreach ($this->hypotheses as $key => $hypothesis) {
            if (\count($hypothesis->parts) === 1) {
                $origins[$key] = \in_array($hypothesis->parts[0], $parts, true) ? 'new-part' : 'second-fault';
                $priors[$origins[$key]] += $hypothesis->prior;
            }
        }
        foreach ($origins as $key => $origin) {
            $chance = $origin === 'new-part' ? self::NEW_PART_FAULTY : self::SECOND_FAULT;
            $this->addOrigin($key, $origin, ($cured * $chance * $this->hypotheses[$key]->prior) / $priors[$origin]);
        }
        $this->addOrigin(
            HypothesisList::NOTHING_WRONG,
            'cured',
            $cured * (1.0 - self::NEW_PART_FAULTY - self::SECOND_FAULT),
        );
    }

    private function addOrigin(string $key, string $origin, float $weight): void
    {
        $this->weights[$key] += $weight;
        $this->origins[$key][$origin] = ($this->origins[$key][$origin] ?? 0.0) + $weight;
    }

    /** @param list<string> $left parts of the hypothesis that were not replaced */
    private function remainder(Hypothesis $hypothesis, array $left): ?string
    {
        foreach ($hypothesis->faults as $number => $fault) {
            if (\in_array($fault->part, $left, true)) {
                $single = explode('+', $hypothesis->key)[$number] ?? '';

                return isset($this->hypotheses[$single]) ? $single : null;
            }
        }

        return null;
    }
}
