<?php

declare(strict_types=1);

namespace App\Planning;

use App\Bench\ReadingRefused;
use App\Bench\RecordReading;
use App\Http\Asked;
use App\Http\Controller;
use App\Jobs\JobStates;
use App\Jobs\JobView;
use App\Models\Job;
use App\Models\RepairEntry;
use App\Models\Workshop;
use App\Repair\RecordEntry;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;
use Inertia\Response;
use Ispira\Core\Acts\PlanAnswered;
use Ispira\Core\Device\ParameterError;
use Ispira\Core\Job\JobStage;
use Ispira\Core\Kernel\Keyed;
use Ispira\Core\Pages\JobPlans;
use Ispira\Core\Pages\PlannerAsked;
use Ispira\Core\Pages\PlannerPages;
use Ispira\Core\Pages\PlanView;
use Ispira\Core\Planning\Plan;
use Ispira\Core\Planning\Planner;
use Ispira\Core\Planning\PlannerRegistry;
use Ispira\Core\Repair\Ledger\EntryKind;

/**
 * Planners: everything that they take stands in the address, so that a plan can be kept and sent.
 */
final class PlannerController extends Controller
{
    /** Kept answers in which the last ones are looked for. */
    private const MOST_LOOKED_AT = 500;

    public function __construct(private readonly PlannerRegistry $planners, private readonly PlannerPages $pages) {}

    public function index(Request $request, JobPlans $plans): PlannersPage
    {
        return new PlannersPage(
            planners: array_values(array_map(PlanView::head(...), $this->planners->all())),
            used: new Keyed(self::used($this->user($request)->workshop, $plans)),
        );
    }

    /** @return array<string, PlannerUsed> by planner */
    private static function used(Workshop $workshop, JobPlans $plans): array
    {
        $kept = RepairEntry::query()
            ->where('kind', EntryKind::Planned)
            ->whereIn('job_id', $workshop->jobs()->select('id'))
            ->with('job.unit')
            ->latest('sequence')
            ->limit(self::MOST_LOOKED_AT)
            ->get();
        $used = [];
        foreach (
            $kept->groupBy(static fn(RepairEntry $one): string => $one->toCore()->text('planner'))
            as $key => $all
        ) {
            $last = $all->firstOrFail();
            $used[(string) $key] = new PlannerUsed(
                last: $plans->keptOf($last->toCore(), $last->job_id),
                job: JobView::number($last->job) . ' ' . $last->job->unit->name,
                jobs: $all->unique('job_id')->count(),
            );
        }

        return $used;
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
                    Asked::text($request, 'test', 80),
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
        try {
            $readings = (new PlanAnswered($planner, $request->array('values')))->readings(
                $job->circuit(),
                $data['takes'],
            );
        } catch (ParameterError $error) {
            throw ValidationException::withMessages($error->messages);
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
        try {
            $entry = (new PlanAnswered($planner, $request->array('values')))->entry(strtolower($data['id']));
        } catch (ParameterError $error) {
            throw ValidationException::withMessages($error->messages);
        }
        $record($this->user($request), $job, $entry);

        return back(303);
    }

    /** The job from which the planner was opened. */
    private function job(Request $request): ?Job
    {
        $id = $request->query('job');
        $job = is_string($id) ? $this->user($request)->workshop->jobs()->with('unit')->find($id) : null;

        return $job instanceof Job ? $job : null;
    }
}
