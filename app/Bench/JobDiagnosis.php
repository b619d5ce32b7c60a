<?php

declare(strict_types=1);

namespace App\Bench;

use App\Models\Job;
use Ispira\Core\Device\CircuitModel;
use Ispira\Core\Diagnosis\Decision\Diagnosis;
use Ispira\Core\Diagnosis\Decision\Engine;
use Ispira\Core\Diagnosis\Decision\TestChoice;
use Ispira\Core\Diagnosis\Inference\CaseFile;
use Ispira\Core\Diagnosis\Inference\PredictionStore;
use Ispira\Core\Diagnosis\Presentation\DiagnosisFormat;
use Ispira\Core\Diagnosis\Presentation\Learned;
use Ispira\Core\Diagnosis\Presentation\Series;
use Ispira\Core\Diagnosis\Presentation\Shown\LearnedShown;
use Ispira\Core\Diagnosis\Presentation\SoundCircuit;
use Ispira\Core\Kernel\DisplayUnits;

/**
 * The diagnosis of a stored job, as the pages show it.
 */
final readonly class JobDiagnosis
{
    /** Bits under which a test says nothing. */
    private const SAYS_NOTHING = 1e-4;

    public function __construct(private PredictionStore $store) {}

    /** What buying on the speed map alone would have wasted on average. */
    public function priceOfGuessing(Job $job, CircuitModel $circuit): float
    {
        return (new Engine($this->store))->diagnose(
            $circuit,
            $job->caseFile()->mapOnly($circuit),
            $job->decisionSettings(),
        )->guessing;
    }

    /** @return list<LearnedShown> what the readings taught about this machine */
    public function learned(Job $job, CircuitModel $circuit): array
    {
        if ($circuit->learnables === []) {
            return [];
        }
        $evidence = (new Engine($this->store))->weigh($circuit, $job->caseFile(), $job->decisionSettings());
        $evidence->predictions->keep();

        return (new Learned($circuit, $evidence, app(DisplayUnits::class)))->values();
    }

    /**
     * @param list<string> $missingTools
     * @param string|null  $chosen test to describe instead of the proposed one
     */
    public function of(
        Job $job,
        CircuitModel $circuit,
        array $missingTools = [],
        ?string $chosen = null,
        ?WhatIf $whatIf = null,
    ): Seen {
        $case = $whatIf === null ? $job->caseFile() : $whatIf->applyTo($job->caseFile());
        $diagnosis = (new Engine($this->store))->diagnose($circuit, $case, $job->decisionSettings($missingTools));

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

        return $this->shown($circuit, $case, $diagnosis, $chosen);
    }

    public function shown(CircuitModel $circuit, CaseFile $case, Diagnosis $diagnosis, ?string $chosen = null): Seen
    {
        $shown =
            $chosen !== null && isset($circuit->tests[$chosen]) ? $circuit->tests[$chosen] : $diagnosis->next?->test;

        return new Seen(
            diagnosis: (new DiagnosisFormat($circuit, $case, $diagnosis, app(DisplayUnits::class)))->shown($chosen),
            series: $shown === null
                ? []
                : (new Series($circuit, $case))->of($shown, $diagnosis->evidence, app(DisplayUnits::class)),
            sheet: (new SoundCircuit($circuit))->sheet(
                $shown === null ? $circuit->highest() : $circuit->setUps[$shown->setUp],
            ),
        );
    }
}
