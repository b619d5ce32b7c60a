<?php

declare(strict_types=1);

namespace Ispira\Core\Diagnosis\Decision;

use Ispira\Core\Device\CircuitModel;
use Ispira\Core\Device\Test;
use Ispira\Core\Diagnosis\Inference\Hypothesis;
use Ispira\Core\Diagnosis\Inference\HypothesisList;
use Ispira\Core\Kernel\Ranking;

/**
 * Values the tests that could be done next, one step ahead.
 *
 * For a number, the outcomes tried are the suspects' own predictions, each weighed by its
 * suspect's chance; for a choice, all outcomes. After each, the suspects are weighed again
 * and the money still wasted is compared with today's. All tests are valued roughly, on the leading
 * suspects and few draws, and those that come out best again on all of both.
 */
final class TestValues
{
    /** Hypotheses below this share of the best are left out of the look ahead. */
    private const NEGLIGIBLE = 1e-3;
    private const MOST_HYPOTHESES = 20;

    /** The leading suspects: so many of the chances, and at least so many of them. */
    private const LEADING_SHARE = 0.9;
    private const LEAST_LEADING = 8;

    /** Least share of nothing wrong, and of something that is in no list, against the other rivals of a leader. */
    private const UNNAMED = 0.4;

    /** Bits that a test has to tell at even odds to be worth doing before a verdict. */
    private const SEPARATES_FROM = 0.25;

    /** How many of the best, by money and by what they tell a minute, are valued on all suspects. */
    private const BEST_BY_MONEY = 4;
    private const BEST_TELLING = 2;

    /** @var array<string, float> of the hypotheses that are followed, adding up to 1, largest first */
    private array $chance;

    /**
     * @param array<string, Hypothesis> $hypotheses
     * @param array<string, float>      $byHypothesis largest first
     */
    public function __construct(
        private readonly array $hypotheses,
        array $byHypothesis,
        private readonly CircuitModel $circuit,
        private readonly ForeseenOutcomes $foreseen,
        private readonly Money $money,
        private readonly DecisionSettings $settings,
    ) {
        $best = reset($byHypothesis);
        $followed = [];
        foreach (\array_slice($byHypothesis, 0, self::MOST_HYPOTHESES, true) as $key => $chance) {
            if ($chance > self::NEGLIGIBLE * (float) $best) {
                $followed[$key] = $chance;
            }
        }
        $total = array_sum($followed);
        $this->chance = array_map(static fn(float $c): float => $c / $total, $followed);
    }

    /**
     * @param list<string> $opened places already reached
     * @param array<string, true> $done    tests with a standing reading: asking again tells little
     * @param array<string, true> $doubted tests whose reading may be a slip: worth asking again, the map's too
     *
     * @return list<TestChoice> best gain first
     */
    public function all(array $opened, array $done, array $doubted = []): array
    {
        $leading = $this->leading();
        $choices = [];
        foreach ($this->circuit->tests as $test) {
            if ((!$test->offered && !isset($doubted[$test->key])) || isset($done[$test->key]) || !$this->canDo($test)) {
                continue;
            }
            $choices[$test->key] = $this->choice($test, $opened, $leading, true);
        }
        $exact = [];
        while (($unsettled = array_diff_key($this->best($choices), $exact)) !== []) {
            foreach ($unsettled as $key => $choice) {
                $exact[$key] = $choices[$key] = $this->choice($choice->test, $opened, $this->chance, false);
            }
        }

        return array_values(Ranking::by($choices, static fn(TestChoice $one): float => $one->gain()));
    }

    /**
     * The test that best tells the leading remedy from all others, as if it had no more than even odds: the one to do
     * before a verdict that no reading has touched yet.
     *
     * @param list<string>        $opened places already reached
     * @param array<string, true> $done   tests with a standing reading
     * @param array<string, true> $listen speeds that were called wrong once: worth a second listen
     */
    public function separating(string $leading, array $opened, array $done, array $listen): ?TestChoice
    {
        $even = $this->evenOdds($leading);
        $best = null;
        foreach ($even === [] ? [] : $this->circuit->tests as $test) {
            if (!isset($listen[$test->key]) && (!$test->offered || isset($done[$test->key]) || !$this->canDo($test))) {
                continue;
            }
            $choice = $this->choice($test, $opened, $even, true);
            if (
                $choice->information >= self::SEPARATES_FROM &&
                ($best === null || $choice->telling() > $best->telling())
            ) {
                $best = $choice;
            }
        }

        return $best === null ? null : $this->makingSure($best->test, $opened);
    }

    /**
     * A test that a verdict asks for, whatever it tells: one that might still show another part, a single reading on
     * which it would rest, or a part by itself. What it is worth is told as the odds stand.
     *
     * @param list<string> $opened places already reached
     */
    public function makingSure(Test $test, array $opened): TestChoice
    {
        $choice = $this->choice($test, $opened, $this->chance, false);

        return new TestChoice($test, $choice->saves, $choice->cost, $choice->minutes, $choice->information, true);
    }

