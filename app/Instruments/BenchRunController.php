<?php

declare(strict_types=1);

namespace App\Instruments;

use App\Http\Asked;
use App\Http\Controller;
use App\Models\BenchRun;
use App\Models\Workshop;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use Ispira\Core\Planning\BenchSupply\BenchRunVerdict;
use Ispira\Core\Planning\PlannerRegistry;

/**
 * Runs of five-wire motors on a bench supply, and the reference curve of each model.
 */
final class BenchRunController extends Controller
{
    private const MOST_LISTED = 60;

    public function index(Request $request): BenchRunsPage
    {
        $runs = $this->user($request)->workshop->benchRuns()->latest('ran_at')->limit(self::MOST_LISTED)->get();
        $texts = app(PlannerRegistry::class)->find('bench-supply')?->texts();

        return new BenchRunsPage(
            runs: array_values(
                $runs
                    ->map(
                        static fn(BenchRun $run): BenchRunShown => new BenchRunShown(
                            id: $run->id,
                            model: $run->model,
                            startsAt: $run->starts_at,
                            points: $run->points,
                            loaded: $run->loaded,
                            amps: $run->amps,
                            note: $run->note,
                            good: $run->against === [],
                            against: array_map(
                                static fn(string $key): string => $texts?->get("run.$key") ?? $key,
                                $run->against,
                            ),
                            compared: $run->compared,
                            at: $run->ran_at->toIso8601String(),
                        ),
                    )
                    ->all(),
            ),
            cautions: $texts?->list('cautions') ?? [],
        );
    }

    public function store(BenchRunRequest $request): RedirectResponse
    {
        $workshop = $this->user($request)->workshop;
        $run = $request->benchRun();
        $model = trim(Asked::text($request, 'model'));
        DB::transaction(function () use ($request, $workshop, $run, $model): void {
            Workshop::query()->whereKey($workshop->id)->lockForUpdate()->firstOrFail();
            if ($workshop->benchRuns()->whereKey(Asked::text($request, 'id'))->exists()) {
                return;
            }
            $verdict = BenchRunVerdict::of($run, $this->reference($workshop, $model, $run->loaded)?->run());
            $workshop->benchRuns()->create([
                'id' => Asked::text($request, 'id'),
                'user_id' => $this->user($request)->id,
                'model' => $model,
                'pulses' => $request->pulses(),
                'starts_at' => $run->startsAt,
                'points' => $run->points,
                'steady' => $run->steady,
                'smooth' => $run->smooth,
                'loaded' => $run->loaded,
                'amps' => $request->amps(),
                'note' => $request->input('note'),
                'against' => $verdict->against,
                'compared' => $verdict->compared,
                'ran_at' => now(),
            ]);
        });

        return redirect('/bench-runs', 303);
    }

    /** The last good run of a model with the same load. */
    private function reference(Workshop $workshop, string $model, bool $loaded): ?BenchRun
    {
        return $workshop
            ->benchRuns()
            ->where('model', $model)
            ->where('loaded', $loaded)
            ->latest('ran_at')
            ->get()
            ->first(static fn(BenchRun $run): bool => $run->against === []);
    }
}
