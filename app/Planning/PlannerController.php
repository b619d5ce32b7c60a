<?php

declare(strict_types=1);

namespace App\Planning;

use App\Bench\ReadingRefused;
use App\Bench\RecordReading;
use App\Http\Controller;
use App\Jobs\JobStates;
use App\Models\Job;
use App\Repair\RecordEntry;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;
use Inertia\Response;
use Ispira\Core\Device\ParameterError;
use Ispira\Core\Diagnosis\Inference\Judged;
use Ispira\Core\Job\JobStage;
use Ispira\Core\Pages\JobPlans;
use Ispira\Core\Pages\PlannerAsked;
use Ispira\Core\Pages\PlannerPages;
use Ispira\Core\Pages\PlanView;
use Ispira\Core\Planning\Figure;
use Ispira\Core\Planning\Plan;
use Ispira\Core\Planning\Planner;
use Ispira\Core\Planning\PlannerRegistry;
use Ispira\Core\Reading\Reading;
use Ispira\Core\Reading\RefusedReading;
use Ispira\Core\Repair\Ledger\Entry;
use Ispira\Core\Repair\Ledger\EntryKind;

/**
 * Planners: everything that they take stands in the address, so that a plan can be kept and sent.
 */
final class PlannerController extends Controller
{
    public function __construct(private readonly PlannerRegistry $planners, private readonly PlannerPages $pages) {}

    public function index(): PlannersPage
    {
        return new PlannersPage(planners: array_values(array_map(PlanView::head(...), $this->planners->all())));
    }

    public function show(Request $request, string $key): Response
    {
        $planner = $this->planners->find($key) ?? abort(404);
        $given = $request->query('values', []);
        $job = $this->job($request);

        return $this->page(
            $this->pages->planner(
                $planner,
                $job === null ? null : JobStates::of($job),
                new PlannerAsked(
                    is_array($given) ? $given : [],
                    $request->boolean('example'),
                    $request->string('test')->limit(80, '')->toString(),
                ),
            ),
        );
    }

    /** Takes values that a worksheet works out of these readings down as readings of tests. */
    public function record(Request $request, Job $job, string $key, RecordReading $record): RedirectResponse
    {
        $planner = $this->planners->find($key) ?? abort(404);
        if ($job->stage !== JobStage::Bench) {
            return $this->refused($job, 'This job is no longer on the bench: the reading was not recorded.');
        }
        $data = $request->validate([
            'values' => ['required', 'array'],
            'takes' => ['required', 'array', 'min:1', 'max:10'],
            'takes.*.id' => ['required', 'ulid', 'distinct'],
            'takes.*.number' => ['required', 'integer', 'min:0'],
            'takes.*.test' => ['required', 'string', 'max:80'],
        ]);
        $plan = $this->planned($planner, $request->array('values'));
        $circuit = $job->circuit();
        $readings = [];
        foreach ($data['takes'] as $take) {
            $worked = $plan->worked[(int) $take['number']] ?? null;
            $test = $circuit->tests[$take['test']] ?? null;
            if ($worked === null || $test === null || !$worked->belongsTo($test)) {
                throw ValidationException::withMessages([
                    'test' => 'That value does not belong to this test. Reload the page.',
                ]);
            }
            try {
                $value = is_infinite($worked->value) ? null : Judged::intake($circuit)->within($test, $worked->value);
            } catch (RefusedReading $error) {
                throw ValidationException::withMessages(['test' => $error->getMessage()]);
            }
            $readings[] = new Reading($take['id'], $test->key, $value, instrument: $planner->texts()->get('name'));
        }
        try {
            DB::transaction(function () use ($request, $job, $record, $readings): void {
                foreach ($readings as $reading) {
                    $record($this->user($request), $job, $reading);
                }
            });
        } catch (ReadingRefused $error) {
            throw ValidationException::withMessages(['test' => $error->getMessage()]);
        }

        return redirect("/jobs/$job->id/bench", 303);
    }

    /** Keeps what a planner answered with the job: its values, what it refuses and what it found. */
    public function keep(Request $request, Job $job, string $key, RecordEntry $record): RedirectResponse
    {
        $planner = $this->planners->find($key) ?? abort(404);
        $data = $request->validate(['id' => ['required', 'ulid'], 'values' => ['required', 'array']]);
        $plan = $this->planned($planner, $request->array('values'));
        $record(
            $this->user($request),
            $job,
            Entry::read(strtolower($data['id']), EntryKind::Planned, [
                'planner' => $planner->key(),
                'values' => JobPlans::packed($request->array('values')),
                'said' => [
                    ...array_map(static fn(string $one): string => "Refused: $one", $plan->refusals),
                    ...$plan->findings,
                    ...array_map(static fn(Figure $one): string => "$one->label: $one->value", $plan->figures),
                ],
            ]),
        );

        return back(303);
    }

    /**
     * @param array<array-key, mixed> $values
     *
     * @throws ValidationException with a message at each field that was left empty or cannot be read
     */
    private function planned(Planner $planner, array $values): Plan
    {
        // What a job is told has to be there: an example's value never stands in for it.
        $empty = $planner->parameters()->leftEmpty($values + $planner->parameters()->blank());
        if ($empty !== []) {
            throw ValidationException::withMessages($empty);
        }
        try {
            return $planner->plan($planner->parameters()->read($values));
        } catch (ParameterError $error) {
            throw ValidationException::withMessages($error->messages);
        }
    }

    /** The job from which the planner was opened. */
    private function job(Request $request): ?Job
    {
        $id = $request->query('job');
        $job = is_string($id) ? $this->user($request)->workshop->jobs()->with('unit')->find($id) : null;

        return $job instanceof Job ? $job : null;
    }
}
