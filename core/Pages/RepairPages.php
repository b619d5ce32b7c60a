<?php

declare(strict_types=1);

namespace Ispira\Core\Pages;

use Ispira\Core\Device\Adjustable;
use Ispira\Core\Device\Part;
use Ispira\Core\Device\Test;
use Ispira\Core\Diagnosis\Decision\Diagnosis;
use Ispira\Core\Diagnosis\Inference\Judged;
use Ispira\Core\Diagnosis\Presentation\Words;
use Ispira\Core\Job\JobStage;
use Ispira\Core\Job\JobState;
use Ispira\Core\Kernel\Choice;
use Ispira\Core\Kernel\Named;
use Ispira\Core\Kernel\Titled;
use Ispira\Core\Pages\Shown\BreakEvenShown;
use Ispira\Core\Pages\Shown\EndingShown;
use Ispira\Core\Pages\Shown\PartMeasured;
use Ispira\Core\Pages\Shown\PartTest;
use Ispira\Core\Pages\Shown\ToolWorth;
use Ispira\Core\Practice\PracticeShown;
use Ispira\Core\Procedure\Procedure;
use Ispira\Core\Repair\Ledger\Entry;
use Ispira\Core\Repair\Ledger\EntryKind;
use Ispira\Core\Repair\Ledger\EntryShown;
use Ispira\Core\Repair\Proof\NewPartTests;
use Ispira\Core\Repair\Proof\ProofChecks;
use Ispira\Core\Repair\Remedy\BreakEven;
use Ispira\Core\Repair\Work\JobOutcome;

/**
 * From the choice of a remedy to the proof.
 */
