<?php

declare(strict_types=1);

namespace App\Procedures;

use App\Http\Controller;
use App\Jobs\JobView;
use App\Models\Job;
use App\Models\ProcedureRun;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;
use Ispira\Core\Kernel\NumberReader;
use Ispira\Core\Kernel\UnreadableNumber;
use Ispira\Core\Procedure\MarkKind;
use Ispira\Core\Procedure\NotYet;
use Ispira\Core\Procedure\Procedure;
use Ispira\Core\Procedure\ProcedureError;
use Ispira\Core\Procedure\ProcedureFormat;
use Ispira\Core\Procedure\StoredCharge;

/**
 * Procedures, worked step by step against the server's clock.
 */
final class ProcedureController extends Controller
{
    public function __construct(private readonly WorkshopLibrary $library) {}

    public function index(Request $request): ProceduresPage
    {
        $workshop = $this->user($request)->workshop;
        $job = $this->job($request);
        $own = $this->library->own($workshop);
        $procedures = array_filter(
            $this->library->of($workshop),
            static fn(Procedure $one): bool => $job === null || $one->serves($job->family),
        );

        return new ProceduresPage(
            procedures: array_values(
                array_map(
                    static fn(Procedure $one): ProcedureHead => RunView::head($one, in_array($one->key, $own, true)),
                    $procedures,
                ),
            ),
            running: array_values(
                $workshop
                    ->procedureRuns()
                    ->with(['job.unit', 'marks'])
                    ->orderByDesc('started_at')
                    ->limit(30)
                    ->get()
                    ->map(RunView::listed(...))
                    ->all(),
            ),
            job: $job === null ? null : JobView::head($job),
            lead: $this->user($request)->role === 'lead',
        );
    }

    public function show(Request $request, string $key): ProcedurePage
    {
        $user = $this->user($request);
        $procedure = $this->library->of($user->workshop)[$key] ?? abort(404);
        $job = $this->job($request);

        return new ProcedurePage(
            procedure: $procedure,
            asksForCapacitor: $procedure->asksForCapacitor(),
            own: in_array($key, $this->library->own($user->workshop), true),
            shipped: $this->library->isShipped($key),
            lead: $user->role === 'lead',
            job: $job === null ? null : JobView::head($job),
        );
    }

    public function start(Request $request, string $key): RedirectResponse
    {
        $user = $this->user($request);
        $procedure = $this->library->of($user->workshop)[$key] ?? abort(404);
        $data = $request->validate(['id' => ['required', 'ulid'], 'job' => ['nullable', 'string', 'max:40']]);
        $id = strtolower($data['id']);
        $known = ProcedureRun::query()->find($id);
        if ($known !== null) {
            abort_unless($known->workshop_id === $user->workshop_id, 404);

            return redirect("/runs/$id", 303);
        }
        if ($procedure->asksForCapacitor()) {
            $charge = $this->charge($request);
            $procedure = $charge === null ? $procedure : $procedure->withCharge($charge);
        }
        ProcedureRun::query()->create([
            'id' => $id,
            'workshop_id' => $user->workshop_id,
            'job_id' => isset($data['job']) ? $user->workshop->jobs()->whereKey($data['job'])->firstOrFail()->id : null,
            'user_id' => $user->id,
            'key' => $key,
            'text' => ProcedureFormat::toArray($procedure),
            'started_at' => now(),
        ]);

        return redirect("/runs/$id", 303);
    }

    public function run(Request $request, string $run): RunPage
    {
        $stored = $this->found($request, $run);

        return new RunPage(
            run: RunView::of($stored, now()->getPreciseTimestamp() / 1e6),
            job: $stored->job === null ? null : JobView::head($stored->job),
        );
    }

    public function done(Request $request, string $run): RedirectResponse
    {
        $data = $request->validate([
            'step' => ['required', 'integer', 'min:0'],
            'seen' => ['boolean'],
            'confirmed' => ['boolean'],
        ]);
        $user = $this->user($request);
        try {
            DB::transaction(function () use ($request, $run, $data, $user): void {
                $stored = $user->workshop->procedureRuns()->lockForUpdate()->findOrFail($run);
                $mark = $stored
                    ->run()
                    ->done(
                        (int) $data['step'],
                        now()->getPreciseTimestamp() / 1e6,
                        $request->boolean('seen'),
                        $request->boolean('confirmed'),
                    );
                $stored->marks()->create([
                    'user_id' => $user->id,
                    'kind' => $mark->kind,
                    'step' => $mark->step,
                    'marked_at' => now(),
                ]);
            });
        } catch (NotYet $notYet) {
            throw ValidationException::withMessages(['step' => $notYet->getMessage()]);
        }

        return redirect("/runs/$run", 303);
    }

