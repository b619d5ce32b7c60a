<?php

use App\Away\AwayController;
use App\Bench\BenchController;
use App\Bench\ReadingController;
use App\Bench\VerdictController;
use App\Captures\CaptureController;
use App\Instruments\BenchRunController;
use App\Instruments\InstrumentController;
use App\Instruments\LiveController;
use App\Jobs\CircuitController;
use App\Jobs\JobController;
use App\Jobs\JobFileController;
use App\Jobs\OtherCircuitController;
use App\Jobs\SpeedMapController;
use App\Log\LogController;
use App\Parts\PartsController;
use App\Planning\PlannerController;
use App\Procedures\ProcedureController;
use App\Repair\ClosingController;
use App\Repair\DueController;
use App\Repair\FitController;
use App\Repair\ProofController;
use App\Repair\RemedyController;
use App\Repair\RepairController;
use App\Repair\SheetController;
use App\Repair\SwapController;
use App\Workshop\SessionController;
use Illuminate\Support\Facades\Route;

// What a device shows where the server is out of reach: it has to be there before anybody asks.
Route::get('/shell', [AwayController::class, 'shell']);

Route::middleware('guest')->group(function (): void {
    Route::get('/sign-in', [SessionController::class, 'create'])->name('login');
    Route::post('/sign-in', [SessionController::class, 'store'])->middleware('throttle:30,1');
});

