<?php

use App\Http\Controllers\BenchController;
use App\Http\Controllers\BenchRunController;
use App\Http\Controllers\CaptureController;
use App\Http\Controllers\CircuitController;
use App\Http\Controllers\InstrumentController;
use App\Http\Controllers\JobController;
use App\Http\Controllers\JobFileController;
use App\Http\Controllers\LiveController;
use App\Http\Controllers\LogController;
use App\Http\Controllers\PlannerController;
use App\Http\Controllers\ProofController;
use App\Http\Controllers\ReadingController;
use App\Http\Controllers\SessionController;
use App\Http\Controllers\SpeedMapController;
use App\Http\Controllers\VerdictController;
use Illuminate\Support\Facades\Route;

Route::middleware('guest')->group(function (): void {
    Route::get('/sign-in', [SessionController::class, 'create'])->name('login');
    Route::post('/sign-in', [SessionController::class, 'store'])->middleware('throttle:30,1');
});

Route::middleware('auth')->group(function (): void {
    Route::post('/sign-out', [SessionController::class, 'destroy']);
    Route::get('/ping', fn () => response()->noContent());

    Route::get('/', [JobController::class, 'index']);
    Route::get('/jobs/new', [JobController::class, 'create']);
    Route::post('/jobs', [JobController::class, 'store']);
    Route::post('/jobs/import', [JobFileController::class, 'store']);
    Route::get('/jobs/{job}', [JobController::class, 'show']);
    Route::get('/jobs/{job}/complaint', [JobController::class, 'complaint']);
    Route::get('/jobs/{job}/file', [JobFileController::class, 'show']);
    Route::post('/jobs/{job}/maps', [SpeedMapController::class, 'store']);
    Route::get('/jobs/{job}/circuit', [CircuitController::class, 'edit']);
    Route::put('/jobs/{job}/circuit', [CircuitController::class, 'update']);
    Route::get('/jobs/{job}/bench', [BenchController::class, 'show']);
    Route::post('/jobs/{job}/tools', [BenchController::class, 'tool']);
    Route::post('/jobs/{job}/readings', [ReadingController::class, 'store']);
    Route::post('/jobs/{job}/readings/{reading}/strike', [ReadingController::class, 'strike']);
    Route::post('/jobs/{job}/readings/{reading}/keep', [ReadingController::class, 'keep']);
    Route::get('/jobs/{job}/verdict', [VerdictController::class, 'show']);
    Route::post('/jobs/{job}/replacements', [VerdictController::class, 'store']);
    Route::get('/jobs/{job}/log', [LogController::class, 'show']);
    Route::get('/jobs/{job}/log.csv', [LogController::class, 'export']);
    Route::post('/jobs/{job}/log', [LogController::class, 'import']);
    Route::post('/jobs/{job}/photos', [LogController::class, 'photo']);
    Route::get('/jobs/{job}/photos/{photo}', [LogController::class, 'picture']);
    Route::delete('/jobs/{job}/photos/{photo}', [LogController::class, 'removePhoto']);
    Route::get('/jobs/{job}/captures', [CaptureController::class, 'index']);
    Route::post('/jobs/{job}/captures', [CaptureController::class, 'store']);
    Route::get('/jobs/{job}/captures/{capture}/trace', [CaptureController::class, 'trace']);
    Route::get('/jobs/{job}/captures/{capture}/file.{format}', [CaptureController::class, 'export'])->whereIn('format', ['csv', 'vcd']);
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
    Route::get('/bench-runs', [BenchRunController::class, 'index']);
    Route::post('/bench-runs', [BenchRunController::class, 'store']);
    Route::get('/jobs/{job}/proof', [ProofController::class, 'show']);
    Route::post('/jobs/{job}/proof', [ProofController::class, 'store']);
});
