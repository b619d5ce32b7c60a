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
use App\Jobs\JobCareController;
use App\Jobs\JobController;
use App\Jobs\JobFileController;
use App\Jobs\OtherCircuitController;
use App\Jobs\SpeedMapController;
use App\Learning\ExperienceController;
use App\Learning\LessonsController;
use App\Learning\ResultsController;
use App\Learning\TermsController;
use App\Log\LogController;
use App\Operation\InstallationController;
use App\Parts\PartsController;
use App\People\AccountController;
use App\People\AuditController;
use App\People\InvitedController;
use App\People\PeopleController;
use App\Planning\PlannerController;
use App\Practice\ExerciseController;
use App\Practice\PracticeController;
use App\Practice\TeachController;
use App\Procedures\ProcedureController;
use App\Procedures\WriteController;
use App\Repair\ClosingController;
use App\Repair\DueController;
use App\Repair\FitController;
use App\Repair\ProofController;
use App\Repair\RemedyController;
use App\Repair\RepairController;
use App\Repair\SheetController;
use App\Repair\SwapController;
use App\Units\ModelController;
use App\Units\UnitController;
use App\Workshop\SessionController;
use App\Workshop\SettingsController;
use Illuminate\Support\Facades\Route;

// What a device shows where the server is out of reach: it has to be there before anybody asks.
Route::get('/shell', [AwayController::class, 'shell']);

Route::middleware('guest')->group(function (): void {
    Route::get('/sign-in', [SessionController::class, 'create'])->name('login');
    Route::post('/sign-in', [SessionController::class, 'store'])->middleware('throttle:30,1');
});

// A link that a lead made: who is signed in may come with it as well.
Route::middleware('throttle:30,1')->group(function (): void {
    Route::get('/invited/{token}', [InvitedController::class, 'show'])->where('token', '[A-Za-z0-9]{40}');
    Route::post('/invited/{token}', [InvitedController::class, 'store'])->where('token', '[A-Za-z0-9]{40}');
});

