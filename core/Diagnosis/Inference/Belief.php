<?php

declare(strict_types=1);

namespace Ispira\Core\Diagnosis\Inference;

use Ispira\Core\Kernel\Ranking;
use Ispira\Core\Reading\Reading;

/**
 * Weights of all hypotheses, and how readings and replacements change them.
 */
final class Belief
{
    /** Chance that an intermittent fault shows during one visit to a set-up. */
    public const SHOWS = 0.45;

    /** Chance that a replaced part is faulty itself or fitted wrongly, and that a second fault was there all along. */
    private const NEW_PART_FAULTY = 0.04;
    private const SECOND_FAULT = 0.06;

    /** @var array<string, float> by hypothesis, adding up to 1 */
    public array $weights = [];

    /** @var array<string, Assimilation> what the numbers of the present attempt taught, by hypothesis */
    public array $learned = [];

    /** @var array<string, array<string, float>> after a replacement: what the weight of a hypothesis was made of */
    public array $origins = [];

    /** @var array<string, float> share of slips in each reading, by reading id */
    public array $slips = [];

    /** @var array<string, array<string, float>> likelihood by reading id and hypothesis key */
    public array $fit = [];

    /** @var array<string, list<float>> what was heard in visits without numbers, by hypothesis and machine: {@see Heard} */
    private array $heard = [];

    /** @var array<string, Posterior> the same over all draws or over the few, by hypothesis */
    private array $posteriors = [];

    private readonly Judging $judging;

    private readonly SomethingElse $somethingElse;

