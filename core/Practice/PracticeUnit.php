<?php

declare(strict_types=1);

namespace Ispira\Core\Practice;

use Ispira\Core\Device\Quantity;
use Ispira\Core\Device\Test;
use Ispira\Core\Job\JobState;
use Ispira\Core\Kernel\DisplayUnits;
use Ispira\Core\Reading\Reading;

/**
 * A make-believe machine that answers for a real one at the tests of a job: a person with a meter that errs goes at it,
 * with the leads where they were put.
 */
final readonly class PracticeUnit
{
    /** Digits that the meter of a practice unit shows, at least. */
    private const DIGITS = 4;

    private function __construct(private JobState $job, private HiddenMachine $machine) {}

    /** Null where the job is about a real machine, or its circuit was changed to one that has no such fault. */
    public static function of(JobState $job): ?self
    {
        $machine =
            $job->practice === null
                ? null
                : HiddenMachine::of($job->circuit, $job->practice, $job->head->intermittent, $job->case->replacements);

        return $machine === null ? null : new self($job, $machine);
    }

    /** What was hidden in it, in words. */
    public function told(): string
    {
        return $this->machine->told();
    }

    /**
     * @param float       $leadOhms resistance of the leads, which the meter shows with every resistance
     * @param HookUp|null $hookUp   how it is gone at; null for as the words have it
     *
     * @return PracticeAnswer|null null where there is nothing to read, hear or see so
     */
    public function answer(
        Test $test,
        DisplayUnits $units,
        float $leadOhms = 0.0,
        ?HookUp $hookUp = null,
    ): ?PracticeAnswer {
        $reading = $this->reads($test, $hookUp);
        if ($reading === null) {
            return null;
        }
        $quantity = $test->probe->quantity;
        $isNumber = $quantity->isNumber();
        $number = \is_float($reading->value)
            ? $reading->value + ($quantity === Quantity::Ohms ? $leadOhms : 0.0)
            : null;

        return new PracticeAnswer(
            value: $number === null ? '' : self::typed($number, $quantity, $units),
            choice: $isNumber ? '' : (string) $reading->value,
            overRange: $isNumber && $number === null,
            steady: $reading->steady,
            misbehaved: $reading->misbehaved,
        );
    }

    /**
     * What the meter or the person sees in SI units, without the leads; null where there is nothing to read, hear or see
     * so.
     */
    public function reads(Test $test, ?HookUp $hookUp = null): ?Reading
    {
        $hookUp ??= HookUp::asWords($this->job->circuit, $test);
        $isolated = $this->job->circuit->setUps[$test->setUp]->isolated;
        $quantity = $test->probe->quantity;
        if ($hookUp->isolated !== $isolated && $quantity !== Quantity::Capacitance) {
            if (!$isolated && $quantity->isNumber()) {
                return new Reading('practice', $test->key, 0.0);
            }
            if (!$isolated || $quantity === Quantity::Ohms) {
                return null;
            }
        }

        return $this->read($hookUp->really($test));
    }

    /** @return array<string, string> what it does in each position */
    public function map(): array
    {
        $states = [];
        foreach ($this->job->circuit->positions as $position) {
            $states[$position->key] = (string) $this->read($this->job->circuit->speedTest($position->key))->value;
        }

        return $states;
    }

    private function read(Test $test): Reading
    {
        $before = 0;
        foreach ($this->job->case->readings as $reading) {
            $before += $reading->test === $test->key ? 1 : 0;
        }

        return $this->machine->read('practice', $test, $before, \count($this->job->replacements));
    }

    private static function typed(float $number, Quantity $quantity, DisplayUnits $units): string
    {
        $shown = $units->unit($quantity->unit())->fromBase($number);
        $places = $shown === 0.0 ? 2 : self::DIGITS - 1 - (int) floor(log10(abs($shown)));

        // A meter's last place is a hundredth or a thousandth, not a part of a millionth.
        return number_format($shown, max(0, min(3, $places)), '.', '');
    }
}
