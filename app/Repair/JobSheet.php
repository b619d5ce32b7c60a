<?php

declare(strict_types=1);

namespace App\Repair;

use App\Jobs\JobStates;
use App\Jobs\JobView;
use App\Models\Job;
use App\Models\Replacement;
use Illuminate\Support\Carbon;
use Ispira\Core\Device\CircuitModel;
use Ispira\Core\Diagnosis\Inference\SpeedState;
use Ispira\Core\Diagnosis\Presentation\Series;
use Ispira\Core\Diagnosis\Presentation\Shown\SeriesStep;
use Ispira\Core\Diagnosis\Presentation\Words;
use Ispira\Core\Job\JobState;
use Ispira\Core\Job\MapKind;
use Ispira\Core\Job\Shown\ReadingShown;
use Ispira\Core\Job\Shown\ReplacementShown;
use Ispira\Core\Job\Shown\Strip;
use Ispira\Core\Job\Shown\StripCell;
use Ispira\Core\Kernel\DisplayUnits;
use Ispira\Core\Pages\JobDiagnosis;
use Ispira\Core\Pages\JobPlans;
use Ispira\Core\Pages\JobProof;
use Ispira\Core\Pages\JobShown;
use Ispira\Core\Pages\ProcedurePages;
use Ispira\Core\Pages\Shown\KitShown;
use Ispira\Core\Pages\StripPages;
use Ispira\Core\Reading\Trust;
use Ispira\Core\Repair\Ledger\Entry;
use Ispira\Core\Repair\Ledger\EntryKind;
use Ispira\Core\Repair\Ledger\Ledger;
use Ispira\Core\Repair\Proof\ProofCheck;
use Ispira\Core\Repair\Work\JobOutcome;
use Ispira\Core\Repair\Work\OpenItem;
use Ispira\Core\Repair\Work\StripDown;
use Ispira\Core\Repair\Work\WireTransfer;

/**
 * What stands on the printed sheet of a job.
 */