    /** Begins the step that is up anew, or breaks the procedure off. */
    public function mark(Request $request, string $run): RedirectResponse
    {
        $data = $request->validate(
            [
                'kind' => ['required', 'in:again,aborted'],
                'note' => ['nullable', 'string', 'max:250', 'required_if:kind,aborted'],
            ],
            ['note.required_if' => 'Say why it is broken off.'],
        );
        $user = $this->user($request);
        DB::transaction(static function () use ($run, $data, $user): void {
            $stored = $user->workshop->procedureRuns()->lockForUpdate()->findOrFail($run);
            $now = $stored->run();
            if ($now->current() !== null) {
                $stored->marks()->create([
                    'user_id' => $user->id,
                    'kind' => MarkKind::from($data['kind']),
                    'step' => $now->step,
                    'note' => $data['note'] ?? null,
                    'marked_at' => now(),
                ]);
            }
        });

        return redirect("/runs/$run", 303);
    }

    /** A lead writes a procedure of the workshop's own, or changes one that ships. */
    public function write(Request $request): RedirectResponse
    {
        $user = $this->user($request);
        abort_unless($user->role === 'lead', 403);
        $data = $request->validate(
            ['text' => ['required', 'string', 'max:200000']],
            ['text.required' => 'Paste the procedure as JSON.'],
        );
        try {
            $procedure = ProcedureFormat::read($data['text']);
        } catch (ProcedureError $error) {
            throw ValidationException::withMessages(['text' => $error->getMessage()]);
        }
        $user->workshop
            ->procedures()
            ->updateOrCreate(
                ['key' => $procedure->key],
                ['text' => ProcedureFormat::toArray($procedure), 'user_id' => $user->id],
            );

        return redirect("/procedures/$procedure->key", 303)->with(
            'notice',
            'The procedure is stored. Runs that were begun before keep the old text.',
        );
    }

    public function remove(Request $request, string $key): RedirectResponse
    {
        $user = $this->user($request);
        abort_unless($user->role === 'lead', 403);
        $user->workshop->procedures()->where('key', $key)->firstOrFail()->delete();

        return redirect($this->library->isShipped($key) ? "/procedures/$key" : '/procedures', 303)->with(
            'notice',
            "The workshop's own text is gone.",
        );
    }

    private function found(Request $request, string $run): ProcedureRun
    {
        return $this->user($request)->workshop->procedureRuns()->with('job.unit')->findOrFail($run);
    }

    private function job(Request $request): ?Job
    {
        $id = $request->query('job');
        $job = is_string($id) ? $this->user($request)->workshop->jobs()->with('unit')->find($id) : null;

        return $job instanceof Job ? $job : null;
    }

    /** The capacitor that is told; null when nothing is known of it. */
    private function charge(Request $request): ?StoredCharge
    {
        $given = [
            'microfarads' => ['µF', 'capacitance'],
            'ohms' => ['Ω', 'resistance of the bleeder'],
            'volts' => ['V', 'voltage'],
        ];
        $values = [];
        foreach ($given as $field => [$unit, $name]) {
            $value = $request->input($field);
            if ($value === null || $value === '') {
                continue;
            }
            try {
                $values[$field] = NumberReader::read($value, $unit);
            } catch (UnreadableNumber $error) {
                throw ValidationException::withMessages([$field => $error->getMessage()]);
            }
            if ($values[$field] <= 0.0) {
                throw ValidationException::withMessages([$field => "The $name must be above zero."]);
            }
        }
        if ($values !== [] && count($values) < 3) {
            throw ValidationException::withMessages([
                array_key_first(array_diff_key($given, $values)) ??
                'volts' => 'Give all three, or leave all empty: then the label and five minutes count.',
            ]);
        }

        return $values === []
            ? null
            : new StoredCharge($values['microfarads'] ?? 1.0, $values['ohms'] ?? 1.0, $values['volts'] ?? 1.0);
    }
}
