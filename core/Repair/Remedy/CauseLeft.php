<?php

declare(strict_types=1);

namespace Ispira\Core\Repair\Remedy;

use Ispira\Core\Device\CircuitModel;
use Ispira\Core\Device\OfferedRemedy;
use Ispira\Core\Device\Test;
use Ispira\Core\Diagnosis\Decision\Diagnosis;
use Ispira\Core\Diagnosis\Inference\CaseFile;
use Ispira\Core\Diagnosis\Presentation\Words;
use Ispira\Core\Kernel\DisplayUnits;
use Ispira\Core\Reading\Reading;
use Ispira\Core\Repair\Proof\ProofChecks;

/**
 * What was measured that would spoil a new part again, and that a way of repair leaves in the machine.
 */
final readonly class CauseLeft
{
    /** Standard deviations within which a fault that the way cures explains a reading. */
    private const WITHIN = 2.5;

    /** @var list<array{part: string, test: Test, reading: Reading, left: LeftShown}> causes that were measured and are not right */
    private array $found;

    public function __construct(
        private CircuitModel $circuit,
        ProofChecks $checks,
        CaseFile $case,
        DisplayUnits $units = new DisplayUnits(),
    ) {
        $words = new Words($circuit, $units);
        $found = [];
        foreach ($circuit->causeChecks as $check) {
            $test = $circuit->tests[$check->test] ?? null;
            $reading = $case->newest($check->test);
            if (
                $test !== null &&
                $reading !== null &&
                ProofChecks::missing($test) === null &&
                !$checks->isRight($test, $reading)
            ) {
                $found[] = [
                    'part' => $check->part,
                    'test' => $test,
                    'reading' => $reading,
                    'left' => new LeftShown(
                        test: $words->test($test),
                        shown: $words->reading($reading),
                        ordinary: $checks->expected($test),
                        question: $circuit->texts->get("causes.$check->text"),
                    ),
                ];
            }
        }
        $this->found = $found;
    }

    /** @return list<LeftShown> each test once */
    public function by(OfferedRemedy $offer, Diagnosis $diagnosis): array
    {
        $left = [];
        foreach ($this->found as ['part' => $part, 'test' => $test, 'reading' => $reading, 'left' => $one]) {
            if (\in_array($part, $offer->parts, true) && !$this->goesWith($offer, $test, $reading, $diagnosis)) {
                $left[$test->key] = $one;
            }
        }

        return array_values($left);
    }

    /** Whether what was found goes out with the parts: it is seen on one of them, or a fault of theirs explains it. */
    private function goesWith(OfferedRemedy $offer, Test $test, Reading $reading, Diagnosis $diagnosis): bool
    {
        if (!$test->probe->quantity->isNumber()) {
            return \in_array($this->shownBy($test, (string) $reading->value), $offer->parts, true);
        }
        foreach ($diagnosis->suspects as $suspect) {
            if ($suspect->namesParts() && array_diff(explode('+', $suspect->remedy), $offer->parts) === []) {
                if ($reading->liesIn($diagnosis->evidence->range($suspect->leading(), $test, self::WITHIN))) {
                    return true;
                }
            }
        }

        return false;
    }

    /** The part whose faults show an answer most. */
    private function shownBy(Test $test, string $answer): ?string
    {
        $part = null;
        $most = 0.0;
        foreach ($this->circuit->faults as $fault) {
            $chance = $fault->observed[$test->probe->at][$answer] ?? 0.0;
            if ($chance > $most) {
                [$part, $most] = [$fault->part, $chance];
            }
        }

        return $part;
    }
}
