<?php

declare(strict_types=1);

namespace App\Practice;

use App\Http\Controller;
use App\Http\EnteredAt;
use App\Jobs\JobStates;
use App\Models\ExerciseAct;
use App\Models\Job;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use Inertia\Response;
use Ispira\Core\Job\PracticeActKind;
use Ispira\Core\Pages\BenchPages;

/**
 * What is done in an exercise, and what came of it.
 */
final class ExerciseController extends Controller
{
    public function __construct(private readonly BenchPages $pages) {}

    public function store(Request $request, Job $job, EnteredAt $entered): RedirectResponse
    {
        $data = $request->validate([
            'id' => ['required', 'ulid'],
            'kind' => ['required', 'string', 'max:20'],
            'test' => ['nullable', 'string', 'max:80'],
            'red' => ['nullable', 'string', 'max:80'],
            'black' => ['nullable', 'string', 'max:80'],
            'isolated' => ['nullable', 'boolean'],
            'discharged' => ['nullable', 'boolean'],
            'shortcut' => ['nullable', 'string', 'max:40'],
            'remedy' => ['nullable', 'string', 'max:120'],
            'shares' => ['nullable', 'array', 'max:60'],
            'shares.*' => ['numeric', 'between:0,100'],
        ]);
        abort_if($job->practice_fault === null, 404);
        abort_unless($job->user_id === $this->user($request)->id, 403);
        $over = DB::transaction(function () use ($request, $job, $data, $entered): bool {
            $locked = $job->locked();
            if (ExerciseAct::query()->where('id', strtolower($data['id']))->where('job_id', $job->id)->exists()) {
                return $locked->practice()?->isOver() === true;
            }
            $acts = $this->pages->exerciseActs(JobStates::of($locked)) ?? abort(404);
            $act = $acts->read(strtolower($data['id']), $data['kind'], $data);
            ExerciseAct::query()->create([
                'id' => $act->id,
                'job_id' => $job->id,
                'user_id' => $this->user($request)->id,
                'kind' => $act->kind,
                'data' => $act->data,
                'after' => $act->after,
                'done_at' => $entered->moment(),
            ]);
            $over = $act->kind === PracticeActKind::Named || $act->kind === PracticeActKind::Danger;
            if ($over) {
                EndOfPractice::note($locked, $entered->moment());
            }

            return $over;
        });

        return $over ? redirect("/jobs/$job->id/score", 303) : back(303);
    }

    public function score(Request $request, Job $job): Response|RedirectResponse
    {
        $page = $job->practice_fault === null ? null : $this->pages->score(JobStates::of($job));
        if ($page === null) {
            return $this->whereItStands($job, 'This exercise is not over yet.');
        }
        // From now on a lead sees it, too.
        $own = $job->exercise;
        if ($own !== null && $own->seen_at === null && $own->user_id === $this->user($request)->id) {
            $own->update(['seen_at' => now()]);
        }

        return $this->page($page);
    }
}