final readonly class JobSheet
{
    public function __construct(private JobDiagnosis $diagnosis, private JobProof $proof, private JobPlans $plans) {}

    /** @return array<string, mixed> */
    public function of(Job $job, bool $forTheFile): array
    {
        $circuit = $job->circuit();
        $words = new Words($circuit, app(DisplayUnits::class));
        $ledger = $job->ledger();
        $stillOpen = $job->stillOpen();
        $state = JobStates::of($job);
        $shown = new JobShown($state, app(DisplayUnits::class));
        $sheet = [
            'number' => JobView::number($job),
            'foot' => $job->workshop->name . ', ' . JobView::number($job),
            'job' => $job,
            'workshop' => $job->workshop->name,
            'address' => $job->workshop->address,
            'contact' => $job->workshop->contact,
            'taxLine' => $job->workshop->tax_line,
            'workedBy' => $job->owner === null ? '' : "worked on by {$job->owner->name}",
            'currency' => $job->workshop->currency,
            'family' => $circuit->texts->get('name'),
            'map' => $job->kind->hasMap() ? self::map($shown->strip()) : [],
            'found' => $this->found($job),
            'done' => $shown->replacements(),
            'choices' => array_map(
                static fn(Entry $one): array => [
                    'label' => $one->text('label'),
                    'partNumber' => $one->text('partNumber'),
                    'reason' => $one->text('reason'),
                    'warranty' => $one->count('warrantyMonths'),
                    'warrantyUntil' => self::warrantyUntil($job, $one),
                    'purchase' => $one->number('purchase') ?? 0.0,
                    'selling' => $one->number('selling'),
                    'minutes' => $one->number('minutes') ?? 0.0,
                    'expected' => $one->number('expected') ?? 0.0,
                ],
                $ledger->all(EntryKind::Choice),
            ),
            'adjusted' => array_map(
                static fn(Entry $one): array => [
                    'what' => $one->text('what'),
                    'before' => $one->text('before'),
                    'after' => $one->text('after'),
                    'undoOn' => $one->text('undoOn'),
                ],
                $ledger->all(EntryKind::Adjusted),
            ),
            'asFound' => array_map(
                static fn(Entry $one): string => "{$one->text('what')}: {$one->text('condition')}" .
                    ($one->count('count') > 0 ? ", {$one->count('count')}" : ''),
                $ledger->all(EntryKind::Found),
            ),
            'ending' => self::ending($job, $ledger, $forTheFile),
            'stillOpen' => $forTheFile ? $stillOpen->items() : self::forTheCustomer($stillOpen->items()),
            'settled' => $stillOpen->settled(),
            'advice' => self::advice($job, $ledger),
            'proved' => $state->isProved(),
        ];

        return $forTheFile ? $sheet + $this->file($job, $state, $shown, $words) : $sheet;
    }

    /** @return array<string, mixed> */
    private function file(Job $job, JobState $state, JobShown $shown, Words $words): array
    {
        $circuit = $state->circuit;
        $ledger = $state->ledger;
        $readings = array_reverse(
            array_values(array_filter($shown->readings(), static fn(ReadingShown $one): bool => $one->map === null)),
        );
        $strip = new StripDown($ledger);
        $wires = new WireTransfer($ledger);
        $diagnosis = $this->diagnosis->plain($state);
        $times = $job->readings
            ->filter(static fn($reading): bool => $reading->trust === Trust::Measured)
            ->map(static fn($reading): Carbon => $reading->taken_at);
        $first = $times->min();
        $replaced = $job->replacements->first()?->replaced_at;

        return [
            'readings' => $readings,
            'odds' => array_map(
                static fn(ReplacementShown $one, Replacement $stored): array => [
                    'label' => $one->label,
                    'verdict' => $stored->verdict,
                    'by' => $one->by,
                ],
                $shown->replacements(),
                $job->replacements->all(),
            ),
            'now' => array_map(
                static fn($suspect): array => [
                    'label' => $words->remedy($suspect->remedy),
                    'probability' => $suspect->probability,
                ],
                array_slice($diagnosis->suspects, 0, 6),
            ),
            'series' => $this->series($job, $circuit, new Series($circuit, $state->case), $diagnosis->evidence),
            'checks' => array_map(
                static fn(ProofCheck $one): array => [
                    'title' => $words->test($one->test),
                    'expected' => $one->expected,
                    'read' => $one->read,
                    'right' => $one->isRight(),
                ],
                $this->proof->checks($state),
            ),
            'plans' => $this->plans->kept($state),
            'handed' => self::handed($ledger),
            'steps' => $strip->steps(),
            'leftOver' => $strip->leftOver(),
            'kit' => array_map(
                static fn(KitShown $kit): string => $kit->what . ($kit->substitute === '' ? '' : " ($kit->substitute)"),
                StripPages::kit($ledger),
            ),
            'wires' => $wires->rows(),
            'switches' => $wires->switches(),
            'measured' => array_map(
                static fn(Entry $one): array => [
                    'title' => isset($circuit->tests[$one->text('test')])
                        ? $words->test($circuit->tests[$one->text('test')])
                        : $one->text('test'),
                    'expected' => $one->text('expected'),
                    'right' => $one->flag('right'),
                    'reason' => $one->text('reason'),
                ],
                $ledger->all(EntryKind::Measured),
            ),
            'runs' => ProcedurePages::ofJob(JobStates::withRuns($job)),
            'minutes' => [
                'to the verdict' => $first !== null && $replaced !== null ? $first->diffInMinutes($replaced) : null,
                'taking apart' => $strip->minutes(),
                'in all' => $job->closed_at === null ? null : $job->created_at->diffInMinutes($job->closed_at),
            ],
        ];
    }

    /**
     * Positions in which the same thing was read, with what the sound circuit shows.
     *
     * @return list<array{title: string, steps: list<array{position: string, expected: float|null, read: float|null, text: string|null}>, most: float}>
     */
    private function series(
        Job $job,
        CircuitModel $circuit,
        Series $series,
        \Ispira\Core\Diagnosis\Decision\Evidence $evidence,
    ): array {
        $plots = [];
        foreach ($job->readings->pluck('test')->unique() as $key) {
            $test = $circuit->tests[$key];
            $steps = $series->of($test, $evidence, app(DisplayUnits::class));
            $read = array_filter($steps, static fn(SeriesStep $step): bool => $step->read !== null);
            if (count($read) < 2 || isset($plots[$test->text])) {
                continue;
            }
            $title = explode(',', (new Words($circuit))->test($test))[0];
            $plots[$test->text] = [
                'title' => $title,
                'steps' => array_map(
                    static fn(SeriesStep $step): array => [
                        'position' => $step->position,
                        'expected' => $step->expected,
                        'read' => $step->read,
                        'text' => $step->text,
                    ],
                    $steps,
                ),
                'most' => max(
                    1e-9,
                    ...array_map(
                        static fn(SeriesStep $step): float => max(abs($step->expected ?? 0.0), abs($step->read ?? 0.0)),
                        $steps,
                    ),
                ),
            ];
        }

        return array_values($plots);
    }

    /**
     * @return list<array{label: string, expected: float, before: string|null, beforeRight: bool, after: string|null, afterRight: bool}>
     */
    private static function map(Strip $strip): array
    {
        $before = $after = null;
        foreach ($strip->maps as $map) {
            $before = $map->kind === MapKind::Before ? $before ?? $map->states->values : $before;
            $after = $map->kind === MapKind::After ? $map->states->values : $after;
        }

        return array_map(static function (StripCell $cell) use ($before, $after): array {
            $word = [];
            foreach ($cell->states as $one) {
                $word[$one->value->value] = $one->label;
            }
            [$was, $is] = [$before[$cell->key] ?? null, $after[$cell->key] ?? null];

            return [
                'label' => $cell->label,
                'expected' => $cell->expected,
                'before' => $was === null ? null : $word[$was->value] ?? $was->value,
                'beforeRight' => $was === SpeedState::Right,
                'after' => $is === null ? null : $word[$is->value] ?? $is->value,
                'afterRight' => $is === SpeedState::Right,
            ];
        }, $strip->cells);
    }

    /** The day on which the warranty ends of the part that was chosen; null where it has none or is not closed yet. */
    private static function warrantyUntil(Job $job, Entry $choice): ?string
    {
        $months = $choice->count('warrantyMonths');

        return $months === 0 ? null : $job->closed_at?->addMonthsNoOverflow($months)->format('j F Y');
    }

    /** @return list<string> what was done to the job as a whole */
    private static function handed(Ledger $ledger): array
    {
        return array_map(
            static fn(Entry $one): string => substr((string) $one->at, 0, 10) .
                ' ' .
                match ($one->kind) {
                    EntryKind::HandedOver => "{$one->by} handed it to {$one->text('to')}: {$one->text('note')}",
                    EntryKind::Corrected => "{$one->by} corrected: " .
                        implode(
                            '; ',
                            array_map(
                                static fn(string $what, string $was): string => "$what was $was",
                                array_keys($one->map('old')),
                                $one->map('old'),
                            ),
                        ),
                    default => "{$one->by} opened it again: {$one->text('reason')}",
                },
            $ledger->all(EntryKind::HandedOver, EntryKind::Corrected, EntryKind::Reopened),
        );
    }

    /** @return list<string> what was wrong, as the verdicts said it */
    private function found(Job $job): array
    {
        $found = [];
        foreach ($job->replacements as $replacement) {
            $suspects = is_array($replacement->verdict['suspects'] ?? null) ? $replacement->verdict['suspects'] : [];
            foreach ($suspects as $suspect) {
                if (
                    is_array($suspect) &&
                    ($suspect['remedy'] ?? '') === $replacement->remedy &&
                    is_string($suspect['label'] ?? null) &&
                    is_array($suspect['faults'] ?? null) &&
                    is_array($suspect['faults'][0] ?? null) &&
                    is_string($suspect['faults'][0]['label'] ?? null)
                ) {
                    $found[] = "{$suspect['label']}: {$suspect['faults'][0]['label']}.";
                }
            }
        }

        return $found;
    }

    /** How sure the part was named, in words for whoever pays. */
    private static function sure(Job $job): string
    {
        $last = $job->replacements->last();
        $odds = $last?->odds();
        $said = $odds === null ? '' : sprintf('We were %.0f %% sure of the part', 100.0 * $odds);
        $why = $last?->toCore()->wasByElimination() === true ? 'it was named because nothing else was left' : '';
        $whole = implode(': ', array_filter([$said, $why]));

        return ($whole === '' ? '' : "$whole. ") . 'If it comes back, bring it at once and say what brought it on.';
    }

    /**
     * Why a check was left out is the workshop's own note: the customer reads that it was not measured.
     *
     * @param list<OpenItem> $items
     *
     * @return list<OpenItem>
     */
    private static function forTheCustomer(array $items): array
    {
        return array_map(
            static fn(OpenItem $one): OpenItem => $one->aspect === 'end' || str_starts_with($one->aspect, 'check-')
                ? $one->withoutWhy()
                : $one,
            $items,
        );
    }

    private static function ending(Job $job, Ledger $ledger, bool $forTheFile): string
    {
        $closed = $ledger->ending();
        // How it is secured is for the customer as well.
        $secured = $job->outcome?->needsName() === true;
        $inner = !$forTheFile && !$secured && $closed !== null && $closed->list('leftOut') !== [];
        $reason = $inner ? '' : $closed?->text('reason') ?? '';
        $who = $closed?->text('who') ?? '';
        $day = $job->due_on?->format('j F Y');

        return match ($job->outcome) {
            JobOutcome::Repaired => 'Repaired. ' . ($reason === '' ? '' : "Note: $reason"),
            JobOutcome::Watched => "Repaired as far as can be told, to be watched until $day. " .
                self::sure($job) .
                ($reason === '' ? '' : " $reason"),
            JobOutcome::Temporary => "Temporary: it runs for now, and is due on $day. $reason",
            JobOutcome::Cancelled => "Cancelled: $reason",
            JobOutcome::NotRepaired => "Not repaired: $reason",
            JobOutcome::ProvenGood => 'Nothing had to be replaced: proven good, and back in service. ' . $reason,
            JobOutcome::Adjusted => 'Adjusted as agreed.' .
                ($day === null ? '' : " To be undone on $day.") .
                ' ' .
                $reason,
            JobOutcome::Advised => "Advised: $reason",
            JobOutcome::NotInService => "NOT IN SERVICE. It must not be switched on. $who was told. $reason",
            JobOutcome::HandedOver
                => "NOT IN SERVICE until a licensed person has proved it safe: handed to $who, $day. " . $reason,
            null => 'Work is still going on.',
        };
    }

    /** @return list<string> */
    private static function advice(Job $job, Ledger $ledger): array
    {
        $advice = [];
        if ($job->due_on !== null) {
            $advice[] = 'Come back on ' . $job->due_on->format('j F Y') . ', or before when anything changes.';
        }
        foreach ($ledger->all(EntryKind::Loan) as $loan) {
            $advice[] = "Lent: {$loan->text('what')}, to be brought back on {$loan->text('dueOn')}.";
        }
        foreach ($ledger->all(EntryKind::Choice) as $choice) {
            if ($choice->count('warrantyMonths') > 0) {
                $advice[] = "Warranty on {$choice->text('label')}: {$choice->count('warrantyMonths')} months.";
            }
        }
        $advice[] = 'Tell us at once when a speed is missing again, when something smells hot, or when it gets loud.';

        return $advice;
    }
}