final readonly class RepairPages
{
    public function __construct(
        private Workplace $place,
        private JobDiagnosis $diagnosis,
        private Cures $cures,
        private JobProof $proof,
        private TemporaryOffer $temporary,
        private JobPlans $plans,
    ) {}

    public function order(JobState $job): OrderPage
    {
        $shown = new JobShown($job);
        $choice = $job->ledger->latest(EntryKind::Choice);

        return new OrderPage(
            job: $job->head,
            open: !$job->is(JobStage::Closed),
            onOrder: array_map(EntryShown::of(...), $job->ledger->onOrder()),
            ordered: $shown->entries(EntryKind::Ordered),
            arrived: $shown->entries(EntryKind::Arrived),
            today: $this->place->today(),
            chosen: $choice?->text('label'),
            number: $choice?->text('partNumber'),
            leadDays: $choice?->count('leadDays'),
        );
    }

    public function remedy(JobState $job, RemedyAsked $asked): RemedyPage
    {
        $tools = $job->is(JobStage::Bench) ? $this->cures->tools($job) : [];

        return new RemedyPage(
            job: $job->head,
            open: $job->is(JobStage::Bench),
            outlook: $this->cures->outlook(
                $job,
                $this->diagnosis->plain($job),
                RemedyAsked::money($asked->standing) ?? 0.0,
                $asked->potted,
            ),
            potted: $asked->potted,
            standing: mb_substr($asked->standing, 0, 20),
            choices: (new JobShown($job))->entries(EntryKind::Choice),
            tools: $tools,
            breakEven: self::breakEven($asked, $tools),
        );
    }

    public function swap(JobState $job): SwapPage
    {
        $circuit = $job->circuit;
        $units = $this->place->units();
        $words = new Words($circuit, $units);
        $diagnosis = $this->diagnosis->plain($job);
        $checks = new ProofChecks($circuit, $job->repairSheet, $diagnosis->evidence, $units);
        $shown = new JobShown($job, $units);

        return new SwapPage(
            job: $job->head,
            open: $job->is(JobStage::Bench),
            choice: \array_slice($shown->entries(EntryKind::Choice), -1)[0] ?? null,
            changes: $job->conversion()->changes ?? [],
            leading: $diagnosis->suspects[0]->namesParts() ? $diagnosis->suspects[0]->remedy : 'none',
            parts: array_map(
                static fn(Part $part): Named => new Named(key: $part->key, label: $words->part($part->key)),
                array_values($circuit->parts),
            ),
            repairCaution: $circuit->texts->find('repair') ?? Words::general('repair'),
            temporary: $this->temporary->of($job),
            tests: array_map(
                static fn(Test $test): PartTest => new PartTest(
                    key: $test->key,
                    title: $words->test($test),
                    unit: $words->unit($test->probe->quantity)->symbol,
                    expected: $checks->expected($test),
                    choices: array_map(
                        static fn(string $value): Choice => new Choice(
                            value: $value,
                            label: $words->choice($test, $value),
                        ),
                        Judged::answers($circuit, $test),
                    ),
                    cautions: $words->cautions($test),
                ),
                self::partTests($job, $diagnosis),
            ),
            measured: array_map(
                static fn(Entry $one): PartMeasured => new PartMeasured(
                    id: $one->id,
                    title: isset($circuit->tests[$one->text('test')])
                        ? $words->test($circuit->tests[$one->text('test')])
                        : '',
                    right: $one->flag('right'),
                    expected: $one->text('expected'),
                    reason: $one->text('reason') === '' ? null : $one->text('reason'),
                ),
                $job->ledger->all(EntryKind::Measured),
            ),
            procedures: array_values(
                array_map(
                    static fn(Procedure $one): Titled => new Titled(key: $one->key, title: $one->title),
                    array_filter(
                        $this->place->procedures(),
                        static fn(Procedure $one): bool => $one->serves($job->family),
                    ),
                ),
            ),
            runs: ProcedurePages::ofJob($job),
            replacements: $shown->replacements(),
        );
    }

    public function proof(JobState $job): ProofPage
    {
        $shown = new JobShown($job, $this->place->units());
        $stillOpen = $job->stillOpen();
        $checks = $job->is(JobStage::Proof) || $job->is(JobStage::Closed) ? $this->proof->shown($job) : [];

        return new ProofPage(
            job: $job->head,
            strip: $shown->strip(),
            replacements: $shown->replacements(),
            readings: $shown->readings(),
            open: !$job->is(JobStage::Closed),
            machine: $job->head->kind->hasMap() && $job->passes(JobStage::Proof),
            proved: $job->isProved(),
            checks: $checks,
            outcomes: array_map(
                static fn(JobOutcome $one): EndingShown => new EndingShown(
                    value: $one,
                    needsReason: $one->needsReason(),
                    needsDay: $one->needsDay(),
                    needsName: $one->needsName(),
                ),
                $job->head->kind->outcomes($job->repairSheet->never->outOfService),
            ),
            never: $job->repairSheet->never->because,
            adjusts: array_map(
                static fn(Adjustable $one): Choice => new Choice(value: $one->key, label: $one->name),
                $job->repairSheet->adjusts,
            ),
            adjusted: $shown->entries(EntryKind::Adjusted),
            loans: $shown->entries(EntryKind::Loan),
            closing: $shown->entries(EntryKind::Closed),
            passes: $job->head->intermittent ? $job->passesOfProof() : null,
            stillOpen: $stillOpen->items(),
            settled: $stillOpen->settled(),
            planners: $this->plans->heads($job),
            plans: $this->plans->kept($job),
            practice: PracticeShown::of(
                $job,
                $this->place->units(),
                $this->place->leadOhms(),
                array_column($checks, 'test'),
                withMap: true,
            ),
        );
    }

    /** @return list<Test> what the new part should show, and the old one did not */
    private static function partTests(JobState $job, Diagnosis $diagnosis): array
    {
        $leading = $diagnosis->suspects[0] ?? null;

        return $leading === null || !$leading->namesParts()
            ? []
            : (new NewPartTests($job->circuit, $diagnosis->evidence))->of($job->case, $leading->leading());
    }

    /** @param list<ToolWorth> $tools */
    private static function breakEven(RemedyAsked $asked, array $tools): ?BreakEvenShown
    {
        $price = RemedyAsked::money($asked->price);
        $tool = array_column($tools, null, 'key')[$asked->tool] ?? null;
        if ($price === null || $tool === null) {
            return null;
        }
        $saving = RemedyAsked::money($asked->saving) ?? $tool->saving;
        $even = new BreakEven($price, $saving, RemedyAsked::money($asked->perYear) ?? 0.0);

        return new BreakEvenShown(
            tool: $tool->key,
            label: $tool->label,
            price: $asked->price,
            perYear: $asked->perYear,
            typed: $asked->saving,
            saving: $saving,
            jobs: $even->jobs,
            months: $even->months,
        );
    }
}
