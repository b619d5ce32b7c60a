<?php

declare(strict_types=1);

namespace App\Repair;

use App\Jobs\JobView;
use App\Models\Job;
use App\Models\Photo;
use App\Models\Workshop;
use Ispira\Core\Pages\Shown\PhotoHead;
use Ispira\Core\Pages\Shown\RouteShown;
use Ispira\Core\Repair\Ledger\EntryKind;
use Ispira\Core\Repair\Ledger\EntryShown;
use Ispira\Core\Repair\Ledger\Ledger;
use Ispira\Core\Repair\Work\StripDown;

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

    /** @return list<LoanShown> lent out by a workshop and not back, of so many jobs at most */
    public static function loans(Workshop $workshop, int $most): array
    {
        $loans = [];
        $jobs = $workshop
            ->jobs()
            ->with(['unit', 'entries'])
            ->whereNotNull('lent_until')
            ->orderBy('lent_until')
            ->limit($most)
            ->get();
        foreach ($jobs as $job) {
            foreach ($job->setRelation('workshop', $workshop)->ledger()->lent() as $loan) {
                $loans[] = new LoanShown(
                    id: $loan->id,
                    job: JobView::number($job),
                    jobId: $job->id,
                    unit: $job->unit->name,
                    what: $loan->text('what'),
                    to: $loan->text('to'),
                    dueOn: $loan->text('dueOn'),
                    overdue: $loan->text('dueOn') < now()->toDateString(),
                );
            }
        }
        usort($loans, static fn(LoanShown $a, LoanShown $b): int => $a->dueOn <=> $b->dueOn);

        return $loans;
    }
}
