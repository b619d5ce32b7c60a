<?php

declare(strict_types=1);

namespace Ispira\Core\Diagnosis\Inference;

use Ispira\Core\Device\Quantity;
use Ispira\Core\Device\SetUp;
use Ispira\Core\Device\Test;

/**
 * What readings taught about values of one machine: about a resistor, a supply, how bad a joint is.
 *
 * Under each hypothesis a value is normal on the scale of its quantity, given the readings; over the hypotheses, mean
 * and variance are those of the mixture.
 */
final readonly class Learning
{
    /** Hypotheses below this chance are left out. */
    private const NEGLIGIBLE = 0.01;

    /** @param array<string, Hypothesis> $hypotheses */
    public function __construct(private array $hypotheses, private Belief $belief, private Predictions $predictions) {}

    /**
     * The sum of some parameters before anything was read.
     *
     * @param list<string> $parameters
     * @param SetUp|null   $setUp      with nothing done to the circuit when null
     */
    public function before(Quantity $quantity, array $parameters, ?SetUp $setUp = null): LearnedValue
    {
        $sound = $this->hypotheses[HypothesisList::NOTHING_WRONG];
        $expected = Expected::of($quantity, $this->predictions->parameters($sound, $parameters, $setUp), true);

        return new LearnedValue($quantity, $expected->mean, $expected->variance());
    }

    /**
     * The same as the readings leave it.
     *
     * @param list<string> $parameters
     */
    public function after(Quantity $quantity, array $parameters): ?LearnedValue
    {
        return $this->mixed(
            $quantity,
            $this->hypotheses,
            fn(Hypothesis $h): array => $this->predictions->parameters($h, $parameters),
        );
    }

    /**
     * A parameter in a set-up, under some hypotheses only: how bad their fault is.
     *
     * @param array<string, Hypothesis> $hypotheses
     */
    public function degree(Quantity $quantity, string $parameter, SetUp $setUp, array $hypotheses): ?LearnedValue
    {
        return $this->mixed(
            $quantity,
            $hypotheses,
            fn(Hypothesis $h): array => $this->predictions->parameters($h, [$parameter], $setUp),
        );
    }

    /** @param array<string, Hypothesis> $hypotheses those that count */
    public function shown(Test $test, array $hypotheses): ?LearnedValue
    {
        return $this->mixed(
            $test->probe->quantity,
            $hypotheses,
            fn(Hypothesis $h): array => $this->predictions->of($h, $test),
        );
    }

    /** Size of what a sound machine shows, before anything was read, over the few draws. */
    public function usual(Test $test): float
    {
        $numbers = $this->predictions->few($this->hypotheses[HypothesisList::NOTHING_WRONG], $test);

        return array_sum(array_map(abs(...), $numbers)) / \count($numbers);
    }

    /**
     * What a test would show of this machine were nothing wrong, as far as its readings tell under some hypotheses.
     *
     * @param array<string, Hypothesis> $hypotheses those that count
     */
    public function mended(Test $test, array $hypotheses): ?LearnedValue
    {
        $sound = $this->hypotheses[HypothesisList::NOTHING_WRONG];

        return $this->mixed(
            $test->probe->quantity,
            $hypotheses,
            fn(Hypothesis $_): array => $this->predictions->of($sound, $test),
        );
    }

    /**
     * @param array<string, Hypothesis>            $hypotheses
     * @param \Closure(Hypothesis): list<float> $draws
     */
    private function mixed(Quantity $quantity, array $hypotheses, \Closure $draws): ?LearnedValue
    {
        $weights = array_intersect_key($this->belief->weights, $hypotheses);
        unset($weights[HypothesisList::SOMETHING_ELSE]);
        $most = $weights === [] ? 0.0 : max($weights);
        $weights = array_filter($weights, static fn(float $w): bool => $w > 0.0 && $w >= self::NEGLIGIBLE * $most);
        $total = array_sum($weights);
        $mean = $square = 0.0;
        foreach ($weights as $key => $weight) {
            $expected = Expected::of($quantity, $draws($hypotheses[$key]), true);
            if ($expected->open) {
                return null;
            }
            [$middle, $variance] = $this->belief->posterior($key)->expect($expected->mean, $expected->deviations);
            $mean += ($weight / $total) * $middle;
            $square += ($weight / $total) * ($variance + $middle * $middle);
        }

        return $weights === [] ? null : new LearnedValue($quantity, $mean, max(0.0, $square - $mean * $mean));
    }
}
