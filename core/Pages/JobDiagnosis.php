<?php

declare(strict_types=1);

namespace Ispira\Core\Pages;

use Ispira\Core\Device\CircuitModel;
use Ispira\Core\Diagnosis\Decision\DecisionSettings;
use Ispira\Core\Diagnosis\Decision\Diagnosis;
use Ispira\Core\Diagnosis\Decision\Engine;
use Ispira\Core\Diagnosis\Decision\Evidence;
use Ispira\Core\Diagnosis\Decision\TestChoice;
use Ispira\Core\Diagnosis\Inference\CaseFile;
use Ispira\Core\Diagnosis\Inference\PredictionStore;
use Ispira\Core\Diagnosis\Presentation\DiagnosisFormat;
use Ispira\Core\Diagnosis\Presentation\Learned;
use Ispira\Core\Diagnosis\Presentation\Series;
use Ispira\Core\Diagnosis\Presentation\Shown\LearnedShown;
use Ispira\Core\Diagnosis\Presentation\SoundCircuit;
use Ispira\Core\Job\JobState;
use Ispira\Core\Repair\Ledger\Entry;
use Ispira\Core\Repair\Ledger\EntryKind;

/**
 * The diagnosis of a job, as the pages show it.
 */
final readonly class JobDiagnosis
{
    /** Bits under which a test says nothing. */
    private const SAYS_NOTHING = 1e-4;

    public function __construct(public PredictionStore $store, private Workplace $place) {}

    /** With whatever tools. */
    public function plain(JobState $job): Diagnosis
    {
        return (new Engine($this->store))->diagnose($job->circuit, $job->case, $this->settings($job));
    }

    /**
     * What the speed map alone says.
     *
     * @param list<string> $missing tools that are not at hand
     */
    public function onTheMap(JobState $job, array $missing = []): Diagnosis
    {
        return (new Engine($this->store))->diagnose(
            $job->circuit,
            $job->case->mapOnly($job->circuit),
            $this->settings($job, $missing),
        );
    }

    /**
     * The money and means with which tests are weighed.
     *
     * @param list<string> $missingTools
     */
    public function settings(JobState $job, array $missingTools = []): DecisionSettings
    {
        return new DecisionSettings(
            $this->place->labourPerHour(),
            $this->place->comeBackHours(),
            $missingTools,
            [],
            array_map(static fn(Entry $one): string => $one->text('test'), $job->ledger->all(EntryKind::Cannot)),
            $this->place->terms($job),
        );
    }

    /** What buying on the speed map alone would have wasted on average. */
    public function priceOfGuessing(JobState $job): float
    {
        return $this->onTheMap($job)->guessing;
    }

    /** @return list<LearnedShown> what the readings taught about this machine */
    public function learned(JobState $job): array
    {
        if ($job->circuit->learnables === []) {
            return [];
        }

        return (new Learned($job->circuit, $this->evidence($job), $this->place->units()))->values();
    }

    /** What the readings say, without a look at what to do next. */
    public function evidence(JobState $job): Evidence
    {
        $evidence = (new Engine($this->store))->weigh($job->circuit, $job->case, $this->settings($job));
        $evidence->predictions->keep();

        return $evidence;
    }

    /**
     * As it stands for the person who looks: with the tools at hand.
     *
     * @param string|null $chosen test to describe instead of the proposed one
     */
    public function of(JobState $job, ?string $chosen = null, ?WhatIf $whatIf = null): Seen
    {
        $case = $whatIf === null ? $job->case : $whatIf->applyTo($job->case);
        $diagnosis = (new Engine($this->store))->diagnose(
            $job->circuit,
            $case,
            $this->settings($job, $this->place->missingTools()),
        );

        if ($job->part !== null) {
            // What says nothing of the part on the bench is not offered for it.
            $telling = array_values(
                array_filter(
                    $diagnosis->others,
                    static fn(TestChoice $one): bool => $one->information > self::SAYS_NOTHING,
                ),
            );
            $diagnosis = new Diagnosis(
                $diagnosis->suspects,
                $diagnosis->next,
                $telling,
                $diagnosis->verdict,
                $diagnosis->misfit,
                $diagnosis->guessing,
                $diagnosis->evidence,
                $diagnosis->beyond,
            );
        }

        return $this->shown($job->circuit, $case, $diagnosis, $chosen);
    }

    public function shown(CircuitModel $circuit, CaseFile $case, Diagnosis $diagnosis, ?string $chosen = null): Seen
    {
        $shown =
            $chosen !== null && isset($circuit->tests[$chosen]) ? $circuit->tests[$chosen] : $diagnosis->next?->test;

        return new Seen(
            diagnosis: (new DiagnosisFormat($circuit, $case, $diagnosis, $this->place->units()))->shown($chosen),
            series: $shown === null
                ? []
                : (new Series($circuit, $case))->of($shown, $diagnosis->evidence, $this->place->units()),
            sheet: (new SoundCircuit($circuit))->sheet(
                $shown === null ? $circuit->highest() : $circuit->setUps[$shown->setUp],
            ),
        );
    }
}
