<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Models\Workshop;
use App\Operation\WorkshopTables;
use App\Operation\WriteArchive;
use Illuminate\Console\Command;
use Illuminate\Support\Facades\File;
use Ispira\Core\Job\JobFileFormat;

final class ArchiveCommand extends Command
{
    protected $signature = 'ispira:archive {workshop : its number} {file : the zip to write, which must not be there yet}';

    protected $description = 'Write everything of a workshop into one zip that another installation can take in';

    public function handle(WorkshopTables $tables, JobFileFormat $format): int
    {
        $workshop = Workshop::query()->find($this->argument('workshop'));
        if (!($workshop instanceof Workshop)) {
            $this->error('There is no workshop with that number. These are here:');
            foreach (Workshop::query()->orderBy('id')->get() as $one) {
                $this->line("  $one->id  $one->name");
            }

            return self::FAILURE;
        }
        $path = $this->argument('file');
        $work = sys_get_temp_dir() . '/ispira-archive-' . bin2hex(random_bytes(6));
        try {
            $counts = (new WriteArchive($tables, $format, is_string($path) ? $path : '', $work))->write($workshop);
        } catch (\RuntimeException $error) {
            $this->error($error->getMessage());

            return self::FAILURE;
        } finally {
            File::deleteDirectory($work);
        }
        foreach (array_filter($counts) as $what => $count) {
            $this->line(sprintf('%8d  %s', $count, str_replace('_', ' ', $what)));
        }

        return self::SUCCESS;
    }
}
