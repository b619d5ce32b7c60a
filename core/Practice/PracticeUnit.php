<?php

declare(strict_types=1);

namespace Ispira\Core\Practice;

use Ispira\Core\Device\Quantity;
use Ispira\Core\Device\Test;
use Ispira\Core\Diagnosis\Inference\Hypothesis;
use Ispira\Core\Diagnosis\Inference\HypothesisList;
use Ispira\Core\Diagnosis\Presentation\Words;
use Ispira\Core\Diagnosis\Trial\SimulatedUnit;
use Ispira\Core\Job\JobState;
use Ispira\Core\Kernel\DisplayUnits;
use Ispira\Core\Kernel\RandomSource;

/**
 * A make-believe machine that answers for a real one: its values are its own, one fault is hidden in it until its
 * part is replaced, and a meter reads it with a meter's error.
 *
 * The same question asked again is answered with the same machine and another error of the meter.
 */
final class PracticeUnit
{
    /** Digits that the meter of a practice unit shows, at least. */
    private const DIGITS = 4;

    private ?SimulatedUnit $unit = null;

    /** @param Hypothesis $hidden what is wrong with it now: nothing, once it is cured */
    private function __construct(
        private readonly JobState $job,
        private readonly Hypothesis $hidden,
        private readonly Hypothesis $truth,
        private readonly int $seed,
    ) {}

    /** Null where the job is about a real machine, or its circuit was changed to one that has no such fault. */
    public static function of(JobState $job): ?self
    {
        if ($job->practice === null) {
            return null;
        }
        $all = HypothesisList::of($job->circuit, $job->head->intermittent);
        $truth = $all[$job->practice->fault] ?? null;
        $sound = $all[HypothesisList::NOTHING_WRONG];

        return $truth === null
            ? null
            : new self(
                $job,
                $truth->isCuredBy($job->case->replacements) ? $sound : $truth,
                $truth,
                $job->practice->seed,
            );
    }

    /** What was hidden in it, in words. */
    public function told(): string
    {
        return (new Words($this->job->circuit))->hypothesis($this->truth);
    }

    /** @param float $leadOhms resistance of the leads, which the meter shows with every resistance */
    public function answer(Test $test, DisplayUnits $units, float $leadOhms = 0.0): PracticeAnswer
    {
        $reading = $this->unit($test)->read('practice', $test, \count($this->job->replacements));
        $isNumber = $test->probe->quantity->isNumber();
        $number = \is_float($reading->value)
            ? $reading->value + ($test->probe->quantity === Quantity::Ohms ? $leadOhms : 0.0)
            : null;

        return new PracticeAnswer(
            value: $number === null ? '' : self::typed($number, $test->probe->quantity, $units),
            choice: $isNumber ? '' : (string) $reading->value,
            overRange: $isNumber && $number === null,
            steady: $reading->steady,
            misbehaved: $reading->misbehaved,
        );
    }

    /** @return array<string, string> what it does in each position */
    public function map(): array
    {
        $states = [];
        foreach ($this->job->circuit->positions as $position) {
            $test = $this->job->circuit->speedTest($position->key);
            $states[$position->key] = (string) $this->unit($test)->read('practice', $test, 0)->value;
        }

        return $states;
    }

    /** The unit, read by a meter that errs by what comes of the seed, the test and how often it was read. */
    private function unit(Test $test): SimulatedUnit
    {
        $before = 0;
        foreach ($this->job->case->readings as $reading) {
            $before += $reading->test === $test->key ? 1 : 0;
        }
        $this->unit ??= new SimulatedUnit($this->job->circuit, $this->hidden, new RandomSource($this->seed), 0.0);

        return $this->unit->readBy(new RandomSource(crc32("$this->seed/$test->key/$before") & 0x7fffffff));
    }

    private static function typed(float $number, Quantity $quantity, DisplayUnits $units): string
    {
        $shown = $units->unit($quantity->unit())->fromBase($number);
        $places = $shown === 0.0 ? 2 : self::DIGITS - 1 - (int) floor(log10(abs($shown)));

        // A meter's last place is a hundredth or a thousandth, not a part of a millionth.
        return number_format($shown, max(0, min(3, $places)), '.', '');
    }
}
