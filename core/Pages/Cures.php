<?php

declare(strict_types=1);

namespace Ispira\Core\Pages;

use Ispira\Core\Device\OfferedRemedy;
use Ispira\Core\Device\Part;
use Ispira\Core\Diagnosis\Decision\Diagnosis;
use Ispira\Core\Diagnosis\Presentation\Words;
use Ispira\Core\Job\JobState;
use Ispira\Core\Pages\Shown\ToolWorth;
use Ispira\Core\Repair\Proof\ProofChecks;
use Ispira\Core\Repair\Remedy\CauseLeft;
use Ispira\Core\Repair\Remedy\Outlook;
use Ispira\Core\Repair\Remedy\OutlookShown;
use Ispira\Core\Repair\Remedy\Quote;
use Ispira\Core\Repair\Remedy\Remedies;

/**
 * The ways to cure a job, priced for its workshop.
 */
final readonly class Cures
{
    public function __construct(private JobDiagnosis $diagnosis, private Workplace $place) {}

    public function outlook(
        JobState $job,
        Diagnosis $diagnosis,
        float $standing = 0.0,
        bool $potted = false,
    ): OutlookShown {
        $units = $this->place->units();
        $checks = new ProofChecks($job->circuit, $job->repairSheet, $diagnosis->evidence, $units);

        return (new Outlook(
            $job->circuit,
            $this->remedies($job, $standing, $potted),
            new CauseLeft($job->circuit, $checks, $job->case, $units),
        ))->shown($diagnosis);
    }

    private function remedies(JobState $job, float $standing, bool $potted): Remedies
    {
        return new Remedies(
            $job->circuit,
            $job->repairSheet,
            $this->diagnosis->settings($job),
            $this->own($job),
            $standing,
            $potted,
            Quote::all($job->ledger),
        );
    }

    /**
     * What each tool that some test needs saves on a complaint like this one: how much more the best first test is
     * worth with it.
     *
     * @return list<ToolWorth>
     */
    public function tools(JobState $job): array
    {
        $words = new Words($job->circuit);
        $with = $this->diagnosis->onTheMap($job);
        $tools = [];
        foreach ($job->circuit->tests as $test) {
            foreach ($test->tools as $tool) {
                $tools[$tool] = true;
            }
        }
        $shown = [];
        foreach (array_keys($tools) as $tool) {
            $without =
                $with->next !== null && \in_array($tool, $with->next->test->tools, true)
                    ? $this->diagnosis->onTheMap($job, [$tool])
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
    private function own(JobState $job): array
    {
        $terms = $this->place->terms($job);
        $minutes = array_map(static fn(Part $part): float => $terms->fitting($part), $job->circuit->parts);
        $offers = [];
        foreach ($this->place->parts() as $part) {
            array_push($offers, ...$part->offers($job->family, $minutes));
        }

        return $offers;
    }
}
