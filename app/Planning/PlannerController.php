<?php

declare(strict_types=1);

namespace App\Planning;

use App\Bench\ReadingRefused;
use App\Bench\RecordReading;
use App\Http\Controller;
use App\Jobs\CircuitController;
use App\Jobs\JobView;
use App\Models\Job;
use App\Repair\RecordEntry;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;
use Ispira\Core\Device\ParameterError;
use Ispira\Core\Device\Test;
use Ispira\Core\Diagnosis\Inference\Judged;
use Ispira\Core\Diagnosis\Presentation\Words;
use Ispira\Core\Job\JobStage;
use Ispira\Core\Kernel\Keyed;
use Ispira\Core\Kernel\Titled;
use Ispira\Core\Planning\Figure;
use Ispira\Core\Planning\Plan;
use Ispira\Core\Planning\Planner;
use Ispira\Core\Planning\PlannerRegistry;
use Ispira\Core\Planning\Worked;
use Ispira\Core\Reading\Reading;
use Ispira\Core\Reading\RefusedReading;
use Ispira\Core\Repair\Ledger\Entry;
use Ispira\Core\Repair\Ledger\EntryKind;

/**
 * Planners: everything that they take stands in the address, so that a plan can be kept and sent.
 */
final class PlannerController extends Controller
{
    public function __construct(private readonly PlannerRegistry $planners, private readonly JobPlans $plans) {}

    public function index(): PlannersPage
    {
        return new PlannersPage(planners: array_values(array_map(PlanView::head(...), $this->planners->all())));
    }

    public function show(Request $request, string $key): PlannerPage
    {
        $planner = $this->planners->find($key) ?? abort(404);
        $given = $request->query('values', []);
        $given = is_array($given) ? $given : [];
        $job = $this->job($request);
        // A job begins with what it knows, never with an example and a verdict on it.
        $begins = $job !== null && $given === [] && !$request->boolean('example');
        $given = match (true) {
            $begins => $this->plans->begun($job, $planner),
            $given === [] && $job !== null => $planner->parameters()->defaults(),
            default => $given,
        };
        $problems = $begins ? [] : $planner->parameters()->leftEmpty($given);
        $plan = null;
        $example = false;
        try {
            $read = $begins || $problems !== [] ? null : $planner->parameters()->read($given);
            $plan = $read === null ? null : $planner->plan($read);
            $example = $read !== null && $planner->parameters()->isExample($read);
        } catch (ParameterError $error) {
            $problems = $error->messages;
        }

        return new PlannerPage(
            planner: PlanView::head($planner),
            fields: CircuitController::shown($planner->parameters(), $planner->texts()),
            // An object even when nothing was given: an empty list has methods of its own, by names that a field may
            // have.
            values: new Keyed($given),
            problems: new Keyed($problems),
            plan: $plan === null ? null : PlanView::of($plan),
            // They come before anything is done, so also before there is anything to work out.
            cautions: $plan->cautions ?? $planner->texts()->list('cautions'),
            example: $example,
            job: $job === null ? null : JobView::head($job),
            open: $job !== null && $job->stage !== JobStage::Closed,
            kept: $job === null ? [] : $this->plans->kept($job),
            wanted: $request->string('test')->limit(80, '')->toString(),
            tests: $job === null || $plan === null ? [] : self::tests($job, $plan),
        );
    }

    /** Takes values that a worksheet works out of these readings down as readings of tests. */
    public function record(Request $request, Job $job, string $key, RecordReading $record): RedirectResponse
    {
        $planner = $this->planners->find($key) ?? abort(404);
        if ($job->stage !== JobStage::Bench) {
            return $this->whereItStands($job, 'This job is no longer on the bench: the reading was not recorded.');
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

    /**
     * Tests of a job that ask for what was worked out, by the number of the value.
     *
     * @return list<list<Titled>>
     */
    private static function tests(Job $job, Plan $plan): array
    {
        $circuit = $job->circuit();
        $words = new Words($circuit);
        $offered = array_filter(
            $job->stage === JobStage::Bench ? $circuit->tests : [],
            static fn(Test $test): bool => $test->offered,
        );

        return array_map(
            static fn(Worked $worked): array => array_values(
                array_map(
                    static fn(Test $test): Titled => new Titled(key: $test->key, title: $words->test($test)),
                    array_filter($offered, $worked->belongsTo(...)),
                ),
            ),
            $plan->worked,
        );
    }

    /** The job from which the planner was opened. */
    private function job(Request $request): ?Job
    {
        $id = $request->query('job');
        $job = is_string($id) ? $this->user($request)->workshop->jobs()->with('unit')->find($id) : null;

        return $job instanceof Job ? $job : null;
    }
}
