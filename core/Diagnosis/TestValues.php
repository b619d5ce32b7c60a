<?php

declare(strict_types=1);

namespace Ispira\Core\Diagnosis;

use Ispira\Core\Family\Quantity;
use Ispira\Core\Family\Test;

/**
 * Values the tests that could be done next, one step ahead.
 *
 * For a number, the outcomes tried are the suspects' own predictions, each weighed by its
 * suspect's chance; for a choice, all outcomes. After each, the suspects are weighed again
 * and the money still wasted is compared with today's.
 */
final class TestValues
{
    /** Hypotheses below this share of the best are left out of the look ahead. */
    private const NEGLIGIBLE = 1e-3;
    private const MOST_HYPOTHESES = 28;

    private const SLIP = 0.02;

    /** @var array<string, Hypothesis> */
    private array $alive = [];

    /** @var array<string, float> */
    private array $chance = [];

    /**
     * @param array<string, Hypothesis> $hypotheses
     * @param array<string, float>      $byHypothesis largest first
     */
    public function __construct(
        private readonly array $hypotheses,
        private readonly Belief $belief,
        array $byHypothesis,
        private readonly Predictions $predictions,
        private readonly Money $money,
        private readonly DecisionSettings $settings,
        private readonly float $scale,
    ) {
        $best = reset($byHypothesis);
        foreach (\array_slice($byHypothesis, 0, self::MOST_HYPOTHESES, true) as $key => $chance) {
            if ($chance > self::NEGLIGIBLE * (float) $best) {
                $this->alive[$key] = $hypotheses[$key];
                $this->chance[$key] = $chance;
            }
        }
        $total = array_sum($this->chance);
        $this->chance = array_map(static fn (float $c): float => $c / $total, $this->chance);
    }

    /**
     * @param list<string> $opened places already reached
     * @param array<string, true> $done tests with a standing reading: asking again tells little
     *
     * @return list<TestChoice> best gain first
     */
    public function all(array $opened, array $done): array
    {
        $choices = [];
        $now = $this->money->wasted($this->byRemedy($this->chance));
        $entropy = self::entropy($this->byRemedy($this->chance));
        foreach ($this->predictions->circuit->tests as $test) {
            if (!$test->offered || isset($done[$test->key]) || !$this->canDo($test)) {
                continue;
            }
            $minutes = $test->minutes;
            foreach (array_diff($test->access, $opened) as $place) {
                $minutes += $this->predictions->circuit->accessMinutes[$place];
            }
            [$after, $entropyAfter] = $this->after($test);
            $choices[] = new TestChoice($test, $now - $after, $this->settings->labour($minutes), $minutes, $entropy - $entropyAfter);
        }
        usort($choices, static fn (TestChoice $a, TestChoice $b): int => $b->gain() <=> $a->gain());

        return $choices;
    }

    private function canDo(Test $test): bool
    {
        return $this->settings->tools === null || array_diff($test->tools, $this->settings->tools) === [];
    }

    /**
     * @return array{0: float, 1: float} expected money wasted and entropy after the test
     */
    private function after(Test $test): array
    {
        $wasted = 0.0;
        $entropy = 0.0;
        foreach ($this->outcomes($test) as [$probability, $likelihoods]) {
            $posterior = [];
            $total = 0.0;
            foreach ($this->chance as $key => $chance) {
                $total += $posterior[$key] = $chance * $likelihoods[$key];
            }
            if ($total <= 0.0) {
                continue;
            }
            $remedies = [];
            foreach ($posterior as $key => $weight) {
                $remedy = $this->alive[$key]->remedy();
                $remedies[$remedy] = ($remedies[$remedy] ?? 0.0) + $weight / $total;
            }
            $wasted += $probability * $this->money->wasted($remedies);
            $entropy += $probability * self::entropy($remedies);
        }

        return [$wasted, $entropy];
    }

    /**
     * @return list<array{0: float, 1: array<string, float>}> probability of an outcome, and its likelihood by hypothesis
     */
    private function outcomes(Test $test): array
    {
        return $test->probe->quantity->isNumber() ? $this->numericOutcomes($test) : $this->chosenOutcomes($test);
    }

    /** @return list<array{0: float, 1: array<string, float>}> */
    private function chosenOutcomes(Test $test): array
    {
        $table = [];
        foreach ($this->alive as $key => $hypothesis) {
            foreach ($this->chances($hypothesis, $test) as $outcome => $chance) {
                $table[$outcome][$key] = (1.0 - self::SLIP) * $chance + self::SLIP / 4.0;
            }
        }
        $outcomes = [];
        foreach ($table as $likelihoods) {
            $probability = 0.0;
            foreach ($likelihoods as $key => $likelihood) {
                $probability += $this->chance[$key] * $likelihood;
            }
            $outcomes[] = [$probability, $likelihoods];
        }

        return $outcomes;
    }

