<?php

declare(strict_types=1);

namespace Ispira\Core\Diagnosis;

use Ispira\Core\Family\Quantity;
use Ispira\Core\Family\Test;

/**
 * Weights of all hypotheses and draws, and how readings and replacements change them.
 */
final class Belief
{
    /** Chance that a replaced part is faulty itself or fitted wrongly, and that a second fault was there all along. */
    private const NEW_PART_FAULTY = 0.04;
    private const SECOND_FAULT = 0.06;

    /** Chance that an intermittent fault shows during one visit to a set-up. */
    private const SHOWS = 0.45;

    /** Chance that it comes and goes while the fan is being listened to. */
    private const SHOWS_CHANGING = 0.6;

    /** Hypotheses less likely than this need no account of how single readings fit them. */
    private const NEGLIGIBLE = 1e-5;

    /** @var array<string, list<float>> joint weights by hypothesis, one a draw; together they add up to 1 */
    public array $weights = [];

    /** @var array<string, array<string, float>> after a replacement: what the weight of a hypothesis is made of */
    public array $origins = [];

    /** @var array<string, float> posterior share of slips, by reading id */
    public array $slips = [];

    /** @var array<string, array<string, float>> average likelihood by reading id and hypothesis key */
    public array $fit = [];

    /** @var array<string, array{0: list<float>, 1: list<float>}> likelihoods by reading and prediction, so that equal predictions are weighed once */
    private array $memory = [];

    /** @param array<string, Hypothesis> $hypotheses */
    public function __construct(
        private readonly array $hypotheses,
        private readonly Predictions $predictions,
        private readonly float $scale,
    ) {
        foreach ($hypotheses as $key => $hypothesis) {
            $this->weights[$key] = array_fill(0, DrawnValues::COUNT, $hypothesis->prior / DrawnValues::COUNT);
        }
    }

    public static function of(CaseFile $case, array $hypotheses, Predictions $predictions, float $scale): self
    {
        $belief = new self($hypotheses, $predictions, $scale);
        $episodes = \count($case->replacements);
        for ($episode = 0; $episode <= $episodes; ++$episode) {
            if ($episode > 0) {
                $belief->replaced(explode('+', $case->replacements[$episode - 1]));
            }
            $belief->take(array_values(array_filter($case->standing(), static fn (Reading $r): bool => $r->episode === $episode)));
        }

        return $belief;
    }

    /** @return array<string, float> probability by hypothesis, largest first */
    public function byHypothesis(): array
    {
        $sums = array_map(array_sum(...), $this->weights);
        arsort($sums);

        return $sums;
    }

    /**
     * Weighs readings of one episode.
     *
     * @param list<Reading> $readings
     */
    public function take(array $readings): void
    {
        $visits = $this->visits($readings);
        $fits = [];
        foreach ($this->hypotheses as $key => $hypothesis) {
            $weights = $this->weights[$key];
            foreach ($visits as $visit) {
                $factors = $this->visitLikelihood($hypothesis, $visit, $fits);
                foreach ($factors as $draw => $factor) {
                    $weights[$draw] *= $factor;
                }
            }
            $this->weights[$key] = $weights;
        }
        $total = array_sum(array_map(array_sum(...), $this->weights));
        foreach ($this->weights as $key => $weights) {
            $this->weights[$key] = $total > 0.0 ? array_map(static fn (float $w): float => $w / $total, $weights) : $weights;
        }
        foreach ($fits as $reading => $byHypothesis) {
            $slip = 0.0;
            foreach ($byHypothesis as $key => [$likelihoods, $fitting]) {
                $weights = $this->weights[$key];
                $sum = array_sum($weights);
                if ($sum < self::NEGLIGIBLE && $key !== HypothesisList::NOTHING_WRONG) {
                    continue;
                }
                $average = 0.0;
                foreach ($weights as $draw => $weight) {
                    $slip += $weight * (1.0 - ($likelihoods[$draw] > 0.0 ? $fitting[$draw] / $likelihoods[$draw] : 0.0));
                    $average += $weight * $likelihoods[$draw];
                }
                $this->fit[$reading][$key] = $sum > 0.0 ? $average / $sum : array_sum($likelihoods) / \count($likelihoods);
            }
            $this->slips[$reading] = $slip;
        }
    }

