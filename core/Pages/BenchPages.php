<?php

declare(strict_types=1);

namespace Ispira\Core\Pages;

use Ispira\Core\Device\CircuitModel;
use Ispira\Core\Diagnosis\Presentation\SoundCircuit;
use Ispira\Core\Diagnosis\Presentation\Words;
use Ispira\Core\Job\JobStage;
use Ispira\Core\Job\JobState;
use Ispira\Core\Kernel\Keyed;
use Ispira\Core\Pages\Shown\CannotShown;
use Ispira\Core\Pages\Shown\PlannerHead;
use Ispira\Core\Pages\Shown\Tool;
use Ispira\Core\Planning\PlannerRegistry;
use Ispira\Core\Planning\Worksheet;
use Ispira\Core\Practice\Courses;
use Ispira\Core\Practice\Examiner;
use Ispira\Core\Practice\Exercise;
use Ispira\Core\Practice\ExerciseActs;
use Ispira\Core\Practice\HiddenMachine;
use Ispira\Core\Practice\PracticeShown;
use Ispira\Core\Practice\Shown\ExerciseShown;
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
        $exercise = Exercise::of($job);
        $hides = $exercise?->hides() === true;
        $seen = $hides ? $this->withoutOdds($seen, $job, $asked) : $seen;
        $shown = new JobShown($job, $this->place->units());

        return new BenchPage(
            job: $job->head,
            strip: $shown->strip(),
            readings: $shown->readings(),
            replacements: $shown->replacements(),
            diagnosis: $seen->diagnosis,
            series: $hides ? [] : $seen->series,
            sheet: $seen->sheet,
            chosen: isset($circuit->tests[$asked->test]) ? $asked->test : null,
            open: $job->is(JobStage::Bench),
            planners: $this->plans->heads($job),
            worksheets: new Keyed($this->worksheets()),
            tools: $this->tools($circuit),
            stepping: $asked->stepping,
            whatIf: $hides ? null : $whatIf->sentence($circuit),
            meters: $this->place->meters(),
            leads: $this->place->leadOhms(),
            leadsOn: $hides
                ? []
                : $this->leads->of($job, array_column($seen->diagnosis->suspects, 'probability', 'remedy')),
            cannot: self::cannot($job),
            pulse: $pulse,
            practice: PracticeShown::of(
                $job,
                $this->place->units(),
                $this->place->leadOhms(),
                $seen->diagnosis->card === null ? [] : [$seen->diagnosis->card->key],
                exercise: $exercise === null ? null : $this->exercise($exercise, $seen),
            ),
        );
    }

    /** Null where there is no exercise, or it is not over. */
    public function score(JobState $job): ?ScorePage
    {
        $examiner = Examiner::of(
            $job,
            $this->diagnosis->settings($job),
            $this->diagnosis->store,
            $this->place->units(),
        );

        return $examiner === null || $job->practice === null
            ? null
            : new ScorePage(
                $job->head,
                $job->practice->way,
                (new JobShown($job, $this->place->units()))->strip(),
                (new SoundCircuit($job->circuit))->sheet($job->circuit->highest()),
                $examiner->score(),
            );
    }

    /** For what an exercise asks: hints are the only thing that needs the diagnosis. */
    public function exerciseActs(JobState $job): ?ExerciseActs
    {
        $exercise = Exercise::of($job);

        return $exercise === null ? null : new ExerciseActs($exercise, fn() => $this->diagnosis->plain($job));
    }

    private function exercise(Exercise $exercise, Seen $seen): ?ExerciseShown
    {
        $job = $exercise->job;
        $machine = HiddenMachine::of($job->circuit, $exercise->practice, $job->head->intermittent);

        return $machine === null
            ? null
            : $exercise->shown(
                new Courses($job->circuit, $machine, $this->diagnosis->settings($job), $this->diagnosis->store),
                $job->circuit->tests[$seen->diagnosis->card->key ?? ''] ?? null,
            );
    }

    private function withoutOdds(Seen $seen, JobState $job, BenchAsked $asked): Seen
    {
        $chosen = isset($job->circuit->tests[$asked->test]);

        return new Seen(
            HiddenDiagnosis::of($seen->diagnosis, array_map(strval(...), array_keys($job->circuit->tests)), $chosen),
            [],
            $chosen ? $seen->sheet : (new SoundCircuit($job->circuit))->sheet($job->circuit->highest()),
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
