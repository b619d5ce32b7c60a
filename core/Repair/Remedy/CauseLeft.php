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
 *
 * @phpstan-type Left array{test: string, shown: string, ordinary: string, question: string}
 */
final readonly class CauseLeft
{
    /** Standard deviations within which a fault that the way cures explains a reading. */
    private const WITHIN = 2.5;

    private Words $words;

    public function __construct(
        private CircuitModel $circuit,
        private ProofChecks $checks,
        private CaseFile $case,
        DisplayUnits $units = new DisplayUnits(),
    ) {
        $this->words = new Words($circuit, $units);
    }

    /** @return list<Left> each test once */
    public function by(OfferedRemedy $offer, Diagnosis $diagnosis): array
    {
        $left = [];
        foreach ($this->circuit->causeChecks as $check) {
            $test = $this->circuit->tests[$check->test] ?? null;
            $reading = $test === null ? null : $this->newest($test);
            if (
                $test !== null &&
                $reading !== null &&
                \in_array($check->part, $offer->parts, true) &&
                ProofChecks::missing($test) === null &&
                !$this->checks->isRight($test, $reading) &&
                !$this->goesWith($offer, $test, $reading, $diagnosis)
            ) {
                $left[$test->key] = [
                    'test' => $this->words->test($test),
                    'shown' => $this->words->reading($reading),
                    'ordinary' => $this->checks->expected($test),
                    'question' => $this->circuit->texts->get("causes.$check->text"),
                ];
            }
        }

        return array_values($left);
    }

    private function newest(Test $test): ?Reading
    {
        $newest = null;
        foreach ($this->case->standing() as $reading) {
            if ($reading->test === $test->key && $reading->episode === \count($this->case->replacements)) {
                $newest = $reading;
            }
        }

        return $newest;
    }

    /** Whether what was found goes out with the parts: it is seen on one of them, or a fault of theirs explains it. */
    private function goesWith(OfferedRemedy $offer, Test $test, Reading $reading, Diagnosis $diagnosis): bool
    {
        if (!$test->probe->quantity->isNumber()) {
            return \in_array($this->shownBy($test, (string) $reading->value), $offer->parts, true);
        }
        foreach ($diagnosis->suspects as $suspect) {
            if ($suspect->namesParts() && array_diff(explode('+', $suspect->remedy), $offer->parts) === []) {
                [$least, $most] = $diagnosis->evidence->range($suspect->leading(), $test, self::WITHIN);
                if (
                    \is_float($reading->value)
                        ? $reading->value >= $least && $reading->value <= $most
                        : is_infinite($most)
                ) {
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
