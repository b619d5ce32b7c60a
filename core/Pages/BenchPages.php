<?php

declare(strict_types=1);

namespace Ispira\Core\Pages;

use Ispira\Core\Device\CircuitModel;
use Ispira\Core\Diagnosis\Presentation\Words;
use Ispira\Core\Job\JobStage;
use Ispira\Core\Job\JobState;
use Ispira\Core\Kernel\Keyed;
use Ispira\Core\Pages\Shown\CannotShown;
use Ispira\Core\Pages\Shown\PlannerHead;
use Ispira\Core\Pages\Shown\Tool;
use Ispira\Core\Planning\PlannerRegistry;
use Ispira\Core\Planning\Worksheet;
use Ispira\Core\Practice\PracticeShown;
use Ispira\Core\Repair\Ledger\EntryKind;

/**
 * The bench and the verdict.
 */
final readonly class BenchPages
{
    public function __construct(
        private Workplace $place,
        private JobDiagnosis $diagnosis,
        private Cures $cures,
        private LeadsOn $leads,
        private JobPlans $plans,
        private PlannerRegistry $planners,
    ) {}

    /** @param string $pulse another one when somebody has changed the job */
    public function bench(JobState $job, BenchAsked $asked, string $pulse): BenchPage
    {
        $circuit = $job->circuit;
        $whatIf = WhatIf::from(
            $job->case,
            $circuit,
            $this->place->units(),
            $asked->suppose,
            $asked->reading,
            $asked->showed,
        );
        $seen = $this->diagnosis->of($job, $asked->test === '' ? null : $asked->test, $whatIf);
        $shown = new JobShown($job, $this->place->units());

        return new BenchPage(
            job: $job->head,
            strip: $shown->strip(),
            readings: $shown->readings(),
            replacements: $shown->replacements(),
            diagnosis: $seen->diagnosis,
            series: $seen->series,
            sheet: $seen->sheet,
            chosen: isset($circuit->tests[$asked->test]) ? $asked->test : null,
            open: $job->is(JobStage::Bench),
            planners: $this->plans->heads($job),
            worksheets: new Keyed($this->worksheets()),
            tools: $this->tools($circuit),
            stepping: $asked->stepping,
            whatIf: $whatIf->sentence($circuit),
            meters: $this->place->meters(),
            leads: $this->place->leadOhms(),
            leadsOn: $this->leads->of($job, array_column($seen->diagnosis->suspects, 'probability', 'remedy')),
            cannot: self::cannot($job),
            pulse: $pulse,
            practice: PracticeShown::of(
                $job,
                $this->place->units(),
                $this->place->leadOhms(),
                $seen->diagnosis->card === null ? [] : [$seen->diagnosis->card->key],
            ),
        );
    }

    public function verdict(JobState $job): VerdictPage
    {
        $found = $this->diagnosis->plain($job);
        $seen = $this->diagnosis->shown($job->circuit, $job->case, $found);
        $shown = new JobShown($job, $this->place->units());

        return new VerdictPage(
            job: $job->head,
            strip: $shown->strip(),
            readings: $shown->readings(),
            replacements: $shown->replacements(),
            diagnosis: $seen->diagnosis,
            sheet: $seen->sheet,
            open: $job->is(JobStage::Bench),
            guessedOnTheMap: $this->diagnosis->priceOfGuessing($job),
            outlook: $this->cures->outlook($job, $found),
            refit: $job->part === null ? [] : $job->repairSheet->refit[$job->part] ?? [],
            part: $job->part === null ? null : $job->circuit->texts->get("parts.$job->part"),
            leadsOn: $this->leads->of($job, array_column($found->suspects, 'probability', 'remedy')),
            held: $shown->entries(EntryKind::Held),
            lessons: $job->is(JobStage::Bench) ? $this->place->lessons($job) : [],
        );
    }

    /**
     * The tools that the tests of a circuit need, and whether they are at hand.
     *
     * @return list<Tool>
     */
    public function tools(CircuitModel $circuit): array
    {
        $words = new Words($circuit);
        $missing = $this->place->missingTools();
        $keys = [];
        foreach ($circuit->tests as $test) {
            $keys += array_fill_keys($test->tools, true);
        }

        return array_map(
            static fn(string $key): Tool => new Tool(
                key: $key,
                label: $words->tool($key),
                atHand: !\in_array($key, $missing, true),
            ),
            array_map(strval(...), array_keys($keys)),
        );
    }

    /** @return array<string, list<PlannerHead>> worksheets by the quantity that they work out */
    private function worksheets(): array
    {
        $worksheets = [];
        foreach ($this->planners->all() as $planner) {
            foreach ($planner instanceof Worksheet ? $planner->quantities() : [] as $quantity) {
                $worksheets[$quantity->value][] = PlanView::head($planner);
            }
        }

        return $worksheets;
    }

    /** @return list<CannotShown> */
    private static function cannot(JobState $job): array
    {
        $words = new Words($job->circuit);
        $cannot = [];
        foreach ($job->ledger->all(EntryKind::Cannot) as $one) {
            $test = $job->circuit->tests[$one->text('test')] ?? null;
            if ($test !== null) {
                $cannot[] = new CannotShown(
                    id: $one->id,
                    test: $test->key,
                    title: $words->test($test),
                    because: $one->text('because'),
                    note: $one->text('note') === '' ? null : $one->text('note'),
                    at: $one->at,
                );
            }
        }

        return $cannot;
    }
}
