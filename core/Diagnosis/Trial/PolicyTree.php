<?php

declare(strict_types=1);

namespace Ispira\Core\Diagnosis\Trial;

use Ispira\Core\Device\CircuitModel;
use Ispira\Core\Device\Test;
use Ispira\Core\Diagnosis\Decision\DecisionSettings;
use Ispira\Core\Diagnosis\Decision\Engine;
use Ispira\Core\Diagnosis\Decision\Evidence;
use Ispira\Core\Diagnosis\Decision\Money;
use Ispira\Core\Diagnosis\Decision\TestValues;
use Ispira\Core\Diagnosis\Inference\HypothesisList;

/**
 * Every course that a job can take over a handful of tests, to compare the engine's choice of the next
 * test, which looks one step ahead, with the best that there is.
 *
 * Both are priced on the same tree: suspects, tests and outcomes as the engine looks ahead, readings
 * independent given the fault, access paid once, and at each leaf the money wasted by trying the
 * remedies in their best order.
 */
final class PolicyTree
{
    private readonly Money $money;

    /** @var array<string, Test> */
    private array $tests = [];

    /** @var array<string, list<array<string, float>>> likelihoods of the outcomes by test */
    private array $outcomes = [];

    /** @param list<Test> $tests */
    public function __construct(
        private readonly CircuitModel $circuit,
        private readonly Evidence $evidence,
        private readonly DecisionSettings $settings,
        array $tests,
    ) {
        $this->money = new Money($circuit, $settings);
        foreach ($tests as $test) {
            $this->tests[$test->key] = $test;
            $this->outcomes[$test->key] = $evidence->values->likelihoods($test);
        }
    }

    /** Expected money of the best course, tests and waste together. */
    public function best(int $depth): float
    {
        return $this->cost($this->evidence->values->suspects(), [], array_keys($this->tests), $depth, false);
    }

    /** Expected money of the course that the engine takes. */
    public function engine(int $depth): float
    {
        return $this->cost($this->evidence->values->suspects(), [], array_keys($this->tests), $depth, true);
    }

    /**
     * @param array<string, float> $chances
     * @param list<string>         $opened
     * @param list<string>         $left    tests not done yet
     */
    private function cost(array $chances, array $opened, array $left, int $depth, bool $asEngine): float
    {
        $stop = $this->money->wasted($this->byRemedy($chances));
        if ($depth === 0 || $left === []) {
            return $stop;
        }
        if ($asEngine) {
            $next = $this->next($chances, $opened, $left, $stop);

            return $next === null ? $stop : $this->after($next, $chances, $opened, $left, $depth, true);
        }
        $best = $stop;
        foreach ($left as $key) {
            // What a test costs alone is never won back by more than all that is wasted.
            if ($this->price($key, $opened) < $best) {
                $best = min($best, $this->after($key, $chances, $opened, $left, $depth, false));
            }
        }

        return $best;
    }

    /**
     * Cost of a test and of what follows it.
     *
     * @param array<string, float> $chances
     * @param list<string>         $opened
     * @param list<string>         $left
     */
    private function after(string $key, array $chances, array $opened, array $left, int $depth, bool $asEngine): float
    {
        $cost = $this->price($key, $opened);
        $reached = array_values(array_unique([...$opened, ...$this->tests[$key]->access]));
        $remaining = array_values(array_diff($left, [$key]));
        foreach ($this->posteriors($key, $chances) as [$probability, $posterior]) {
            $cost += $probability * $this->cost($posterior, $reached, $remaining, $depth - 1, $asEngine);
        }

        return $cost;
    }

    /**
     * @param array<string, float> $chances
     *
     * @return list<array{0: float, 1: array<string, float>}> probability of an outcome, and the chances after it
     */
    private function posteriors(string $key, array $chances): array
    {
        $posteriors = [];
        foreach ($this->outcomes[$key] as $likelihoods) {
            $weights = [];
            foreach ($chances as $hypothesis => $chance) {
                $weights[$hypothesis] = $chance * $likelihoods[$hypothesis];
            }
            $total = array_sum($weights);
            if ($total > 0.0) {
                $posteriors[] = [$total, array_map(static fn(float $w): float => $w / $total, $weights)];
            }
        }

        return $posteriors;
    }

    /**
     * The test that the engine would propose.
     *
     * @param array<string, float> $chances
     * @param list<string>         $opened
     * @param list<string>         $left
     */
    private function next(array $chances, array $opened, array $left, float $stop): ?string
    {
        $byGain = [];
        $telling = [];
        $remedies = $this->byRemedy($chances);
        $entropy = TestValues::entropy($remedies);
        foreach ($left as $key) {
            $wasted = 0.0;
            $after = 0.0;
            foreach ($this->posteriors($key, $chances) as [$probability, $posterior]) {
                $wasted += $probability * $this->money->wasted($this->byRemedy($posterior));
                $after += $probability * TestValues::entropy($this->byRemedy($posterior));
            }
            $price = $this->price($key, $opened);
            $byGain[$key] = $stop - $wasted - $price;
            if ($entropy - $after > Engine::TELLS_NOTHING) {
                $telling[$key] = ($entropy - $after) / $price;
            }
        }
        arsort($byGain);
        $best = array_key_first($byGain);
        if ($best !== null && $byGain[$best] > 0.0) {
            return $best;
        }
        arsort($telling);

        return max(0.0, ...array_values($remedies)) >= Engine::SURE ? null : array_key_first($telling);
    }

    /** @param list<string> $opened */
    private function price(string $key, array $opened): float
    {
        return $this->settings->effort($this->circuit->minutes($this->tests[$key], $opened));
    }

    /**
     * @param array<string, float> $chances
     *
     * @return array<string, float>
     */
    private function byRemedy(array $chances): array
    {
        return HypothesisList::byRemedy($this->evidence->hypotheses, $chances);
    }
}
