<?php

declare(strict_types=1);

namespace Ispira\Core\Practice;

use Ispira\Core\Device\CircuitModel;
use Ispira\Core\Device\Test;
use Ispira\Core\Diagnosis\Inference\Hypothesis;
use Ispira\Core\Diagnosis\Inference\HypothesisList;
use Ispira\Core\Diagnosis\Inference\SpeedState;
use Ispira\Core\Diagnosis\Trial\SimulatedUnit;
use Ispira\Core\Job\Practice;
use Ispira\Core\Kernel\RandomSource;
use Ispira\Core\Reading\Reading;

/**
 * A practice unit with what somebody complains of: which fault is hidden, and what the unit does in each position.
 */
final readonly class PracticeChoice
{
    private const MOST_TRIED = 60;

    /**
     * @param array<string, string> $states  by position
     * @param array<string, string> $answers to what is asked with the complaint, where they stand out
     */
    private function __construct(public Practice $practice, public array $states, public array $answers) {}

    /**
     * One fault as often as it is met, that is noticed by who steps through the positions.
     *
     * @throws \LogicException where no fault of the circuit is noticed
     */
    public static function of(CircuitModel $circuit, bool $comesAndGoes, int $seed): self
    {
        $faults = array_filter(
            HypothesisList::of($circuit, $comesAndGoes),
            static fn(Hypothesis $one): bool => \count($one->faults) === 1 && $one->comesAndGoes === $comesAndGoes,
        );
        $weights = array_map(static fn(Hypothesis $one): float => $one->prior, $faults);
        $chance = new RandomSource($seed);
        for ($try = 0; $try < self::MOST_TRIED; ++$try) {
            $key = $chance->pick($weights);
            $own = $seed + $try;
            $unit = new SimulatedUnit($circuit, $faults[$key], new RandomSource($own), 0.0);
            $asked = array_map(
                static fn(Test $test): Reading => $unit->read('asked', $test, 0),
                array_values(array_filter($circuit->tests, static fn(Test $test): bool => $test->asked)),
            );
            $map = $unit->map();
            $isOdd = static fn(Reading $one): bool => $one->value !== SpeedState::Right->value &&
                $unit->isOfTheFault($circuit->tests[$one->test], (string) $one->value);
            $told = array_filter($asked, $isOdd);
            if ($told === [] && array_filter($map, $isOdd) === []) {
                continue;
            }
            $states = [];
            foreach (array_values($circuit->positions) as $n => $position) {
                $states[$position->key] = (string) $map[$n]->value;
            }
            $answers = [];
            foreach ($told as $one) {
                $answers[$one->test] = (string) $one->value;
            }

            return new self(new Practice($key, $own), $states, $answers);
        }
        throw new \LogicException('No fault of this circuit is noticed.');
    }
}
