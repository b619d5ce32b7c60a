<?php

declare(strict_types=1);

namespace Ispira\Core\Repair\Proof;

use Ispira\Core\Device\CircuitModel;
use Ispira\Core\Device\Quantity;
use Ispira\Core\Device\RepairSheet;
use Ispira\Core\Device\Test;
use Ispira\Core\Diagnosis\Decision\Evidence;
use Ispira\Core\Diagnosis\Inference\CaseFile;
use Ispira\Core\Diagnosis\Inference\HypothesisList;
use Ispira\Core\Diagnosis\Inference\Judged;
use Ispira\Core\Diagnosis\Presentation\Words;
use Ispira\Core\Kernel\DisplayUnits;
use Ispira\Core\Reading\MeterAccuracy;
use Ispira\Core\Reading\Reading;

/**
 * What a repair is proved by: the family's own tests, against what the sound circuit shows.
 */
final readonly class ProofChecks
{
    /** Standard deviations within which a reading is right. */
    private const WITHIN = 2.5;

    /** An answer of the sound circuit that is at least so likely is right. */
    private const LIKELY = 0.3;

    private Words $words;

    public function __construct(
        private CircuitModel $circuit,
        private RepairSheet $sheet,
        private Evidence $evidence,
        DisplayUnits $units = new DisplayUnits(),
    ) {
        $this->words = new Words($circuit, $units);
    }

    /**
     * @param list<string> $besides names of more
     *
     * @return list<Test> one of each name that the family gives: in the last position in which it is read
     */
    public function tests(array $besides = []): array
    {
        $chosen = [];
        foreach ([...$this->sheet->proof, ...$besides] as $name) {
            foreach ($this->circuit->tests as $test) {
                if ($test->name() === $name) {
                    // The positions come before set-ups that take the machine apart.
                    if (!isset($chosen[$name]) || isset($this->circuit->positions[$test->setUp])) {
                        $chosen[$name] = $test;
                    }
                }
            }
        }

        return array_values($chosen);
    }

    /**
     * @param list<string> $changed keys of what was adjusted
     * @param list<string> $besides names of tests that this repair never leaves out
     *
     * @return list<ProofCheck> with the newest reading of each since the last replacement
     */
    public function of(CaseFile $case, array $changed = [], array $besides = []): array
    {
        $complained = (new Complaint($this->circuit, $case))->askedAgain();
        $always = [...$this->sheet->never->tests, ...$this->sheet->provedBy($changed), ...$besides, ...$complained];
        $checks = [];
        foreach ($this->tests($always) as $test) {
            $newest = $case->newest($test->key);
            $checks[] = new ProofCheck(
                $test,
                $this->expected($test),
                $newest === null ? null : $this->words->reading($newest),
                $newest === null ? null : $this->finding($case, $test, $newest),
                \in_array($test->name(), $always, true),
                \in_array($test->name(), $complained, true),
            );
        }

        return $checks;
    }

    /** What has to be known before anybody can say whether a reading of it is right; null when all is. */
    public static function missing(Test $test): ?string
    {
        return $test->plate === null || $test->plate->isKnown()
            ? null
            : 'Type what the plate of the unit calls right on the Circuit page first: without it nobody can say ' .
                    'whether this is right.';
    }

    /**
     * What a reading of a check says, with those of the same check since the last replacement.
     *
     * A number is wrong when it was measured twice and was outside both times; what is heard or seen is wrong at once,
     * for it is asked over several starts.
     */
    public function finding(CaseFile $case, Test $test, Reading $reading): CheckFinding
    {
        if ($this->isRight($test, $reading)) {
            return CheckFinding::Right;
        }
        $before = array_filter(
            $case->present(),
            fn(Reading $one): bool => $one->test === $test->key &&
                $one->id !== $reading->id &&
                !$this->isRight($test, $one),
        );

        return $before === [] && $test->probe->quantity->isNumber() ? CheckFinding::Again : CheckFinding::Wrong;
    }

    public function isRight(Test $test, Reading $reading): bool
    {
        if ($test->probe->quantity->isNumber()) {
            return $reading->liesIn($this->band($test));
        }

        return \in_array($reading->value, $this->rightAnswers($test), true);
    }

    /** What a sound circuit shows, in words. */
    public function expected(Test $test): string
    {
        if (self::missing($test) !== null) {
            return 'what the plate says: type it on the Circuit page';
        }
        if (!$test->probe->quantity->isNumber()) {
            return implode(
                ' or ',
                array_map(
                    fn(string $answer): string => $this->words->choice($test, $answer),
                    $this->rightAnswers($test),
                ),
            );
        }
        [$least, $most] = $this->band($test);

        return match (true) {
            is_infinite($least) => $this->words->number(\INF, $test->probe->quantity),
            $least <= 0.0 && $most >= 0.0 => 'at most ' . $this->words->number($most, $test->probe->quantity),
            default => $this->words->number($least, $test->probe->quantity) .
                ' to ' .
                $this->words->number($most, $test->probe->quantity),
        };
    }

    /** @return array{0: float, 1: float} */
    private function band(Test $test): array
    {
        if ($test->plate?->least !== null && $test->plate->most !== null) {
            return [$test->plate->least, $test->plate->most];
        }

        $sound = $this->evidence->hypotheses[HypothesisList::NOTHING_WRONG];
        // Not as learned from what was read since: a reading would speak for itself, and each for those after it.
        [$least, $most] = $this->evidence->rangeOfAny($sound, $test, self::WITHIN);
        // Less than a meter can tell from nothing is nothing: who loses no volts is not wrong.
        $nothing = self::WITHIN * MeterAccuracy::spread($test->probe->quantity, 0.0);

        return [$least > 0.0 && $least < $nothing ? -$nothing : $least, $most];
    }

    /** @return list<string> */
    private function rightAnswers(Test $test): array
    {
        $chances =
            $test->probe->quantity === Quantity::Observation
                ? $this->circuit->observations[$test->probe->at]->usual
                : Judged::chances(
                    $this->circuit,
                    $test,
                    $this->evidence->expected($this->evidence->hypotheses[HypothesisList::NOTHING_WRONG], $test)[0],
                );
        $best = max([0.0, ...array_values($chances)]);

        return array_map(
            strval(...),
            array_keys(
                array_filter($chances, static fn(float $chance): bool => $chance === $best || $chance >= self::LIKELY),
            ),
        );
    }
}