    /**
     * Groups readings that were taken in one visit to a set-up: an intermittent fault shows in all of them or in none.
     *
     * @param list<Reading> $readings
     *
     * @return list<list<Reading>>
     */
    private function visits(array $readings): array
    {
        $visits = [];
        $last = null;
        foreach ($readings as $reading) {
            $setUp = $this->predictions->circuit->tests[$reading->test]->setUp.$reading->trust->value;
            if ($setUp !== $last) {
                $visits[] = [];
            }
            $visits[\count($visits) - 1][] = $reading;
            $last = $setUp;
        }

        return array_values(array_filter($visits));
    }

    /**
     * @param list<Reading> $visit
     * @param array<string, array<string, array{0: list<float>, 1: list<float>}>> $fits filled by reading and hypothesis
     *
     * @return list<float> one factor a draw
     */
    private function visitLikelihood(Hypothesis $hypothesis, array $visit, array &$fits): array
    {
        $present = array_fill(0, DrawnValues::COUNT, 1.0);
        $absent = $present;
        $sound = $this->hypotheses[HypothesisList::NOTHING_WRONG];
        foreach ($visit as $reading) {
            [$likelihoods, $fitting] = $this->likelihood($hypothesis, $reading);
            if ($hypothesis->comesAndGoes) {
                [$without, $withoutFitting] = $this->likelihood($sound, $reading);
                [$likelihoods, $without, $fitting] = $this->passing($hypothesis, $reading, $likelihoods, $without, $fitting, $withoutFitting);
                foreach ($without as $draw => $factor) {
                    $absent[$draw] *= $factor;
                }
                $fits[$reading->id][$hypothesis->key] = [array_map(static fn (float $a, float $b): float => self::SHOWS * $a + (1.0 - self::SHOWS) * $b, $likelihoods, $without), $fitting];
            } else {
                $fits[$reading->id][$hypothesis->key] = [$likelihoods, $fitting];
            }
            foreach ($likelihoods as $draw => $factor) {
                $present[$draw] *= $factor;
            }
        }
        if (!$hypothesis->comesAndGoes) {
            return $present;
        }

        return array_map(static fn (float $with, float $without): float => self::SHOWS * $with + (1.0 - self::SHOWS) * $without, $present, $absent);
    }

    /**
     * An intermittent fault that would change what is heard may also be heard changing it.
     *
     * @param list<float> $with
     * @param list<float> $without
     * @param list<float> $fitting
     * @param list<float> $withoutFitting
     *
     * @return array{0: list<float>, 1: list<float>, 2: list<float>}
     */
    private function passing(Hypothesis $hypothesis, Reading $reading, array $with, array $without, array $fitting, array $withoutFitting): array
    {
        $test = $this->predictions->circuit->tests[$reading->test];
        $both = [];
        if ($test->probe->quantity === Quantity::Speed) {
            $faulty = $this->predictions->of($hypothesis, $test);
            $sound = $this->predictions->of($this->hypotheses[HypothesisList::NOTHING_WRONG], $test);
            $cutsOut = $reading->value === SpeedState::CutsOut->value;
            foreach ($with as $draw => $likelihood) {
                $differs = is_nan($faulty[$draw]) || abs($faulty[$draw] - $sound[$draw]) > 0.15;
                if ($differs) {
                    $with[$draw] = self::SHOWS_CHANGING * ($cutsOut ? 0.95 : 0.01) + (1.0 - self::SHOWS_CHANGING) * $likelihood;
                    if ($cutsOut) {
                        $fitting[$draw] = 0.9;
                    }
                }
            }
        }
        foreach ($fitting as $draw => $one) {
            $both[] = self::SHOWS * $one + (1.0 - self::SHOWS) * $withoutFitting[$draw];
        }

        return [$with, $without, $both];
    }

    /** @return array{0: list<float>, 1: list<float>} likelihood, and its part that is no slip, one a draw */
    public function likelihood(Hypothesis $hypothesis, Reading $reading): array
    {
        $test = $this->predictions->circuit->tests[$reading->test];
        $quantity = $test->probe->quantity;
        $loose = $hypothesis->isLoose() && $quantity->isNumber();
        if ($quantity === Quantity::Observation) {
            $chances = Likelihood::observed($hypothesis, $test, $this->predictions->circuit->observations[$test->probe->at]->usual);
            [$likelihood, $fits] = Likelihood::ofChoice($chances, (string) $reading->value, $reading->trust->slip());

            return [array_fill(0, DrawnValues::COUNT, $likelihood), array_fill(0, DrawnValues::COUNT, $fits)];
        }
        $packed = $this->predictions->packed($hypothesis, $test);
        $memory = "$reading->id|".($loose ? '1' : '0').$packed;

        return $this->memory[$memory] ??= $this->weigh($test, $reading, Predictions::unpacked($packed), $loose);
    }

