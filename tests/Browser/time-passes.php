<?php

declare(strict_types=1);

use Illuminate\Contracts\Console\Kernel;
use Illuminate\Foundation\Application;
use Illuminate\Support\Facades\DB;

// Moves a run of a procedure back, as if so many seconds had gone by: time-passes.php RUN SECONDS
require __DIR__ . '/../../vendor/autoload.php';
$app = require __DIR__ . '/../../bootstrap/app.php';
assert($app instanceof Application);
$app->make(Kernel::class)->bootstrap();
if (!str_ends_with(config()->string('database.connections.mariadb.database'), '_test')) {
    throw new RuntimeException('Only on a database whose name ends in _test.');
}
[, $run, $seconds] = $argv + [1 => '', 2 => '0'];
$back = 'INTERVAL ' . (int) $seconds . ' SECOND';
DB::update("UPDATE procedure_runs SET started_at = started_at - $back WHERE id = ?", [$run]);
DB::update("UPDATE procedure_marks SET marked_at = marked_at - $back WHERE run_id = ?", [$run]);
