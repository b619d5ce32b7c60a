<?php

declare(strict_types=1);

namespace App\Procedures;

use App\Http\Controller;
use App\Http\EnteredAt;
use App\Jobs\JobView;
use App\Models\Job;
use App\Models\ProcedureRun;
use App\People\Ability;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Inertia\Response;
use Ispira\Core\Acts\ChargeTold;
use Ispira\Core\Pages\ProcedurePages;
use Ispira\Core\Pages\Shown\RunListed;
use Ispira\Core\Procedure\ProcedureFormat;

/**
 * Procedures, worked step by step against the server's clock.
 */
final class ProcedureController extends Controller
{
    public function __construct(private readonly WorkshopLibrary $library) {}

    public function index(Request $request): Response
    {
        $workshop = $this->user($request)->workshop;
        $job = $this->job($request);
        $running = $workshop
            ->procedureRuns()
            ->with(['job.unit', 'marks'])
            ->orderByDesc('started_at')
            ->limit(100)
            ->get()
            ->map(self::listed(...))
            ->all();

        return $this->page(
            ProcedurePages::all(
                $this->library->of($workshop),
                $this->library->own($workshop),
                array_values($running),
                $job === null ? null : JobView::head($job),
                $job?->family,
                $this->user($request)->may(Ability::Procedures),
            ),
        );
    }

    private static function listed(ProcedureRun $stored): RunListed
    {
        return ProcedurePages::listed($stored->toCore(), $stored->job === null ? null : JobView::head($stored->job));
    }

    public function show(Request $request, string $key): Response
    {
        $user = $this->user($request);
        $procedure = $this->library->of($user->workshop)[$key] ?? abort(404);
        $job = $this->job($request);

        return $this->page(
            ProcedurePages::procedure(
                $procedure,
                $job === null ? null : JobView::head($job),
                in_array($key, $this->library->own($user->workshop), true),
                $this->library->isShipped($key),
                $user->may(Ability::Procedures),
            ),
        );
    }

    public function start(Request $request, string $key, EnteredAt $entered): RedirectResponse
    {
        $user = $this->user($request);
        $procedure = $this->library->of($user->workshop)[$key] ?? abort(404);
        $data = $request->validate(['id' => ['required', 'ulid'], 'job' => ['nullable', 'string', 'max:40']]);
        $id = strtolower($data['id']);
        $procedure = ChargeTold::applied($procedure, $request->only(['microfarads', 'ohms', 'volts']));
        // What arrives twice, even at the same moment, is one run: the second finds the first.
        $run = ProcedureRun::query()->createOrFirst(
            ['id' => $id],
            [
                'workshop_id' => $user->workshop_id,
                'job_id' => isset($data['job'])
                    ? $user->workshop->jobs()->whereKey($data['job'])->firstOrFail()->id
                    : null,
                'user_id' => $user->id,
                'key' => $key,
                'text' => ProcedureFormat::toArray($procedure),
                'started_at' => $entered->moment(),
                'heard_at' => $entered->later() ? now() : null,
            ],
        );
        abort_unless($run->workshop_id === $user->workshop_id, 404);

        return redirect("/runs/$id", 303);
    }

    public function run(Request $request, string $run): Response
    {
        $stored = $this->user($request)->workshop->procedureRuns()->with('job.unit')->findOrFail($run);

        return $this->page(
            ProcedurePages::run(
                $stored->toCore(),
                now()->getPreciseTimestamp() / 1e6,
                $stored->job === null ? null : JobView::head($stored->job),
            ),
        );
    }

    public function done(Request $request, string $run, MarkStep $mark): RedirectResponse
    {
        $data = $request->validate([
            'id' => ['nullable', 'ulid'],
            'step' => ['required', 'integer', 'min:0'],
            'seen' => ['boolean'],
            'confirmed' => ['boolean'],
            'waited' => ['nullable', 'numeric', 'min:0', 'max:10000000'],
        ]);
        $mark->done($this->user($request), $run, $data);

        return redirect("/runs/$run", 303);
    }

    /** Begins the step that is up anew, or breaks the procedure off. */
    public function mark(Request $request, string $run, MarkStep $mark): RedirectResponse
    {
        $data = $request->validate(
            [
                'id' => ['nullable', 'ulid'],
                'kind' => ['required', 'in:again,aborted'],
                'note' => ['nullable', 'string', 'max:250', 'required_if:kind,aborted'],
            ],
            ['note.required_if' => 'Say why it is broken off.'],
        );
        $mark->other($this->user($request), $run, $data);

        return redirect("/runs/$run", 303);
    }

    private function job(Request $request): ?Job
    {
        $id = $request->query('job');
        $job = is_string($id) ? $this->user($request)->workshop->jobs()->with('unit')->find($id) : null;

        return $job instanceof Job ? $job : null;
    }
}
