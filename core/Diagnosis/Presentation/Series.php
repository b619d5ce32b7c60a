<?php

declare(strict_types=1);

namespace Ispira\Core\Diagnosis\Presentation;

use Ispira\Core\Device\CircuitModel;
use Ispira\Core\Device\Test;
use Ispira\Core\Diagnosis\Decision\Evidence;
use Ispira\Core\Diagnosis\Inference\CaseFile;
use Ispira\Core\Diagnosis\Inference\HypothesisList;
use Ispira\Core\Diagnosis\Presentation\Shown\SeriesStep;
use Ispira\Core\Kernel\DisplayUnits;
use Ispira\Core\Reading\Reading;

/**
 * The same measurement in every position of the selector, to be stepped through.
 */
final readonly class Series
{
    public function __construct(private CircuitModel $circuit, private CaseFile $case) {}

    /** @return list<SeriesStep> in the order of the selector; empty where a test stands alone */
    public function of(Test $test, Evidence $evidence, DisplayUnits $units = new DisplayUnits()): array
    {
        $words = new Words($this->circuit, $units);
        $series = $this->tests($test);
        if (\count($series) < 2) {
            return [];
        }
        $unit = $words->unit($test->probe->quantity);
        $steps = [];
        foreach ($series as $one) {
            $expected = $evidence->expected($evidence->hypotheses[HypothesisList::NOTHING_WRONG], $one)[0];
            $read = $this->newest($one);
            $steps[] = new SeriesStep(
                test: $one->key,
                position: $this->circuit->positions[$this->circuit->setUps[$one->setUp]->position]->label,
                expected: is_finite($expected) ? $unit->fromBase($expected) : null,
                expectedText: $words->number($expected, $one->probe->quantity),
                read: \is_float($read?->value) ? $unit->fromBase($read->value) : null,
                text: $read === null ? null : $words->reading($read),
            );
        }

        return $steps;
    }

    /** The next of the series that was not read since the last replacement; null when all were. */
    public function next(Test $test): ?Test
    {
        $series = $this->tests($test);
        $at = array_search($test, $series, true);
        foreach ([...\array_slice($series, (int) $at), ...\array_slice($series, 0, (int) $at)] as $one) {
            if ($this->newest($one) === null) {
                return $one;
            }
        }

        return null;
    }

    /** @return list<Test> */
    private function tests(Test $test): array
    {
        if (!$test->probe->quantity->isNumber()) {
            return [];
        }
        $state = $this->circuit->setUps[$test->setUp]->text;
        $byPosition = [];
        foreach ($this->circuit->tests as $one) {
            $setUp = $this->circuit->setUps[$one->setUp];
            if (
                $one->text === $test->text &&
                $one->probe->quantity === $test->probe->quantity &&
                $setUp->text === $state &&
                $one->offered
            ) {
                $byPosition[$setUp->position] ??= $one;
            }
        }
        $sorted = [];
        foreach (array_keys($this->circuit->positions) as $position) {
            if (isset($byPosition[$position])) {
                $sorted[] = $byPosition[$position];
            }
        }

        return \in_array($test, $sorted, true) ? $sorted : [];
    }

    private function newest(Test $test): ?Reading
    {
        $newest = null;
        foreach ($this->case->present() as $reading) {
            if ($reading->test === $test->key) {
                $newest = $reading;
            }
        }

        return $newest;
    }
}
