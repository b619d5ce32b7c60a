<?php

declare(strict_types=1);

namespace App\Repair;

use App\Models\CatalogueEntry;
use App\Models\Job;
use Ispira\Core\Device\CircuitModel;
use Ispira\Core\Device\OfferedRemedy;
use Ispira\Core\Device\Part;
use Ispira\Core\Diagnosis\Decision\Diagnosis;
use Ispira\Core\Diagnosis\Decision\Engine;
use Ispira\Core\Diagnosis\Inference\PredictionStore;
use Ispira\Core\Diagnosis\Presentation\Words;
use Ispira\Core\Kernel\DisplayUnits;
use Ispira\Core\Repair\Proof\ProofChecks;
use Ispira\Core\Repair\Remedy\CauseLeft;
use Ispira\Core\Repair\Remedy\Outlook;
use Ispira\Core\Repair\Remedy\OutlookShown;
use Ispira\Core\Repair\Remedy\Quote;
use Ispira\Core\Repair\Remedy\Remedies;

/**
 * The ways to cure a job, priced for its workshop.
 */
final readonly class RemedyView
{
    public function __construct(private PredictionStore $store) {}

    public function diagnosis(Job $job, CircuitModel $circuit): Diagnosis
    {
        return (new Engine($this->store))->diagnose($circuit, $job->caseFile(), $job->decisionSettings());
    }

    public function outlook(
        Job $job,
        CircuitModel $circuit,
        Diagnosis $diagnosis,
        float $standing = 0.0,
        bool $potted = false,
    ): OutlookShown {
        $units = app(DisplayUnits::class);
        $checks = new ProofChecks($circuit, $job->repairSheet(), $diagnosis->evidence, $units);

        return (new Outlook(
            $circuit,
            $this->remedies($job, $circuit, $standing, $potted),
            new CauseLeft($circuit, $checks, $job->caseFile(), $units),
        ))->shown($diagnosis);
    }

    private function remedies(Job $job, CircuitModel $circuit, float $standing, bool $potted): Remedies
    {
        return new Remedies(
            $circuit,
            $job->repairSheet(),
            $job->decisionSettings(),
            $this->own($job, $circuit),
            $standing,
            $potted,
            Quote::all($job->ledger()),
        );
    }

    /**
     * What each tool that some test needs saves on a complaint like this one: how much more the best first test is
     * worth with it.
     *
     * @return list<ToolWorth>
     */
    public function tools(Job $job, CircuitModel $circuit): array
    {
        $case = $job->caseFile()->mapOnly($circuit);
        $words = new Words($circuit);
        $engine = new Engine($this->store);
        $with = $engine->diagnose($circuit, $case, $job->decisionSettings());
        $tools = [];
        foreach ($circuit->tests as $test) {
            foreach ($test->tools as $tool) {
                $tools[$tool] = true;
            }
        }
        $shown = [];
        foreach (array_keys($tools) as $tool) {
            $without =
                $with->next !== null && in_array($tool, $with->next->test->tools, true)
                    ? $engine->diagnose($circuit, $case, $job->decisionSettings([$tool]))
                    : $with;
            $shown[] = new ToolWorth(
                key: $tool,
                label: $words->tool($tool),
                saving: max(0.0, ($with->next?->gain() ?? 0.0) - ($without->next?->gain() ?? 0.0)),
            );
        }

        return $shown;
    }

    /** @return list<OfferedRemedy> of the workshop's catalogue */
    private function own(Job $job, CircuitModel $circuit): array
    {
        $minutes = array_map(static fn(Part $part): float => $part->minutes, $circuit->parts);
        $offers = [];
        foreach ($job->workshop->parts()->get() as $entry) {
            /** @var CatalogueEntry $entry */
            array_push($offers, ...$entry->toCore()->offers($job->family, $minutes));
        }

        return $offers;
    }
}
