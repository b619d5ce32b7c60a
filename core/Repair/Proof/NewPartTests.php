<?php

declare(strict_types=1);

namespace Ispira\Core\Repair\Proof;

use Ispira\Core\Device\CircuitModel;
use Ispira\Core\Device\Quantity;
use Ispira\Core\Device\Test;
use Ispira\Core\Diagnosis\Decision\Evidence;
use Ispira\Core\Diagnosis\Inference\CaseFile;
use Ispira\Core\Diagnosis\Inference\Hypothesis;
use Ispira\Core\Diagnosis\Inference\HypothesisList;
use Ispira\Core\Reading\MeterAccuracy;

/**
 * Tests that a new part passes and the old one did not, on the part alone: new is no proof.
 */
final readonly class NewPartTests
{
    private const MOST = 4;

    /** A look that sound parts often fail judges none. */
    private const SOUND_LOOKS_SOUND = 0.85;

    /** How much likelier an answer has to be with the fault for the test to speak of it. */
    private const SPEAKS_FROM = 3.0;

    public function __construct(private CircuitModel $circuit, private Evidence $evidence) {}

    /** @return list<Test> those that were read in this job first */
    public function of(CaseFile $case, Hypothesis $fault): array
    {
        $read = $others = [];
        $taken = array_map(static fn($reading): string => $reading->test, $case->standing());
        foreach ($this->circuit->tests as $key => $test) {
            if ($this->isOnThePartAlone($test) && $this->isOfIts($test, $fault) && $this->tellsApart($test, $fault)) {
                \in_array($key, $taken, true) ? ($read[] = $test) : ($others[] = $test);
            }
        }

        return \array_slice([...$read, ...$others], 0, self::MOST);
    }

    private function isOnThePartAlone(Test $test): bool
    {
        $setUp = $this->circuit->setUps[$test->setUp];

        return $test->offered &&
            match ($test->probe->quantity) {
                Quantity::Ohms, Quantity::Capacitance => true,
                Quantity::Observation => !$this->circuit->positions[$setUp->position]->runs() &&
                    !str_starts_with($test->key, 'wiggle') &&
                    !$test->asked,
                default => $setUp->text !== null,
            };
    }

    /** Whether it looks at the part or measures at its ends: a board is not tested by the pulses of the motor. */
    private function isOfIts(Test $test, Hypothesis $fault): bool
    {
        foreach ($fault->parts as $part) {
            if ($this->circuit->touches($test, $part)) {
                return true;
            }
        }

        return false;
    }

    private function tellsApart(Test $test, Hypothesis $fault): bool
    {
        if ($test->probe->quantity === Quantity::Observation) {
            $usual = $this->circuit->observations[$test->probe->at]->usual;
            if (max([0.0, ...array_values($usual)]) < self::SOUND_LOOKS_SOUND) {
                return false;
            }
            foreach ($fault->faults as $one) {
                foreach ($one->observed[$test->probe->at] ?? [] as $answer => $chance) {
                    if ($chance > self::SPEAKS_FROM * ($usual[$answer] ?? 0.0)) {
                        return true;
                    }
                }
            }

            return false;
        }
        [$bad] = $this->evidence->expected($fault, $test);
        $sound = $this->evidence->hypotheses[HypothesisList::NOTHING_WRONG];
        [$good] = $this->evidence->expected($sound, $test);

        return $test->probe->quantity->isNumber()
            ? MeterAccuracy::tellsApart($test->probe->quantity, $bad, $good) && $this->liesApart($test, $fault, $sound)
            : abs($bad - $good) > 0.3;
    }

    /** On the scale of the quantity: kilohms differ tenfold from one sound part to the next, a short lies far off. */
    private function liesApart(Test $test, Hypothesis $fault, Hypothesis $sound): bool
    {
        [$bad] = $this->evidence->foreseen->onScale($fault, $test);
        [$good, $spread] = $this->evidence->foreseen->onScale($sound, $test);

        return is_infinite($bad) || is_infinite($good) || abs($bad - $good) > self::SPEAKS_FROM * $spread;
    }
}
