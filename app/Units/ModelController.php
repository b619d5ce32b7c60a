<?php

declare(strict_types=1);

namespace App\Units;

use App\Http\Asked;
use App\Http\Controller;
use App\Jobs\JobListed;
use App\Learning\LessonShown;
use App\Models\Job;
use App\Repair\RepairView;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Http\Request;

/**
 * A model across its units: what fails on it, and how one gets there.
 */
final class ModelController extends Controller
{
    private const MOST_JOBS = 50;
    private const MOST_UNITS = 30;
    private const MOST_LESSONS = 10;

    public function show(Request $request): ModelPage
    {
        $workshop = $this->user($request)->workshop;
        $model = trim(Asked::text($request, 'name', 120));
        $of = $workshop->units()->where('practice', false)->where('model', $model);
        // Counted once they are chosen: else the jobs of every unit of the model are.
        $units = $of->clone()->orderBy('name')->limit(self::MOST_UNITS)->get()->loadCount('jobs');
        $model === '' || $units->isEmpty() ? abort(404) : null;
        // Only moments are read of all its jobs; the rest of those that are shown.
        $newest = $workshop
            ->jobs()
            ->where('model', $model)
            ->whereNull('practice_fault')
            ->latest('created_at')
            ->latest('id')
            ->limit(self::MOST_JOBS + 1)
            ->pluck('id');
        $jobs = $workshop
            ->jobs()
            ->with(['unit', 'owner', 'replacements', 'entries'])
            ->whereKey($newest)
            ->latest('created_at')
            ->latest('id')
            ->get()
            ->each(static fn(Job $job) => $job->setRelation('workshop', $workshop));
        $shown = $jobs->take(self::MOST_JOBS);
        $last = $shown->first();

        return new ModelPage(
            model: $model,
            units: array_values($units->map(UnitNear::of(...))->all()),
            jobs: array_values($shown->map(JobListed::of(...))->all()),
            more: $jobs->count() > self::MOST_JOBS,
            replaced: self::replaced($shown),
            route: $last === null ? null : RepairView::route($last),
            lessons: LessonShown::of($workshop, null, $model, self::MOST_LESSONS),
        );
    }

    /**
     * @param Collection<int, Job> $jobs
     *
     * @return list<ReplacedCount>
     */
    private static function replaced(Collection $jobs): array
    {
        $counts = [];
        foreach ($jobs as $job) {
            foreach (FittedParts::of($job) as $part) {
                [$times, $held, $not] = $counts[$part->label] ?? [0, 0, 0];
                $counts[$part->label] = [
                    $times + 1,
                    $held + ($part->held === true ? 1 : 0),
                    $not + ($part->held === false ? 1 : 0),
                ];
            }
        }
        $shown = array_map(
            static fn(string $label, array $one): ReplacedCount => new ReplacedCount($label, $one[0], $one[1], $one[2]),
            array_keys($counts),
            $counts,
        );
        usort(
            $shown,
            static fn(ReplacedCount $a, ReplacedCount $b): int => [-$a->times, $a->label] <=> [-$b->times, $b->label],
        );

        return $shown;
    }
}