    /** @return array<string, float> by hypothesis: half for those of a remedy, half for the others, each as they stand */
    private function evenOdds(string $leading): array
    {
        $own = $others = [];
        foreach ($this->chance as $key => $chance) {
            if ($this->hypotheses[$key]->remedy() === $leading) {
                $own[$key] = $chance;
            } else {
                $others[$key] = $chance;
            }
        }
        $listed = array_sum($others) + 1e-12;
        foreach ([HypothesisList::SOMETHING_ELSE, HypothesisList::NOTHING_WRONG] as $unnamed) {
            if (isset($this->hypotheses[$unnamed]) && !isset($own[$unnamed])) {
                $others[$unnamed] = max($others[$unnamed] ?? 0.0, self::UNNAMED * $listed);
            }
        }
        if ($own === [] || $others === []) {
            return [];
        }
        $even = [];
        foreach ([$own, $others] as $half) {
            foreach ($half as $key => $chance) {
                $even[$key] = (0.5 * $chance) / array_sum($half);
            }
        }

        return $even;
    }

    /**
     * @param array<string, TestChoice> $choices
     *
     * @return array<string, TestChoice> those that might be proposed
     */
    private function best(array $choices): array
    {
        $byMoney = Ranking::by($choices, static fn(TestChoice $one): float => $one->gain());
        $byTelling = Ranking::by($choices, static fn(TestChoice $one): float => $one->telling());

        return \array_slice($byMoney, 0, self::BEST_BY_MONEY, true) +
            \array_slice($byTelling, 0, self::BEST_TELLING, true);
    }

    /** @return array<string, float> chances of the leading suspects, adding up to 1 */
    private function leading(): array
    {
        $leading = [];
        $sum = 0.0;
        foreach ($this->chance as $key => $chance) {
            if ($sum > self::LEADING_SHARE && \count($leading) >= self::LEAST_LEADING) {
                break;
            }
            $leading[$key] = $chance;
            $sum += $chance;
        }

        return array_map(static fn(float $c): float => $c / $sum, $leading);
    }

    /** @return array<string, float> chances of the suspects that are followed, adding up to 1, largest first */
    public function suspects(): array
    {
        return $this->chance;
    }

    /**
     * What a test would do to the suspects that are followed, as it is looked ahead.
     *
     * @return list<array<string, float>> likelihood of each outcome tried, by hypothesis
     */
    public function likelihoods(Test $test): array
    {
        return array_column($this->outcomes($test, $this->chance, false), 1);
    }

    /**
     * @param list<string>         $opened
     * @param array<string, float> $chances of the suspects taken into account
     */
    private function choice(Test $test, array $opened, array $chances, bool $roughly): TestChoice
    {
        $minutes = $this->settings->terms->minutes($this->circuit, $test, $opened);
        $now = HypothesisList::byRemedy($this->hypotheses, $chances);
        [$after, $entropyAfter] = $this->after($test, $chances, $roughly);

        return new TestChoice(
            $test,
            $this->money->wasted($now) - $after,
            $this->settings->effort($minutes),
            $minutes,
            self::entropy($now) - $entropyAfter,
        );
    }

    public function canDo(Test $test): bool
    {
        return $test->possible && $this->settings->allows($test);
    }

    /**
     * @param array<string, float> $chances
     *
     * @return array{0: float, 1: float} expected money wasted and entropy after the test
     */
    private function after(Test $test, array $chances, bool $roughly): array
    {
        $wasted = 0.0;
        $entropy = 0.0;
        foreach ($this->outcomes($test, $chances, $roughly) as [$probability, $likelihoods]) {
            $posterior = [];
            $total = 0.0;
            foreach ($chances as $key => $chance) {
                $total += $posterior[$key] = $chance * $likelihoods[$key];
            }
            if ($total <= 0.0) {
                continue;
            }
            $remedies = [];
            foreach ($posterior as $key => $weight) {
                $remedy = $this->hypotheses[$key]->remedy();
                $remedies[$remedy] = ($remedies[$remedy] ?? 0.0) + $weight / $total;
            }
            $wasted += $probability * $this->money->wasted($remedies);
            $entropy += $probability * self::entropy($remedies);
        }

        return [$wasted, $entropy];
    }

    /**
     * @param array<string, float> $chances
     *
     * @return list<array{0: float, 1: array<string, float>}> probability of an outcome, and its likelihood by hypothesis
     */
    private function outcomes(Test $test, array $chances, bool $roughly): array
    {
        $outcomes = [];
        $suspects = [];
        foreach (array_keys(array_intersect_key($this->chance + $chances, $chances)) as $key) {
            $suspects[$key] = $this->hypotheses[$key];
        }
        foreach ($this->foreseen->shares($test, $suspects, $roughly) as $key => $shares) {
            foreach ($shares as $number => $share) {
                $outcomes[$number][0] = ($outcomes[$number][0] ?? 0.0) + $chances[$key] * $share;
                $outcomes[$number][1][$key] = $share;
            }
        }

        return array_values($outcomes);
    }

    /**
     * What is still open, in bits.
     *
     * @param array<string, float> $chances adding up to 1
     */
    public static function entropy(array $chances): float
    {
        $bits = 0.0;
        foreach ($chances as $chance) {
            $bits -= $chance > 0.0 ? $chance * log($chance, 2) : 0.0;
        }

        return $bits;
    }
}
