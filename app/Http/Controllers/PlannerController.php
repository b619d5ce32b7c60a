<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\ReadingRefused;
use App\Actions\RecordReading;
use App\Diagnosis\JobView;
use App\Models\Job;
use App\Planning\PlanView;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\ValidationException;
use Inertia\Inertia;
use Inertia\Response;
use Ispira\Core\Device\ParameterError;
use Ispira\Core\Device\Quantity;
use Ispira\Core\Diagnosis\Inference\Judged;
use Ispira\Core\Diagnosis\Presentation\Words;
use Ispira\Core\Job\JobStage;
use Ispira\Core\Planning\Plan;
use Ispira\Core\Planning\PlannerRegistry;
use Ispira\Core\Planning\Worked;
use Ispira\Core\Reading\Reading;
use Ispira\Core\Reading\RefusedReading;

/**
 * Planners: everything that they take stands in the address, so that a plan can be kept and sent.
 */
final class PlannerController extends Controller
{
    public function __construct(private readonly PlannerRegistry $planners) {}

    public function index(): Response
    {
        return Inertia::render('Planners', [
            'planners' => array_values(array_map(PlanView::head(...), $this->planners->all())),
        ]);
    }

    public function show(Request $request, string $key): Response
    {
        $planner = $this->planners->find($key) ?? abort(404);
        $given = $request->query('values', []);
        $given = is_array($given) ? $given : [];
        $problems = [];
        $plan = null;
        $job = $this->job($request);
        try {
            $plan = $planner->plan($planner->parameters()->read($given));
        } catch (ParameterError $error) {
            $problems = $error->messages;
        }

        return Inertia::render('Planner', [
            'planner' => PlanView::head($planner),
            'fields' => CircuitController::shown($planner->parameters(), $planner->texts()),
            // An object even when nothing was given: an empty list has methods of its own, by names that a field may
            // have.
            'values' => (object) $given,
            'problems' => $problems,
            'plan' => $plan === null ? null : PlanView::of($plan),
            'job' => $job === null ? null : JobView::head($job),
            'wanted' => $request->string('test')->limit(80, '')->toString(),
            'tests' => $job === null || $plan === null ? [] : self::tests($job, $plan),
        ]);
    }

    /** Takes a value that a worksheet works out of these readings down as a reading of a test. */
    public function record(Request $request, Job $job, string $key, RecordReading $record): RedirectResponse
    {
        $planner = $this->planners->find($key) ?? abort(404);
        if ($job->stage !== JobStage::Bench) {
            return $this->whereItStands($job, 'This job is no longer on the bench: the reading was not recorded.');
        }
        $data = $request->validate([
            'id' => ['required', 'ulid'],
            'values' => ['required', 'array'],
            'number' => ['required', 'integer', 'min:0'],
            'test' => ['required', 'string', 'max:80'],
        ]);
        try {
            $plan = $planner->plan($planner->parameters()->read($data['values'] ?? []));
        } catch (ParameterError $error) {
            throw ValidationException::withMessages($error->messages);
        }
        $worked = $plan->worked[(int) $data['number']] ?? null;
        $test = $job->circuit()->tests[$data['test']] ?? null;
        if ($worked === null || $test === null || $test->probe->quantity !== $worked->quantity) {
            throw ValidationException::withMessages([
                'test' => 'That value does not belong to this test. Reload the page.',
            ]);
        }
        try {
            $record(
                $this->user($request),
                $job,
                new Reading(
                    $data['id'],
                    $test->key,
                    is_infinite($worked->value) ? null : Judged::intake($job->circuit())->within($test, $worked->value),
                    instrument: $planner->texts()->get('name'),
                ),
            );
        } catch (ReadingRefused | RefusedReading $error) {
            throw ValidationException::withMessages(['test' => $error->getMessage()]);
        }

        return redirect("/jobs/$job->id/bench", 303);
    }

    /**
     * Tests of a job that ask for what was worked out.
     *
     * @return list<array{key: string, title: string, quantity: string}>
     */
    private static function tests(Job $job, Plan $plan): array
    {
        $circuit = $job->circuit();
        $words = new Words($circuit);
        $quantities = array_map(static fn(Worked $worked): Quantity => $worked->quantity, $plan->worked);
        $tests = [];
        foreach ($job->stage === JobStage::Bench ? $circuit->tests : [] as $test) {
            if ($test->offered && in_array($test->probe->quantity, $quantities, true)) {
                $tests[] = [
                    'key' => $test->key,
                    'title' => $words->test($test),
                    'quantity' => $test->probe->quantity->value,
                ];
            }
        }

        return $tests;
    }

    /** The job from which the planner was opened. */
    private function job(Request $request): ?Job
    {
        $id = $request->query('job');
        $job = is_string($id) ? $this->user($request)->workshop->jobs()->with('unit')->find($id) : null;

        return $job instanceof Job ? $job : null;
    }
}
