<?php

declare(strict_types=1);

namespace App\Instruments;

use App\Jobs\JobStates;
use App\Models\Job;
use App\Models\Replacement;
use Ispira\Core\Device\CircuitModel;
use Ispira\Core\Device\Test;
use Ispira\Core\Diagnosis\Inference\Hypothesis;
use Ispira\Core\Diagnosis\Inference\HypothesisList;
use Ispira\Core\Diagnosis\Trial\SimulatedUnit;
use Ispira\Core\Instrument\MeterFunction;
use Ispira\Core\Kernel\RandomSource;
use Ispira\Core\Practice\Exercise;
use Ispira\Core\Practice\PracticeUnit;
use Ispira\Core\Reading\MeterAccuracy;
use Ispira\Core\Reading\Reading;

/**
 * The simulated unit behind a job: hides a fault until its part is replaced, and shows what the test on the bench
 * would.
 */
final class BenchUnderTest
{
    /** Noise of samples, as a part of the spread of meter and hook-up. */
    private const NOISE = 0.05;
    private const NOISE_WHEN_WANDERING = 1.5;

    private ?CircuitModel $circuit = null;

    private ?SimulatedUnit $unit = null;

    /** What the last reading of a make-believe unit was taken of: how often it was read, and the leads. */
    private string $takenOf = '';

    private int $episode = -1;

    /** @var array<string, Reading> by test */
    private array $shown = [];

    /** @param Hypothesis|null $hidden null for what is hidden in the make-believe unit of the job */
    public function __construct(
        private readonly string $job,
        private readonly ?Hypothesis $hidden,
        private readonly RandomSource $chance,
    ) {}

    /** In SI units; null for over-range. */
    public function measure(MeterFunction $function): ?float
    {
        $job = Job::query()->with('replacements')->find($this->job);
        if (!($job instanceof Job)) {
            return 0.0;
        }
        $circuit = $this->circuit ??= $job->circuit();
        $test = $circuit->tests[$job->test_on_bench ?? ''] ?? null;
        if ($test === null || MeterFunction::for($test, $circuit) !== $function) {
            return $function === MeterFunction::Ohms ? null : $this->chance->normal() * 1e-3;
        }
        $reading =
            $this->hidden === null
                ? $this->ofPractice($job, $test)
                : $this->ofFault($job, $circuit, $test, $this->hidden);
        if ($reading === null || !is_float($reading->value)) {
            return null;
        }
        $noise =
            ($reading->steady ? self::NOISE : self::NOISE_WHEN_WANDERING) *
            MeterAccuracy::spread($test->probe->quantity, $reading->value);

        return ($reading->value + $noise * $this->chance->normal()) / $function->toBase();
    }

    private function ofFault(Job $job, CircuitModel $circuit, Test $test, Hypothesis $hidden): Reading
    {
        $unit = $this->unit($job, $circuit, $hidden);

        return $this->shown[$test->key] ??= $unit->read('shown', $test, $this->episode);
    }

    /** Null where the leads hang in the air: in one's own way a meter shows what was hooked up. */
    private function ofPractice(Job $job, Test $test): ?Reading
    {
        $state = JobStates::of($job->load('readings', 'replacements'));
        $unit = PracticeUnit::of($state);
        $exercise = Exercise::of($state);
        $hookUp = $exercise?->hookUp($test);
        if ($unit === null || ($exercise?->practice->hides() === true && $hookUp === null)) {
            return null;
        }
        $of = "$test->key " . count($state->readings) . ' ' . serialize($hookUp);
        if ($of !== $this->takenOf) {
            $this->takenOf = $of;
            $this->shown = [];
        }

        return $this->shown[$test->key] ??= $unit->reads($test, $hookUp) ?? new Reading('shown', $test->key, 0.0);
    }

    /** Once the faulty part is replaced, the unit is sound. */
    private function unit(Job $job, CircuitModel $circuit, Hypothesis $hidden): SimulatedUnit
    {
        if ($this->unit === null || $this->episode !== $job->replacements->count()) {
            $this->episode = $job->replacements->count();
            $this->shown = [];
            $cured = $hidden->isCuredBy(
                array_values($job->replacements->map(static fn(Replacement $one): string => $one->remedy)->all()),
            );
            $this->unit = new SimulatedUnit(
                $circuit,
                $cured ? HypothesisList::of($circuit, false)[HypothesisList::NOTHING_WRONG] : $hidden,
                $this->chance,
                0.0,
            );
        }

        return $this->unit;
    }
}
