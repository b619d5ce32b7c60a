<?php

declare(strict_types=1);

namespace Ispira\Core\Diagnosis\Inference;

use Ispira\Core\Device\Quantity;
use Ispira\Core\Device\Test;
use Ispira\Core\Reading\MeterAccuracy;
use Ispira\Core\Reading\Reading;

/**
 * How well what was seen, heard or felt fits a hypothesis, and whether numbers stood still.
 */
final class Judging
{
    /** Chance that an intermittent fault comes and goes while the fan is being listened to. */
    private const SHOWS_CHANGING = 0.6;

    /** Chance that a fan that changes is called so, and that one that does not is. */
    private const CALLED_CHANGING = ['changes' => 0.95, 'not' => 0.01];

    /** @var array<string, list<float>> likelihoods by test, whether it stood still, and hypothesis */
    private array $steadiness = [];

    public function __construct(
        private readonly Predictions $predictions,
        private readonly Hypothesis $sound,
        public readonly Heard $heard,
    ) {}

    /**
     * @param Hypothesis $state   the hypothesis itself, or the sound circuit while an intermittent fault is away
     * @param bool       $noticed whether the fault is noticed in this set-up while it is present
     */
    public function weigh(Hypothesis $hypothesis, Hypothesis $state, Visit $visit, bool $noticed): Weighed
    {
        $log = $visit->misbehaved === null ? 0.0 : log(Misbehaviour::likelihood($visit->misbehaved, $noticed));
        $fits = $slips = $heard = [];
        foreach ($visit->judged as $reading) {
            $test = $this->predictions->circuit->tests[$reading->test];
            [$one, $right] = $this->choice($hypothesis, $state, $reading, $test);
            $times = $hypothesis->comesAndGoes || $test->repeatable ? 1 : $visit->times($test->key);
            if ($hypothesis->comesAndGoes || $test->probe->quantity === Quantity::Observation) {
                $log += log(max($one, 1e-300)) * self::counts($times);
            } else {
                $heard = Heard::and($heard, $this->heard->logs($state, $reading, $test), self::counts($times));
            }
            $fits[$reading->id] = $one;
            $slips[$reading->id] = $one > 0.0 ? 1.0 - $right / $one : 1.0;
        }
        foreach ($visit->measurements as $measurement) {
            $steady = array_filter($measurement->readings, static fn(Reading $r): bool => !$r->steady) === [];
            if (!$hypothesis->isLoose()) {
                $log += log(Likelihood::ofSteadiness($steady, false));
                continue;
            }
            $byDraw = $this->steadiness($hypothesis, $measurement->test, $steady);
            if ($hypothesis->comesAndGoes) {
                $log += log(array_sum($byDraw) / \count($byDraw));
            } else {
                $byMachine = Heard::machines(array_map(log(...), $byDraw), $state->hasDegree(), false);
                $heard = Heard::and($heard, Heard::forAllEars($byMachine));
            }
        }

        return new Weighed($log, $fits, $slips, $heard);
    }

    /** What each of several equal judgements counts: the second half, the third a third of the first, whatever their order. */
    public static function counts(int $times): float
    {
        $sum = 0.0;
        for ($n = 1; $n <= $times; ++$n) {
            $sum += 1.0 / $n;
        }

        return $sum / max(1, $times);
    }

    /**
     * A bad joint is felt where the fault changes what the meter shows, which may be so in one machine and not in another.
     *
     * @return list<float> likelihood by draw of the few
     */
    private function steadiness(Hypothesis $hypothesis, Test $test, bool $steady): array
    {
        $quantity = $test->probe->quantity;

        return $this->steadiness["$test->key|$steady|$hypothesis->key"] ??= array_map(
            static fn(float $with, float $without): float => Likelihood::ofSteadiness(
                $steady,
                MeterAccuracy::tellsApart($quantity, $with, $without),
            ),
            $this->predictions->few($hypothesis, $test),
            $this->predictions->few($this->sound, $test),
        );
    }

    /** @return array{0: float, 1: float} likelihood, and its part that is no slip */
    private function choice(Hypothesis $hypothesis, Hypothesis $state, Reading $reading, Test $test): array
    {
        if ($test->probe->quantity === Quantity::Observation) {
            $usual = $this->predictions->circuit->observations[$test->probe->at]->usual;
            $chances = Likelihood::observed($hypothesis, $test, $usual);

            return Likelihood::ofChoice($chances, (string) $reading->value, $reading->slip());
        }
        [$one, $right] = $this->heard->chance($state, $reading, $test);
        if ($hypothesis->comesAndGoes && $state === $hypothesis && $this->differs($hypothesis, $test)) {
            $called = self::CALLED_CHANGING[$reading->value === SpeedState::CutsOut->value ? 'changes' : 'not'];
            $changing = self::SHOWS_CHANGING * $called;

            return [$changing + (1.0 - self::SHOWS_CHANGING) * $one, $changing + (1.0 - self::SHOWS_CHANGING) * $right];
        }

        return [$one, $right];
    }

    private function differs(Hypothesis $hypothesis, Test $test): bool
    {
        return Misbehaviour::differs(
            $this->predictions->of($hypothesis, $test)[0],
            $this->predictions->of($this->sound, $test)[0],
        );
    }
}