    /**
     * @param list<float> $predicted
     *
     * @return array{0: list<float>, 1: list<float>}
     */
    private function weigh(Test $test, Reading $reading, array $predicted, bool $loose): array
    {
        $quantity = $test->probe->quantity;
        $slip = $reading->trust->slip();
        $likelihoods = [];
        $fitting = [];
        if ($quantity === Quantity::Speed) {
            $shouldRun = $this->predictions->shouldRun($test);
            foreach ($predicted as $ratio) {
                [$likelihoods[], $fitting[]] = Likelihood::ofChoice(SpeedState::chances($ratio, $shouldRun), (string) $reading->value, $slip);
            }

            return [$likelihoods, $fitting];
        }
        $kernel = Likelihood::KERNEL * self::deviation($predicted);
        $steadiness = Likelihood::ofSteadiness($reading->steady, $loose);
        foreach ($predicted as $draw => $number) {
            if ($reading->supplyVolts !== null && $quantity !== Quantity::Ohms) {
                $number *= $reading->supplyVolts / $this->predictions->supplyOf($draw);
            }
            [$likelihood, $fits] = Likelihood::ofNumber($quantity, $reading->value === null ? null : (float) $reading->value, $number, $kernel, $slip, $this->scale);
            $likelihoods[] = $likelihood * $steadiness;
            $fitting[] = $fits * $steadiness;
        }

        return [$likelihoods, $fitting];
    }

    /** @param list<float> $numbers */
    public static function deviation(array $numbers): float
    {
        $finite = array_filter($numbers, is_finite(...));
        $count = \count($finite);
        if ($count < 2) {
            return 0.0;
        }
        $mean = array_sum($finite) / $count;
        $sum = 0.0;
        foreach ($finite as $number) {
            $sum += ($number - $mean) ** 2;
        }

        return sqrt($sum / ($count - 1));
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
        $zero = array_fill(0, DrawnValues::COUNT, 0.0);
        $after = array_fill_keys(array_keys($before), $zero);
        $origins = [];
        $cured = $zero;
        $add = static function (string $key, string $origin, array $weights, float $factor) use (&$after, &$origins): void {
            foreach ($weights as $draw => $weight) {
                $after[$key][$draw] += $weight * $factor;
            }
            $origins[$key][$origin] = ($origins[$key][$origin] ?? 0.0) + array_sum($weights) * $factor;
        };
        foreach ($this->hypotheses as $key => $hypothesis) {
            $left = array_values(array_diff($hypothesis->parts, $parts));
            if ($hypothesis->parts === [] || $left === []) {
                foreach ($before[$key] as $draw => $weight) {
                    $cured[$draw] += $weight;
                }
            } elseif (\count($left) === \count($hypothesis->parts)) {
                $add($key, 'verdict-wrong', $before[$key], 1.0);
            } else {
                $rest = $this->remainder($hypothesis, $left);
                $add($rest ?? $key, 'cause-remains', $before[$key], 1.0);
            }
        }
        $priors = ['new-part' => 0.0, 'second-fault' => 0.0];
        foreach ($this->hypotheses as $hypothesis) {
            if (\count($hypothesis->parts) === 1) {
                $priors[\in_array($hypothesis->parts[0], $parts, true) ? 'new-part' : 'second-fault'] += $hypothesis->prior;
            }
        }
        foreach ($this->hypotheses as $key => $hypothesis) {
            if (\count($hypothesis->parts) === 1) {
                $origin = \in_array($hypothesis->parts[0], $parts, true) ? 'new-part' : 'second-fault';
                $chance = $origin === 'new-part' ? self::NEW_PART_FAULTY : self::SECOND_FAULT;
                $add($key, $origin, $cured, $chance * $hypothesis->prior / max($priors[$origin], 1e-12));
            }
        }
        $add(HypothesisList::NOTHING_WRONG, 'cured', $cured, 1.0 - self::NEW_PART_FAULTY - self::SECOND_FAULT);
        $this->weights = $after;
        $this->origins = $origins;
    }

    /** @param list<string> $left parts of the hypothesis that were not replaced */
    private function remainder(Hypothesis $hypothesis, array $left): ?string
    {
        foreach ($hypothesis->faults as $number => $fault) {
            if (\in_array($fault->part, $left, true)) {
                $degrees = explode('+', $hypothesis->key);

                return isset($this->hypotheses[$degrees[$number]]) ? $degrees[$number] : null;
            }
        }

        return null;
    }
}