Route::middleware('auth')->group(function (): void {
    Route::post('/sign-out', [SessionController::class, 'destroy']);
    Route::get('/ping', fn() => response()->noContent());

    Route::get('/', [JobController::class, 'index']);
    Route::get('/jobs/new', [JobController::class, 'create']);
    Route::post('/jobs', [JobController::class, 'store']);
    Route::post('/jobs/import', [JobFileController::class, 'store']);
    Route::get('/jobs/{job}', [JobController::class, 'show']);
    Route::get('/jobs/{job}/along', [AwayController::class, 'job']);
    Route::get('/jobs/{job}/complaint', [JobController::class, 'complaint']);
    Route::get('/jobs/{job}/file', [JobFileController::class, 'show']);
    Route::post('/jobs/{job}/maps', [SpeedMapController::class, 'store']);
    Route::get('/jobs/{job}/circuit', [CircuitController::class, 'edit']);
    Route::put('/jobs/{job}/circuit', [CircuitController::class, 'update']);
    Route::get('/jobs/{job}/circuit/other', [OtherCircuitController::class, 'edit']);
    Route::post('/jobs/{job}/circuit/other', [OtherCircuitController::class, 'update']);
    Route::get('/jobs/{job}/bench', [BenchController::class, 'show']);
    Route::post('/jobs/{job}/tools', [BenchController::class, 'tool']);
    Route::post('/jobs/{job}/readings', [ReadingController::class, 'store']);
    Route::post('/jobs/{job}/hook-up', [ReadingController::class, 'hookedUp']);
    Route::post('/jobs/{job}/readings/{reading}/strike', [ReadingController::class, 'strike']);
    Route::post('/jobs/{job}/readings/{reading}/keep', [ReadingController::class, 'keep']);
    Route::post('/jobs/{job}/readings/{reading}/undo', [ReadingController::class, 'undo']);
    Route::get('/jobs/{job}/pulse', [BenchController::class, 'pulse']);
    Route::get('/jobs/{job}/verdict', [VerdictController::class, 'show']);
    Route::get('/jobs/{job}/log', [LogController::class, 'show']);
    Route::get('/jobs/{job}/log.csv', [LogController::class, 'export']);
    Route::post('/jobs/{job}/log', [LogController::class, 'import']);
    Route::post('/jobs/{job}/photos', [LogController::class, 'photo']);
    Route::get('/jobs/{job}/photos/{photo}', [LogController::class, 'picture']);
    Route::delete('/jobs/{job}/photos/{photo}', [LogController::class, 'removePhoto']);
    Route::get('/jobs/{job}/captures', [CaptureController::class, 'index']);
    Route::post('/jobs/{job}/captures', [CaptureController::class, 'store']);
    Route::get('/jobs/{job}/captures/{capture}/trace', [CaptureController::class, 'trace']);
    Route::get('/jobs/{job}/captures/{capture}/file.{format}', [CaptureController::class, 'export'])->whereIn(
        'format',
        ['csv', 'vcd'],
    );
    Route::post('/jobs/{job}/captures/{capture}/reading', [CaptureController::class, 'reading']);
    Route::delete('/jobs/{job}/captures/{capture}', [CaptureController::class, 'destroy']);
    Route::get('/jobs/{job}/live/{meter}', [LiveController::class, 'show']);
    Route::delete('/jobs/{job}/live/{meter}', [LiveController::class, 'destroy']);
    Route::get('/instruments', [InstrumentController::class, 'index']);
    Route::post('/instruments', [InstrumentController::class, 'store']);
    Route::post('/instruments/{meter}/try', [InstrumentController::class, 'try']);
    Route::delete('/instruments/{meter}', [InstrumentController::class, 'destroy']);
    Route::post('/leads', [InstrumentController::class, 'leads']);
    Route::post('/units', [InstrumentController::class, 'units']);
    Route::get('/planners', [PlannerController::class, 'index']);
    Route::get('/planners/{key}', [PlannerController::class, 'show']);
    Route::post('/jobs/{job}/worked/{key}', [PlannerController::class, 'record']);
    Route::post('/jobs/{job}/plans/{key}', [PlannerController::class, 'keep']);
    Route::get('/procedures', [ProcedureController::class, 'index']);
    Route::post('/procedures', [ProcedureController::class, 'write']);
    Route::get('/procedures/{key}', [ProcedureController::class, 'show']);
    Route::delete('/procedures/{key}', [ProcedureController::class, 'remove']);
    Route::post('/procedures/{key}/runs', [ProcedureController::class, 'start']);
    Route::get('/runs/{run}', [ProcedureController::class, 'run']);
    Route::post('/runs/{run}/done', [ProcedureController::class, 'done']);
    Route::post('/runs/{run}/marks', [ProcedureController::class, 'mark']);
    Route::get('/bench-runs', [BenchRunController::class, 'index']);
    Route::post('/bench-runs', [BenchRunController::class, 'store']);
    Route::get('/jobs/{job}/proof', [ProofController::class, 'show']);
    Route::post('/jobs/{job}/proof', [ProofController::class, 'store']);
    Route::post('/jobs/{job}/checks', [ProofController::class, 'check']);
    Route::post('/jobs/{job}/to-proof', [ClosingController::class, 'begin']);
    Route::post('/jobs/{job}/close', [ClosingController::class, 'store']);
    Route::get('/jobs/{job}/remedy', [RemedyController::class, 'show']);
    Route::post('/jobs/{job}/remedy', [RemedyController::class, 'store']);
    Route::get('/jobs/{job}/fit', [FitController::class, 'show']);
    Route::post('/jobs/{job}/fit', [FitController::class, 'store']);
    Route::get('/jobs/{job}/strip', [RepairController::class, 'strip']);
    Route::get('/jobs/{job}/wires', [RepairController::class, 'wires']);
    Route::post('/jobs/{job}/entries', [RepairController::class, 'store']);
    Route::post('/jobs/{job}/kit', [RepairController::class, 'kitOfRoute']);
    Route::get('/jobs/{job}/swap', [SwapController::class, 'show']);
    Route::post('/jobs/{job}/measured', [SwapController::class, 'measured']);
    Route::post('/jobs/{job}/replacements', [SwapController::class, 'store']);
    Route::get('/jobs/{job}/sheet/{for}.pdf', [SheetController::class, 'show'])->whereIn('for', ['customer', 'file']);
    Route::get('/parts', [PartsController::class, 'index']);
    Route::post('/parts', [PartsController::class, 'store']);
    Route::post('/parts/import', [PartsController::class, 'import']);
    Route::post('/parts/remove', [PartsController::class, 'destroy']);
    Route::get('/parts.json', [PartsController::class, 'json']);
    Route::get('/parts.csv', [PartsController::class, 'csv']);
    Route::get('/due', [DueController::class, 'index']);
    Route::get('/due.ics', [DueController::class, 'calendar']);
});
