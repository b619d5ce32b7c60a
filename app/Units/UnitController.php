<?php

declare(strict_types=1);

namespace App\Units;

use App\Http\Controller;
use App\Jobs\JobListed;
use App\Jobs\JobStates;
use App\Jobs\JobView;
use App\Jobs\KnownUnits;
use App\Models\Job;
use App\Models\Unit;
use App\Repair\RepairView;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;
use Ispira\Core\Diagnosis\Presentation\Shown\LearnedShown;
use Ispira\Core\Pages\JobDiagnosis;

/**
 * A unit with all that was done to it.
 */
final class UnitController extends Controller
{
    private const MOST_JOBS = 50;
    private const MOST_ALIKE = 6;

    public function __construct(private readonly JobDiagnosis $diagnosis) {}

    public function show(Request $request, string $unit): UnitPage
    {
        $one = $this->unit($request, $unit);
        $jobs = $one
            ->jobs()
            ->with(['owner', 'replacements', 'entries'])
            ->latest('created_at')
            ->latest('id')
            ->limit(self::MOST_JOBS + 1)
            ->get()
            ->each(static fn(Job $job) => $job->setRelation('workshop', $one->workshop)->setRelation('unit', $one));
        $shown = $jobs->take(self::MOST_JOBS);
        $measured = $shown->first(static fn(Job $job): bool => $job->readings()->whereNull('speed_map_id')->exists());
        $newest = $shown->first();

        return new UnitPage(
            id: $one->id,
            name: $one->name,
            place: $one->place,
            model: $one->model,
            note: $one->note,
            retired: $one->retired_at !== null,
            jobs: array_values($shown->map(JobListed::of(...))->all()),
            more: $jobs->count() > self::MOST_JOBS,
            fitted: array_reverse(array_merge(...$shown->reverse()->map(FittedParts::of(...))->values()->all())),
            route: $newest === null ? null : RepairView::route($newest),
            learned: $measured === null ? [] : $this->learned($measured),
            learnedIn: $measured === null ? null : JobView::number($measured),
            alike: self::alike($one),
        );
    }

    public function update(Request $request, string $unit): RedirectResponse
    {
        $one = $this->unit($request, $unit);
        $data = $request->validate(
            [
                'name' => ['required', 'string', 'max:120'],
                'place' => ['nullable', 'string', 'max:120'],
                'model' => ['nullable', 'string', 'max:120'],
                'note' => ['nullable', 'string', 'max:500'],
                'retired' => ['required', 'boolean'],
            ],
            ['name.required' => 'Name the unit.', '*.max' => 'Keep it under :max characters.'],
        );
        DB::transaction(static function () use ($one, $data): void {
            $one->update([
                'name' => $data['name'],
                'place' => $data['place'] ?? null,
                'model' => $data['model'] ?? null,
                'note' => $data['note'] ?? null,
                'retired_at' => (bool) $data['retired'] ? $one->retired_at ?? now() : null,
            ]);
        });

        return redirect("/units/$one->id", 303)->with('notice', 'Saved.');
    }

    /** Two names for one machine: its jobs come here, and the other name goes. */
    public function merge(Request $request, string $unit): RedirectResponse
    {
        $one = $this->unit($request, $unit);
        $data = $request->validate(['other' => ['required', 'ulid']], ['other.*' => 'Choose the double.']);
        if (strtolower($data['other']) === $one->id) {
            throw ValidationException::withMessages(['other' => 'That is this unit itself.']);
        }
        $other = $this->unit($request, $data['other']);
        DB::transaction(static function () use ($one, $other): void {
            $other->jobs()->each(static fn(Job $job) => $job->update(['unit_id' => $one->id]));
            $one->update([
                'place' => $one->place ?? $other->place,
                'model' => $one->model ?? $other->model,
                'note' => $one->note ?? $other->note,
            ]);
            $other->delete();
        });

        return redirect("/units/$one->id", 303)->with('notice', "What was noted for \"$other->name\" stands here now.");
    }

    private function unit(Request $request, string $id): Unit
    {
        $workshop = $this->user($request)->workshop;

        return $workshop
            ->units()
            ->where('practice', false)
            ->findOrFail(strtolower($id))
            ->setRelation('workshop', $workshop);
    }

    /** @return list<LearnedShown> those that readings have taught */
    private function learned(Job $job): array
    {
        return array_values(
            array_filter(
                $this->diagnosis->learned(JobStates::of($job)),
                static fn(LearnedShown $one): bool => $one->after !== null,
            ),
        );
    }

    /** @return list<UnitNear> */
    private static function alike(Unit $unit): array
    {
        return array_values(
            KnownUnits::like($unit->workshop, $unit->name, self::MOST_ALIKE + 1)
                ->reject(static fn(Unit $one): bool => $one->id === $unit->id)
                ->take(self::MOST_ALIKE)
                ->loadCount('jobs')
                ->map(UnitNear::of(...))
                ->all(),
        );
    }
}