    /**
     * Chances of the outcomes of a choice under a hypothesis, over its draws.
     *
     * @return array<string, float>
     */
    public function chances(Hypothesis $hypothesis, Test $test): array
    {
        if ($test->probe->quantity === Quantity::Observation) {
            return Likelihood::observed($hypothesis, $test, $this->predictions->circuit->observations[$test->probe->at]->usual);
        }
        $shouldRun = $this->predictions->shouldRun($test);
        $sum = [];
        foreach ($this->predictions->of($hypothesis, $test) as $ratio) {
            foreach (SpeedState::chances($ratio, $shouldRun) as $state => $chance) {
                $sum[$state] = ($sum[$state] ?? 0.0) + $chance / DrawnValues::COUNT;
            }
        }
        if ($hypothesis->comesAndGoes) {
            $sound = $this->chances($this->hypotheses[HypothesisList::NOTHING_WRONG], $test);
            foreach ($sum as $state => $chance) {
                $sum[$state] = Belief::SHOWS * $chance + (1.0 - Belief::SHOWS) * ($sound[$state] ?? 0.0);
            }
        }

        return $sum;
    }

    /** @return list<array{0: float, 1: array<string, float>}> */
    private function numericOutcomes(Test $test): array
    {
        $quantity = $test->probe->quantity;
        $means = [];
        $spreads = [];
        $outcomes = [];
        $seen = [];
        $sound = null;
        foreach ($this->alive as $key => $hypothesis) {
            [$means[$key], $spreads[$key]] = $this->summary($hypothesis, $test);
            if ($hypothesis->comesAndGoes) {
                $sound ??= $this->summary($this->hypotheses[HypothesisList::NOTHING_WRONG], $test);
            }
        }
        foreach ($means as $key => $mean) {
            // Outcomes that nobody could tell apart are tried once.
            $bin = is_infinite($mean) ? 'open' : (string) round($mean / (2.0 * $spreads[$key]));
            $seen[$bin] = ($seen[$bin] ?? [$mean, 0.0]);
            $seen[$bin][1] += $this->chance[$key];
        }
        foreach ($seen as [$outcome, $probability]) {
            $likelihoods = [];
            foreach ($means as $key => $mean) {
                $fits = self::fits($quantity, $outcome, $mean, $spreads[$key]);
                if ($sound !== null && $this->alive[$key]->comesAndGoes) {
                    $fits = Belief::SHOWS * $fits + (1.0 - Belief::SHOWS) * self::fits($quantity, $outcome, $sound[0], $sound[1]);
                }
                $likelihoods[$key] = $fits + self::SLIP * (is_infinite($outcome) ? 0.02 : Likelihood::slipDensity($quantity, $outcome, $this->scale));
            }
            $outcomes[] = [$probability, $likelihoods];
        }

        return $outcomes;
    }

    private static function fits(Quantity $quantity, float $outcome, float $mean, float $spread): float
    {
        if (is_infinite($outcome) || is_infinite($mean)) {
            return is_infinite($outcome) && is_infinite($mean) ? 0.95 : 0.0;
        }

        return 0.98 * Likelihood::normalDensity($outcome, $mean, $spread);
    }

    /**
     * Mean and spread of what a test would show under a hypothesis, over its draws and with the meter's own spread.
     *
     * @return array{0: float, 1: float}
     */
    public function summary(Hypothesis $hypothesis, Test $test): array
    {
        $numbers = $this->predictions->of($hypothesis, $test);
        if (is_infinite($numbers[0])) {
            return [\INF, 1.0];
        }
        [$mean, $variance] = $this->belief->learned[$hypothesis->key]->expect($numbers);
        $own = Likelihood::instrumentSpread($test->probe->quantity, $mean);

        return [$mean, sqrt($variance + $own * $own)];
    }

    /**
     * @param array<string, float> $chances by hypothesis
     *
     * @return array<string, float> by remedy
     */
    private function byRemedy(array $chances): array
    {
        $remedies = [];
        foreach ($chances as $key => $chance) {
            $remedy = $this->alive[$key]->remedy();
            $remedies[$remedy] = ($remedies[$remedy] ?? 0.0) + $chance;
        }

        return $remedies;
    }

    /** @param array<string, float> $chances */
    private static function entropy(array $chances): float
    {
        $bits = 0.0;
        foreach ($chances as $chance) {
            $bits -= $chance > 0.0 ? $chance * log($chance, 2) : 0.0;
        }

        return $bits;
    }
}
