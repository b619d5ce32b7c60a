<?php

declare(strict_types=1);

namespace App\Instruments;

use App\Http\Asked;
use App\Http\Controller;
use App\Models\Job;
use App\Models\MeterAddress;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Ispira\Core\Diagnosis\Presentation\Words;
use Ispira\Core\Instrument\MeterTrouble;
use Ispira\Core\Kernel\DisplayUnits;
use Ispira\Core\Kernel\Unit;

/**
 * What a meter of the workshop shows, while a test is on the bench.
 */
final class LiveController extends Controller
{
    public function show(Request $request, Job $job, string $meter, LiveMeter $live, DisplayUnits $units): JsonResponse
    {
        $circuit = $job->circuit();
        $test = $circuit->tests[Asked::text($request, 'test', 80)] ?? abort(404);
        try {
            ['now' => $now, 'held' => $held] = $live->look(
                $this->user($request),
                $job,
                $circuit,
                $test,
                $this->meter($request, $meter),
            );
        } catch (MeterTrouble $trouble) {
            return response()->json(['trouble' => $trouble->getMessage()]);
        }
        $words = new Words($circuit, $units);
        $written = static fn(?float $value): string => $words->number($value ?? \INF, $test->probe->quantity);

        return response()->json([
            'trouble' => null,
            'value' => $written($held === null ? $now->value : $held->value),
            'number' => self::inUnit($held === null ? $now->value : $held->value, $words->unit($test->probe->quantity)),
            'state' => match (true) {
                $held !== null && !$held->wandered => 'held',
                $now->wanders => 'wanders',
                default => 'settling',
            },
        ]);
    }

    public function destroy(Request $request, Job $job, string $meter, LiveMeter $live): Response
    {
        $test = $job->circuit()->tests[Asked::text($request, 'test', 80)] ?? abort(404);
        $live->letGo($this->user($request), $job, $test, $meter);

        return response()->noContent();
    }

    private static function inUnit(?float $value, Unit $unit): ?float
    {
        return $value === null ? null : $unit->fromBase($value);
    }

    private function meter(Request $request, string $meter): MeterAddress
    {
        return $this->user($request)->workshop->meters()->findOrFail($meter);
    }
}
