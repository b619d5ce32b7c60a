<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Operation\ArchiveRefused;
use App\Operation\ReadArchive;
use App\Operation\WorkshopTables;
use Illuminate\Console\Command;
use Illuminate\Database\UniqueConstraintViolationException;

final class ArchiveImportCommand extends Command
{
    protected $signature = 'ispira:archive-import {file : the zip that ispira:archive wrote}';

    protected $description = 'Take a workshop in from the archive of another installation';

    public function handle(WorkshopTables $tables): int
    {
        $zip = new \ZipArchive();
        $path = $this->argument('file');
        if (!is_string($path) || $zip->open($path, \ZipArchive::RDONLY) !== true) {
            $this->error('That file is not there, or it is no zip.');

            return self::FAILURE;
        }
        try {
            $taken = (new ReadArchive($tables, $zip))->read();
        } catch (ArchiveRefused $refused) {
            $this->error($refused->getMessage() . ' Nothing was taken.');

            return self::FAILURE;
        } catch (UniqueConstraintViolationException) {
            $this->error('Jobs of this archive are here already. Nothing was taken.');

            return self::FAILURE;
        }
        foreach (array_filter($taken->counts) as $what => $count) {
            $this->line(sprintf('%8d  %s', $count, str_replace('_', ' ', $what)));
        }
        foreach ($taken->renamed as [$old, $new]) {
            $this->warn("Somebody here signs in with $old already: that person comes as $new.");
        }
        $this->info(
            "The workshop is here, with the number $taken->workshop. Nobody of it has a password yet: make links",
        );
        $this->info('with bin/artisan ispira:reset-link E-MAIL, one for its lead first.');

        return self::SUCCESS;
    }
}
