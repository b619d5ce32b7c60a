<?php

declare(strict_types=1);

namespace App\Repair;

use App\Jobs\JobView;
use App\Models\Job;
use App\Models\Photo;
use App\Models\RepairEntry;
use Ispira\Core\Job\JobStage;
use Ispira\Core\Repair\Ledger\Entry;
use Ispira\Core\Repair\Ledger\EntryKind;
use Ispira\Core\Repair\Ledger\EntryShown;
use Ispira\Core\Repair\Ledger\Ledger;
use Ispira\Core\Repair\Work\StripDown;
use Ispira\Core\Repair\Work\WireTransfer;

/**
 * What the pages of a repair show.
 */
final class RepairView
{
    private const PAST_JOBS = 20;

    private function __construct() {}

    /** @return list<EntryShown> */
    public static function entries(Ledger $ledger, EntryKind $kind): array
    {
        return array_map(EntryShown::of(...), $ledger->all($kind));
    }

    public static function strip(Job $job, Ledger $ledger): StripPage
    {
        $strip = new StripDown($ledger);

        return new StripPage(
            job: JobView::head($job),
            open: $job->stage !== JobStage::Closed,
            found: self::entries($ledger, EntryKind::Found),
            kit: self::kit($ledger),
            down: self::entries($ledger, EntryKind::Down),
            steps: $strip->steps(),
            leftOver: $strip->leftOver(),
            missingBefore: $strip->missingBefore(),
            minutes: $strip->minutes(),
            photos: self::photos($job),
            route: self::route($job),
        );
    }

    /** @return list<KitShown> what the job needs, and whether it lies ready */
    public static function kit(Ledger $ledger): array
    {
        $ready = [];
        foreach ($ledger->all(EntryKind::KitReady) as $entry) {
            $ready[$entry->text('of')] = $entry->text('note');
        }

        return array_map(
            static fn(Entry $kit): KitShown => new KitShown(
                id: $kit->id,
                sort: $kit->text('sort'),
                what: $kit->text('what'),
                ready: isset($ready[$kit->id]),
                substitute: $ready[$kit->id] ?? '',
            ),
            $ledger->all(EntryKind::Kit),
        );
    }

    public static function wires(Job $job, Ledger $ledger): WiresPage
    {
        $wires = new WireTransfer($ledger);

        return new WiresPage(
            job: JobView::head($job),
            open: $job->stage !== JobStage::Closed,
            method: $wires->method(),
            rows: $wires->rows(),
            warnings: $wires->warnings(),
            switches: $wires->switches(),
            plugs: self::entries($ledger, EntryKind::Plug),
            undone: $wires->open(),
            functions: self::functions($job),
        );
    }

    /** @return list<string> what the wires of a plug or board do, in the family's words */
    private static function functions(Job $job): array
    {
        $functions = [];
        foreach ($job->circuit()->places as $place) {
            // "wiper plug, RUN": the place, and what the wire in it does.
            $parts = explode(', ', $place, 2);
            if (isset($parts[1])) {
                $functions[$parts[1]] = true;
            }
        }

        return $functions === []
            ? array_values(array_unique(array_values($job->circuit()->places)))
            : array_map(strval(...), array_keys($functions));
    }

    /** @return list<PhotoHead> */
    public static function photos(Job $job): array
    {
        return array_values(
            $job
                ->photos()
                ->get()
                ->map(static fn(Photo $photo): PhotoHead => new PhotoHead(id: $photo->id, caption: $photo->caption))
                ->all(),
        );
    }

    /**
     * The route that worked on the same model: the last closed job's, with the minutes of all of them.
     */
    public static function route(Job $job): ?RouteShown
    {
        if ($job->unit->model === null || $job->unit->model === '') {
            return null;
        }
        $past = Job::query()
            ->where('workshop_id', $job->workshop_id)
            ->whereKeyNot($job->id)
            ->where('family', $job->family)
            ->whereNotNull('closed_at')
            ->whereHas('unit', static fn($unit) => $unit->where('model', $job->unit->model))
            ->whereHas('entries', static fn($entries) => $entries->where('kind', EntryKind::Down))
            ->latest('closed_at')
            ->limit(self::PAST_JOBS)
            ->get();
        $last = $past->first();
        if ($last === null) {
            return null;
        }
        $ledger = $last->ledger();
        $minutes = array_values(
            array_filter(
                $past->map(static fn(Job $one): ?float => (new StripDown($one->ledger()))->minutes())->all(),
                is_float(...),
            ),
        );

        return new RouteShown(
            job: JobView::number($last),
            id: $last->id,
            minutes: (new StripDown($ledger))->minutes(),
            mean: $minutes === [] ? null : array_sum($minutes) / count($minutes),
            jobs: $past->count(),
            steps: self::entries($ledger, EntryKind::Down),
            kit: self::entries($ledger, EntryKind::Kit),
        );
    }

    /** @return list<LoanShown> lent out by a workshop and not back */
    public static function loans(int $workshop): array
    {
        $entries = RepairEntry::query()
            ->whereIn('kind', [EntryKind::Loan, EntryKind::Returned, EntryKind::Removed])
            ->whereHas('job', static fn($jobs) => $jobs->where('workshop_id', $workshop))
            ->with('job.unit')
            ->orderBy('sequence')
            ->get();
        $back = $entries
            ->filter(static fn(RepairEntry $entry): bool => $entry->kind !== EntryKind::Loan)
            ->map(static fn(RepairEntry $entry): string => $entry->toCore()->text('of'))
            ->all();
        $loans = [];
        foreach ($entries as $entry) {
            if ($entry->kind === EntryKind::Loan && !in_array($entry->id, $back, true)) {
                $core = $entry->toCore();
                $loans[] = new LoanShown(
                    id: $entry->id,
                    job: JobView::number($entry->job),
                    jobId: $entry->job_id,
                    unit: $entry->job->unit->name,
                    what: $core->text('what'),
                    to: $core->text('to'),
                    dueOn: $core->text('dueOn'),
                    overdue: $core->text('dueOn') < now()->toDateString(),
                );
            }
        }
        usort($loans, static fn(LoanShown $a, LoanShown $b): int => $a->dueOn <=> $b->dueOn);

        return $loans;
    }
}
