<?php

declare(strict_types=1);

namespace Ispira\Core\Diagnosis\Decision;

use Ispira\Core\Device\Test;
use Ispira\Core\Diagnosis\Inference\Belief;
use Ispira\Core\Diagnosis\Inference\Hypothesis;
use Ispira\Core\Diagnosis\Inference\HypothesisList;
use Ispira\Core\Diagnosis\Inference\Predictions;
use Ispira\Core\Reading\Reading;

/**
 * What stands behind the odds: how each reading fits each hypothesis, and what tests would show.
 */
final readonly class Evidence
{
    /** @param array<string, Hypothesis> $hypotheses */
    public function __construct(
        public array $hypotheses,
        public Belief $belief,
        public TestValues $values,
        public ForeseenOutcomes $foreseen,
        public Predictions $predictions,
    ) {}

    /** @return array<string, float> odds that may be stated, by what would have to be replaced */
    public function byRemedy(): array
    {
        return StatedOdds::ofAll(HypothesisList::byRemedy($this->hypotheses, $this->belief->byHypothesis()));
    }

    /** How much likelier a reading is under one hypothesis than under another, as a natural logarithm. */
    public function weighs(Reading $reading, Hypothesis $for, Hypothesis $against): float
    {
        $fit = $this->belief->fit[$reading->id] ?? [];

        return log(max($fit[$for->key] ?? 0.0, 1e-12) / max($fit[$against->key] ?? 0.0, 1e-12));
    }

    /**
     * Between which readings a numeric test lies under a hypothesis.
     *
     * @param float $spreads on either side of the middle
     *
     * @return array{0: float, 1: float} INF twice where it is open
     */
    public function range(Hypothesis $hypothesis, Test $test, float $spreads): array
    {
        return $this->foreseen->range($hypothesis, $test, $spreads);
    }

    /**
     * Between which readings a numeric test lies under a hypothesis on any machine of this circuit, whatever was read
     * of this one.
     *
     * @param float $spreads on either side of the middle
     *
     * @return array{0: float, 1: float} INF twice where it is open
     */
    public function rangeOfAny(Hypothesis $hypothesis, Test $test, float $spreads): array
    {
        return $this->foreseen->rangeOfAny($hypothesis, $test, $spreads);
    }

    /**
     * What a numeric test shows under a hypothesis.
     *
     * @return array{0: float, 1: float} mean (INF for open) and spread
     */
    public function expected(Hypothesis $hypothesis, Test $test): array
    {
        return $this->foreseen->summary($hypothesis, $test);
    }
}