    /** @param array<string, Hypothesis> $hypotheses */
    public function __construct(
        private readonly array $hypotheses,
        private readonly Predictions $predictions,
        private readonly Misbehaviour $misbehaviour,
        private readonly float $scale,
    ) {
        $sound = $hypotheses[HypothesisList::NOTHING_WRONG];
        $this->judging = new Judging($predictions, $sound, new Heard($predictions));
        $this->somethingElse = new SomethingElse($predictions, $this->judging, $sound, $scale);
        foreach ($hypotheses as $key => $hypothesis) {
            $this->weights[$key] = $hypothesis->prior;
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
        $facts = $case->facts($predictions->circuit);
        foreach ([null, ...$case->replacements] as $episode => $remedy) {
            if ($remedy !== null) {
                $belief->replaced(explode('+', $remedy));
            }
            $belief->take(array_values(array_filter($facts, static fn(Reading $r): bool => $r->episode === $episode)));
        }

        return $belief;
    }

    /** @return array<string, float> probability by hypothesis, largest first */
    public function byHypothesis(): array
    {
        return Ranking::largestFirst($this->weights);
    }

    /**
     * Weighs the readings of one attempt at a repair, all together: their order does not matter.
     *
     * @param list<Reading> $readings
     */
    public function take(array $readings): void
    {
        $this->learned = $this->posteriors = $this->heard = [];
        $visits = Visit::all($this->predictions->circuit, $readings);
        $log = $slips = [];
        foreach ($this->weights as $key => $weight) {
            if ($weight > 0.0) {
                $log[$key] = log($weight);
            }
        }
        $judged = array_filter($visits, static fn(Visit $v): bool => $v->measurements === []);
        $measured = array_filter($visits, static fn(Visit $v): bool => $v->measurements !== []);
        foreach ($this->tellingFirst($judged) as $visit) {
            $log = Screening::followed($log);
            foreach ($log as $key => $_) {
                [$more, $this->heard[$key]] = $this->weigh($this->hypotheses[$key], [$visit], $slips);
                $log[$key] += $more;
            }
        }
        $log = Screening::followed($log);
        $this->settle($measured === [] ? $log : $this->measured($log, array_values($measured), $slips), $slips);
    }

    /**
     * Weighs the numbers: over the few draws first, of more and more visits, and over all where that leaves a
     * hypothesis in question.
     *
     * @param array<string, float>                $log
     * @param list<Visit>                         $visits
     * @param array<string, array<string, float>> $slips
     *
     * @return array<string, float>
     */
    private function measured(array $log, array $visits, array &$slips): array
    {
        // In an order of their own, so that what was read first does not decide what is followed.
        usort($visits, static fn(Visit $a, Visit $b): int => $a->key <=> $b->key);
        for ($first = 1; ; $first *= 2) {
            $some = \array_slice($visits, 0, $first);
            $numbers = array_sum(array_map(static fn(Visit $v): int => \count($v->measurements), $some));
            $roughly = [];
            foreach ($log as $key => $one) {
                $roughly[$key] = $one + $this->weigh($this->hypotheses[$key], $some, $slips, true)[0];
            }
            if ($first >= \count($visits)) {
                break;
            }
            $log = array_intersect_key($log, Screening::followed($roughly, $numbers));
        }
        $floor = Screening::worthAllDraws($roughly, $numbers);
        foreach ($log as $key => $one) {
            $log[$key] =
                $roughly[$key] < $floor && $key !== HypothesisList::NOTHING_WRONG
                    ? $roughly[$key]
                    : $one + $this->weigh($this->hypotheses[$key], $visits, $slips)[0];
        }

        return $log;
    }

    /**
     * @param array<string, float>                $log
     * @param array<string, array<string, float>> $slips by reading and hypothesis
     */
    private function settle(array $log, array $slips): void
    {
        $most = $log === [] ? 0.0 : max($log);
        $this->weights = array_fill_keys(array_keys($this->weights), 0.0);
        foreach ($log as $key => $one) {
            $this->weights[$key] = exp($one - $most);
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
     * Visits in which only eyes and ears judged, those first that fit the sound circuit least: hypotheses that these
     * refute need no prediction for the others.
     *
     * @param array<array-key, Visit> $visits
     *
     * @return list<Visit>
     */
    private function tellingFirst(array $visits): array
    {
        $sound = [];
        foreach ($visits as $number => $visit) {
            $slips = [];
            $sound[$number] = $this->weigh($this->hypotheses[HypothesisList::NOTHING_WRONG], [$visit], $slips)[0];
        }
        asort($sound);

        return array_map(static fn(int|string $number): Visit => $visits[$number], array_keys($sound));
    }

    /**
     * Natural logarithm of the likelihood of visits after those of {@see $heard}, and what was heard with theirs, by
     * machine; what they teach goes into {@see $learned}.
     *
     * @param list<Visit>                         $visits
     * @param array<string, array<string, float>> $slips  filled by reading and hypothesis
     * @param bool                                $few    over the few draws for judging
     *
     * @return array{0: float, 1: list<float>}
     */
    private function weigh(Hypothesis $hypothesis, array $visits, array &$slips, bool $few = false): array
    {
        $before = $heard = $this->heard[$hypothesis->key] ?? [];
        $sound = $this->hypotheses[HypothesisList::NOTHING_WRONG];
        $log = 0.0;
        $measured = [];
        foreach ($visits as $visit) {
            if ($hypothesis->key === HypothesisList::SOMETHING_ELSE) {
                $log += $this->counted($this->somethingElse->weigh($visit), $hypothesis, $slips);
                continue;
            }
            $state = $hypothesis;
            $present = $this->judging->weigh($hypothesis, $state, $visit, $this->noticed($visit, $hypothesis));
            if ($hypothesis->comesAndGoes) {
                $absent = $this->judging->weigh($hypothesis, $sound, $visit, false);
                $numbers = [$this->alone($hypothesis, $visit, $few), $this->alone($sound, $visit, $few)];
                $shows = log(self::SHOWS) + $present->log + $numbers[0];
                $away = log(1.0 - self::SHOWS) + $absent->log + $numbers[1];
                [$state, $chosen, $other] =
                    $shows > $away ? [$hypothesis, $present, $away - $shows] : [$sound, $absent, $shows - $away];
                $log += log($shows > $away ? self::SHOWS : 1.0 - self::SHOWS) + log1p(exp($other));
                $present = $present->mixed($absent, 1.0 / (1.0 + exp($away - $shows)), self::SHOWS, $chosen->log);
            }
            $log += $this->counted($present, $hypothesis, $slips);
            $heard = Heard::and($heard, $present->heard);
            foreach ($visit->measurements as $measurement) {
                $measured[] = [$measurement, $state];
            }
        }
        // Of what was heard before nothing else is said where nothing was added.
        $log += $heard === $before ? 0.0 : Heard::together($heard) - Heard::together($before);
        if ($measured === []) {
            return [$log, $heard];
        }
        $learned = $this->learned[$hypothesis->key] = Assimilation::of(
            $measured,
            $this->predictions,
            $this->scale,
            $few,
        );
        foreach ($measured as $number => [$measurement]) {
            foreach ($measurement->readings as $reading) {
                $this->fit[$reading->id][$hypothesis->key] = $learned->fits[$number];
                $slips[$reading->id][$hypothesis->key] = $learned->slips[$number];
            }
        }

        return [$log + $learned->logEvidence, $heard];
    }

    /** @param array<string, array<string, float>> $slips */
    private function counted(Weighed $weighed, Hypothesis $hypothesis, array &$slips): float
    {
        foreach ($weighed->fits as $reading => $fit) {
            $this->fit[$reading][$hypothesis->key] = $fit;
            $slips[$reading][$hypothesis->key] = $weighed->slips[$reading];
        }

        return $weighed->log;
    }

    private function noticed(Visit $visit, Hypothesis $hypothesis): bool
    {
        return $visit->misbehaved !== null && $this->misbehaviour->isNoticed($hypothesis, $visit->setUp);
    }

    /** Natural logarithm of the likelihood of the numbers of one visit alone. */
    private function alone(Hypothesis $state, Visit $visit, bool $few): float
    {
        $measured = array_map(static fn(Measurement $m): array => [$m, $state], $visit->measurements);

        return Assimilation::of($measured, $this->predictions, $this->scale, $few)->logEvidence;
    }

    /** What the numbers taught under a hypothesis, over all draws or over the few for judging. */
    public function posterior(string $hypothesis, bool $roughly = false): Posterior
    {
        $learned = $this->learned[$hypothesis] ?? null;
        if ($learned === null) {
            return Posterior::nothing();
        }

        return $this->posteriors[$hypothesis . ($roughly ? '|few' : '')] ??= $learned->over(
            $roughly,
            $this->predictions,
        );
    }

    /**
     * Carries the belief over a replacement: what was true before decides what can be true after.
     *
     * A fault of another part is still there ("the verdict was wrong"); of a pair, the half that was
     * not replaced remains ("the cause was not removed"); where the right part was changed, all is
     * well, or a second fault comes to light, or the new part has a fault of its own. Where half of a pair was changed,
     * what it was paired with may as well have been another fault, that has nothing to do with it.
     *
     * @param list<string> $parts
     */
    private function replaced(array $parts): void
    {
        $before = $this->weights;
        $this->weights = array_fill_keys(array_keys($before), 0.0);
        $this->origins = [];
        $cured = $halved = 0.0;
        foreach ($this->hypotheses as $key => $hypothesis) {
            $left = array_values(array_diff($hypothesis->parts, $parts));
            if ($key === HypothesisList::SOMETHING_ELSE) {
                $this->addOrigin($key, 'verdict-wrong', $before[$key]);
            } elseif ($left === []) {
                $cured += $before[$key];
            } elseif (\count($left) === \count($hypothesis->parts)) {
                $this->addOrigin($key, 'verdict-wrong', $before[$key]);
            } else {
                $halved += $before[$key];
                $this->addOrigin(
                    $this->remainder($hypothesis, $left) ?? $key,
                    'cause-remains',
                    $before[$key] * (1.0 - self::SECOND_FAULT),
                );
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
            $pool = $origin === 'new-part' ? self::NEW_PART_FAULTY * $cured : self::SECOND_FAULT * ($cured + $halved);
            $this->addOrigin($key, $origin, ($pool * $this->hypotheses[$key]->prior) / $priors[$origin]);
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
