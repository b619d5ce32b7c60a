<?php

declare(strict_types=1);

namespace Ispira\Core\Job;

use Ispira\Core\Device\CircuitModel;
use Ispira\Core\Device\Quantity;
use Ispira\Core\Device\Test;
use Ispira\Core\Diagnosis\Inference\Judged;
use Ispira\Core\Diagnosis\Presentation\Words;
use Ispira\Core\Reading\Reading;
use Ispira\Core\Reading\RefusedReading;

/**
 * A job whose circuit turns out to be another one: which of its readings still say something.
 */
final readonly class CircuitChange
{
    /** @param bool $sameFamily whether only values of the circuit change: then a test is the same by its key */
    public function __construct(private CircuitModel $before, private CircuitModel $after, private bool $sameFamily) {}

    /** Why a job has to keep its circuit; null when it need not. */
    public static function refusal(JobState $job): ?string
    {
        return match (true) {
            !$job->is(JobStage::Circuit) && !$job->is(JobStage::Bench)
                => 'This job has left the bench: open a new one for the other circuit.',
            $job->replacements !== []
                => 'A part was replaced in this job already: close it, and open a new one for the other circuit.',
            $job->part !== null => 'The job is about a loose part: open a new one for another part.',
            default => null,
        };
    }

    /** Whether the other circuit asks the same in the same place, and can show what was read. */
    public function keeps(Reading $reading): bool
    {
        $old = $this->before->tests[$reading->test] ?? null;
        $new = $this->after->tests[$reading->test] ?? null;
        if ($old === null || $new === null || !$this->isTheSame($old, $new, $reading)) {
            return false;
        }
        try {
            $intake = Judged::intake($this->after, onRecord: true);
            \is_float($reading->value)
                ? $intake->within($new, $reading->value)
                : ($reading->value === null
                    ? null
                    : $intake->value($new, $reading->value));
        } catch (RefusedReading) {
            return false;
        }

        return true;
    }

    /** What was read, as it was asked: it stays on record when it no longer belongs. */
    public function said(Reading $reading): string
    {
        $words = new Words($this->before);
        $test = $this->before->tests[$reading->test];

        return "{$words->test($test)} ({$words->setUp($test)}): {$words->reading($reading)}";
    }

    private function isTheSame(Test $old, Test $new, Reading $reading): bool
    {
        if ($old->probe->quantity !== $new->probe->quantity) {
            return false;
        }
        if ($this->sameFamily) {
            return true;
        }
        $before = new Words($this->before);
        $after = new Words($this->after);
        if ($old->probe->quantity === Quantity::Observation) {
            // What is seen or heard says the same whatever the selector's steps are called.
            $value = (string) $reading->value;
            $known = isset($this->after->observations[$new->probe->at]->usual[$value]);

            return $known && $before->choice($old, $value) === $after->choice($new, $value);
        }
        $position = static fn(CircuitModel $circuit, Test $test): ?string => $circuit->positions[
            $circuit->setUps[$test->setUp]->position
        ]->label ?? null;

        return $before->test($old) === $after->test($new) &&
            $position($this->before, $old) === $position($this->after, $new) &&
            $this->before->kindIn($old) === $this->after->kindIn($new);
    }
}
