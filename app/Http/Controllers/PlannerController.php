<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Diagnosis\JobView;
use App\Models\Job;
use App\Planning\PlanView;
use Illuminate\Http\Request;
use Inertia\Inertia;
use Inertia\Response;
use Ispira\Core\Family\ParameterError;
use Ispira\Core\Planning\PlannerRegistry;

/**
 * Planners: everything that they take stands in the address, so that a plan can be kept and sent.
 */
final class PlannerController extends Controller
{
    public function __construct(private readonly PlannerRegistry $planners)
    {
    }

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
        try {
            $plan = $planner->plan($planner->parameters()->read($given));
        } catch (ParameterError $error) {
            $problems = $error->messages;
        }

        return Inertia::render('Planner', [
            'planner' => PlanView::head($planner),
            'fields' => CircuitController::shown($planner->parameters(), $planner->texts()),
            'values' => $given,
            'problems' => $problems,
            'plan' => $plan === null ? null : PlanView::of($plan),
            'job' => $this->job($request),
        ]);
    }

    /** @return array<string, mixed>|null the job from which the planner was opened */
    private function job(Request $request): ?array
    {
        $id = $request->query('job');
        $job = is_string($id) ? $this->user($request)->workshop->jobs()->with('unit')->find($id) : null;

        return $job instanceof Job ? JobView::head($job) : null;
    }
}
