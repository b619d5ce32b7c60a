<?php

declare(strict_types=1);

namespace App\Learning;

use App\Http\Controller;
use App\Jobs\JobListed;
use App\Jobs\JobStates;
use App\Models\Job;
use App\Repair\RecordEntry;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;
use Ispira\Core\Diagnosis\Decision\Engine;
use Ispira\Core\Diagnosis\Inference\PredictionStore;
use Ispira\Core\Job\Replaced;
use Ispira\Core\Kernel\DisplayUnits;
use Ispira\Core\Learning\Replay;
use Ispira\Core\Learning\Shown\ReplayShown;
use Ispira\Core\Pages\JobDiagnosis;
use Ispira\Core\Repair\Ledger\Entry;
use Ispira\Core\Repair\Ledger\EntryKind;

/**
 * Verdicts that did not hold: gone through once more, and kept as a lesson on the model.
 */
final class LessonsController extends Controller
{
    private const MOST = 50;

    public function index(Request $request): LessonsPage
    {
        $workshop = $this->user($request)->workshop;
        $rows = DB::table('job_results')
            ->leftJoin('lessons', 'lessons.job_id', '=', 'job_results.job_id')
            ->where('job_results.workshop_id', $workshop->id)
            ->where('in_vain', true)
            ->orderByDesc('job_results.job_id')
            ->limit(self::MOST + 1)
            ->pluck('lesson', 'job_results.job_id');
        $jobs = $workshop
            ->jobs()
            ->with(['unit', 'owner', 'replacements'])
            ->whereKey($rows->keys()->take(self::MOST))
            ->latest('id')
            ->get()
            ->each(static fn(Job $job) => $job->setRelation('workshop', $workshop));

        return new LessonsPage(
            vain: array_values(
                $jobs
                    ->map(static fn(Job $job): VainShown => new VainShown(JobListed::of($job), $rows[$job->id] ?? null))
                    ->all(),
            ),
            more: $rows->count() > self::MOST,
        );
    }

    public function show(
        Job $job,
        PredictionStore $store,
        JobDiagnosis $diagnosis,
        DisplayUnits $units,
    ): ReplayPage|RedirectResponse {
        $state = JobStates::of($job);
        $vain = Replay::vain($state);
        if ($vain === []) {
            return $this->whereItStands(
                $job,
                'Of this job every verdict has held so far: there is nothing to go through.',
            );
        }
        $replay = new Replay($state, new Engine($store), $diagnosis->settings($state), $units);
        $lesson = $state->ledger->latest(EntryKind::Lesson);

        return new ReplayPage(
            job: $state->head,
            replays: array_map(static fn(Replaced $one): ReplayShown => $replay->of($one), $vain),
            lesson: $lesson?->text('lesson'),
            lessonOf: $lesson?->text('replacement'),
        );
    }

    public function store(Request $request, Job $job, RecordEntry $record): RedirectResponse
    {
        $data = $request->validate(
            [
                'id' => ['required', 'ulid'],
                'replacement' => ['required', 'ulid'],
                'lesson' => ['required', 'string', 'max:1000'],
            ],
            [
                'lesson.required' => 'Write in a sentence what to do next time.',
                'lesson.max' => 'Keep it under :max characters.',
                '*' => 'That was not taken. Reload the page and note it again.',
            ],
        );
        foreach (Replay::vain(JobStates::of($job)) as $one) {
            if (strcasecmp($one->id, $data['replacement']) === 0) {
                $record(
                    $this->user($request),
                    $job,
                    Entry::read(strtolower($data['id']), EntryKind::Lesson, [
                        'replacement' => $one->id,
                        'lesson' => $data['lesson'],
                    ]),
                );

                return redirect("/jobs/$job->id/replay", 303)->with('notice', 'Kept as a lesson on this model.');
            }
        }

        throw ValidationException::withMessages([
            'lesson' => 'A lesson is about a part that did not hold. Reload the page.',
        ]);
    }
}
