<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Captures\CaptureFiles;
use App\Models\Workshop;
use App\Operation\WorkshopTables;
use Illuminate\Console\Command;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;

final class WorkshopDeleteCommand extends Command
{
    private const AT_ONCE = 2000;

    protected $signature = 'ispira:workshop-delete {workshop : its number} {name : its name, letter by letter}';

    protected $description = 'Delete a workshop with its people, units, jobs, photos and captures; nothing of it stays';

    public function handle(WorkshopTables $tables): int
    {
        $workshop = Workshop::query()->find($this->argument('workshop'));
        if (!($workshop instanceof Workshop) || $workshop->name !== $this->argument('name')) {
            $this->error('There is no workshop with that number and that name. Nothing was deleted.');

            return self::FAILURE;
        }
        $jobs = $workshop->jobs()->pluck('id')->all();
        $captures = DB::table('captures')
            ->whereIn('job_id', $workshop->jobs()->select('id'))
            ->pluck('id')
            ->all();
        DB::transaction(static function () use ($tables, $workshop): void {
            foreach (WorkshopTables::LEFT_OUT as $table) {
                DB::table($table)->where('workshop_id', $workshop->id)->delete();
            }
            DB::table('sessions')
                ->whereIn('user_id', $workshop->users()->select('id'))
                ->delete();
            foreach (array_reverse($tables->names()) as $table) {
                // By their keys: a row may belong to the workshop by way of the table that it stands in.
                $keys = $tables->primary($table);
                do {
                    $some = $tables
                        ->rows($table, $workshop->id)
                        ->limit(self::AT_ONCE)
                        ->pluck("$table.$keys[0]");
                    DB::table($table)
                        ->whereIn($keys[0], $some->unique()->all())
                        ->delete();
                } while ($some->isNotEmpty());
            }
        });
        foreach ($jobs as $id) {
            Storage::deleteDirectory("photos/$id");
        }
        foreach ($captures as $id) {
            CaptureFiles::remove((string) $id);
        }
        $this->info("$workshop->name is gone, with " . count($jobs) . ' jobs. Backups hold it until they run out.');

        return self::SUCCESS;
    }
}