// Every route names what it takes: see Ability. Words in an address stand before what can be any word there.
Route::middleware('auth')->group(function (): void {
    Route::middleware('can:teach')->group(function (): void {
        Route::get('/practice/teach', [TeachController::class, 'show']);
        Route::post('/practice/teach', [TeachController::class, 'store']);
        Route::delete('/practice/teach/{set}', [TeachController::class, 'destroy']);
    });
    Route::middleware('can:procedures')->group(function (): void {
        Route::post('/procedures', [WriteController::class, 'store']);
        Route::post('/procedures/import', [WriteController::class, 'import']);
        Route::get('/procedures/new', [WriteController::class, 'create']);
        Route::get('/procedures/{key}/edit', [WriteController::class, 'edit']);
        Route::delete('/procedures/{key}', [WriteController::class, 'remove']);
    });
    Route::middleware('can:note')->group(function (): void {
        Route::get('/jobs/new', [JobController::class, 'create']);
        Route::post('/jobs', [JobController::class, 'store']);
        Route::get('/practice', [PracticeController::class, 'show']);
        Route::post('/practice', [PracticeController::class, 'store']);
        Route::post('/jobs/{job}/practice-acts', [ExerciseController::class, 'store']);
        Route::post('/jobs/{job}/maps', [SpeedMapController::class, 'store']);
        Route::put('/jobs/{job}/circuit', [CircuitController::class, 'update']);
        Route::post('/jobs/{job}/circuit/other', [OtherCircuitController::class, 'update']);
        Route::post('/jobs/{job}/handover', [JobCareController::class, 'handOver']);
        Route::post('/jobs/{job}/tools', [BenchController::class, 'tool']);
        Route::post('/jobs/{job}/readings', [ReadingController::class, 'store']);
        Route::post('/jobs/{job}/hook-up', [ReadingController::class, 'hookedUp']);
        Route::post('/jobs/{job}/readings/{reading}/strike', [ReadingController::class, 'strike']);
        Route::post('/jobs/{job}/readings/{reading}/keep', [ReadingController::class, 'keep']);
        Route::post('/jobs/{job}/readings/{reading}/undo', [ReadingController::class, 'undo']);
        Route::post('/jobs/{job}/log', [LogController::class, 'import']);
        Route::post('/jobs/{job}/photos', [LogController::class, 'photo']);
        Route::post('/jobs/{job}/captures', [CaptureController::class, 'store']);
        Route::post('/jobs/{job}/captures/{capture}/reading', [CaptureController::class, 'reading']);
        Route::delete('/jobs/{job}/live/{meter}', [LiveController::class, 'destroy']);
        Route::post('/leads', [InstrumentController::class, 'leads']);
        Route::post('/jobs/{job}/worked/{key}', [PlannerController::class, 'record']);
        Route::post('/jobs/{job}/plans/{key}', [PlannerController::class, 'keep']);
        Route::post('/procedures/{key}/runs', [ProcedureController::class, 'start']);
        Route::post('/runs/{run}/done', [ProcedureController::class, 'done']);
        Route::post('/runs/{run}/marks', [ProcedureController::class, 'mark']);
        Route::post('/bench-runs', [BenchRunController::class, 'store']);
        Route::post('/jobs/{job}/proof', [ProofController::class, 'store']);
        Route::post('/jobs/{job}/checks', [ProofController::class, 'check']);
        Route::post('/jobs/{job}/to-proof', [ClosingController::class, 'begin']);
        Route::post('/jobs/{job}/close', [ClosingController::class, 'store']);
        Route::post('/jobs/{job}/remedy', [RemedyController::class, 'store']);
        Route::post('/jobs/{job}/fit', [FitController::class, 'store']);
        Route::post('/jobs/{job}/entries', [RepairController::class, 'store']);
        Route::post('/jobs/{job}/kit', [RepairController::class, 'kitOfRoute']);
        Route::post('/jobs/{job}/measured', [SwapController::class, 'measured']);
        Route::post('/jobs/{job}/replacements', [SwapController::class, 'store']);
    });
    Route::middleware('can:look')->group(function (): void {
        Route::post('/sign-out', [SessionController::class, 'destroy']);
        Route::get('/ping', fn() => response()->noContent());
        Route::get('/', [JobController::class, 'index']);
        Route::get('/units/{unit}', [UnitController::class, 'show']);
        Route::get('/models', [ModelController::class, 'show']);
        Route::get('/jobs/{job}', [JobController::class, 'show']);
        Route::get('/jobs/{job}/along', [AwayController::class, 'job']);
        Route::get('/jobs/{job}/complaint', [JobController::class, 'complaint']);
        Route::get('/jobs/{job}/file', [JobFileController::class, 'show']);
        Route::get('/jobs/{job}/circuit', [CircuitController::class, 'edit']);
        Route::get('/jobs/{job}/circuit/other', [OtherCircuitController::class, 'edit']);
        Route::get('/jobs/{job}/score', [ExerciseController::class, 'score']);
        Route::get('/jobs/{job}/bench', [BenchController::class, 'show']);
        Route::get('/jobs/{job}/pulse', [BenchController::class, 'pulse']);
        Route::get('/jobs/{job}/verdict', [VerdictController::class, 'show']);
        Route::get('/jobs/{job}/log', [LogController::class, 'show']);
        Route::get('/jobs/{job}/log.csv', [LogController::class, 'export']);
        Route::get('/jobs/{job}/photos/{photo}', [LogController::class, 'picture']);
        Route::get('/jobs/{job}/captures', [CaptureController::class, 'index']);
        Route::get('/jobs/{job}/captures/{capture}/trace', [CaptureController::class, 'trace']);
        Route::get('/jobs/{job}/captures/{capture}/file.{format}', [CaptureController::class, 'export'])->whereIn(
            'format',
            ['csv', 'vcd'],
        );
        Route::get('/jobs/{job}/live/{meter}', [LiveController::class, 'show']);
        Route::get('/instruments', [InstrumentController::class, 'index']);
        Route::get('/planners', [PlannerController::class, 'index']);
        Route::get('/planners/{key}', [PlannerController::class, 'show']);
        Route::get('/procedures', [ProcedureController::class, 'index']);
        Route::get('/procedures/{key}.json', [WriteController::class, 'export']);
        Route::get('/procedures/{key}', [ProcedureController::class, 'show']);
        Route::get('/runs/{run}', [ProcedureController::class, 'run']);
        Route::get('/bench-runs', [BenchRunController::class, 'index']);
        Route::get('/jobs/{job}/proof', [ProofController::class, 'show']);
        Route::get('/jobs/{job}/remedy', [RemedyController::class, 'show']);
        Route::get('/jobs/{job}/fit', [FitController::class, 'show']);
        Route::get('/jobs/{job}/order', [RepairController::class, 'order']);
        Route::get('/jobs/{job}/strip', [RepairController::class, 'strip']);
        Route::get('/jobs/{job}/wires', [RepairController::class, 'wires']);
        Route::get('/jobs/{job}/swap', [SwapController::class, 'show']);
        Route::get('/jobs/{job}/sheet/{for}.pdf', [SheetController::class, 'show'])->whereIn('for', [
            'customer',
            'file',
        ]);
        Route::get('/parts', [PartsController::class, 'index']);
        Route::get('/parts.json', [PartsController::class, 'json']);
        Route::get('/parts.csv', [PartsController::class, 'csv']);
        Route::get('/due', [DueController::class, 'index']);
        Route::get('/due.ics', [DueController::class, 'calendar']);
        Route::get('/terms', [TermsController::class, 'index']);
        Route::get('/lessons', [LessonsController::class, 'index']);
        Route::get('/jobs/{job}/replay', [LessonsController::class, 'show']);
        Route::get('/experience', [ExperienceController::class, 'show']);
        Route::get('/experience.json', [ExperienceController::class, 'export']);
        Route::get('/account', [AccountController::class, 'show']);
        Route::put('/account', [AccountController::class, 'update']);
        Route::put('/account/password', [AccountController::class, 'password']);
        Route::post('/units', [AccountController::class, 'units']);
    });
    Route::middleware('can:remove')->group(function (): void {
        Route::delete('/jobs/{job}/photos/{photo}', [LogController::class, 'removePhoto']);
        Route::delete('/jobs/{job}/captures/{capture}', [CaptureController::class, 'destroy']);
    });
    Route::middleware('can:correct')->group(function (): void {
        Route::post('/jobs/import', [JobFileController::class, 'store']);
        Route::put('/units/{unit}', [UnitController::class, 'update']);
        Route::post('/units/{unit}/merge', [UnitController::class, 'merge']);
        Route::post('/jobs/{job}/correct', [JobCareController::class, 'correct']);
        Route::post('/jobs/{job}/reopen', [JobCareController::class, 'reopen']);
        Route::post('/jobs/{job}/lesson', [LessonsController::class, 'store']);
    });
    Route::middleware('can:catalogue')->group(function (): void {
        Route::post('/parts', [PartsController::class, 'store']);
        Route::post('/parts/import', [PartsController::class, 'import']);
        Route::post('/parts/remove', [PartsController::class, 'destroy']);
    });
    Route::middleware('can:instruments')->group(function (): void {
        Route::post('/instruments', [InstrumentController::class, 'store']);
        Route::post('/instruments/{meter}/try', [InstrumentController::class, 'try']);
        Route::delete('/instruments/{meter}', [InstrumentController::class, 'destroy']);
    });
    Route::middleware('can:people')->group(function (): void {
        Route::get('/people', [PeopleController::class, 'index']);
        Route::post('/people/invite', [PeopleController::class, 'invite']);
        Route::post('/invitations/{invitation}/withdraw', [PeopleController::class, 'withdraw']);
        Route::post('/people/{person}/role', [PeopleController::class, 'role'])->where('person', '[0-9]{1,18}');
        Route::post('/people/{person}/disable', [PeopleController::class, 'disable'])->where('person', '[0-9]{1,18}');
        Route::post('/people/{person}/enable', [PeopleController::class, 'enable'])->where('person', '[0-9]{1,18}');
        Route::post('/people/{person}/end-sessions', [PeopleController::class, 'endSessions'])->where(
            'person',
            '[0-9]{1,18}',
        );
        Route::post('/people/{person}/reset', [PeopleController::class, 'reset'])->where('person', '[0-9]{1,18}');
        Route::get('/audit', [AuditController::class, 'index']);
    });
    Route::middleware('can:delete')->group(function (): void {
        Route::delete('/jobs/{job}', [JobCareController::class, 'delete']);
        Route::post('/people/{person}/erase', [PeopleController::class, 'erase'])->where('person', '[0-9]{1,18}');
    });
    Route::middleware('can:results')->group(function (): void {
        Route::get('/results', [ResultsController::class, 'index']);
        Route::get('/results.csv', [ResultsController::class, 'csv']);
        Route::get('/results/jobs', [ResultsController::class, 'jobs']);
    });
    Route::middleware('can:settings')->group(function (): void {
        Route::put('/terms', [TermsController::class, 'pin']);
        Route::post('/experience', [ExperienceController::class, 'import']);
        Route::delete('/experience/{experience}', [ExperienceController::class, 'remove']);
        Route::get('/installation', [InstallationController::class, 'show']);
        Route::get('/settings', [SettingsController::class, 'edit']);
        Route::put('/settings', [SettingsController::class, 'update']);
    });
});
