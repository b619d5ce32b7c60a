<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Operation\ArchiveSchema;
use App\Operation\WorkshopTables;
use Illuminate\Console\Command;

final class ArchiveSchemaCommand extends Command
{
    protected $signature = 'ispira:archive-schema';

    protected $description = 'Write the schema of the records in the archive of a workshop from the database';

    public function handle(WorkshopTables $tables): int
    {
        $path = 'docs/formats/workshop-records.schema.json';
        file_put_contents(base_path($path), ArchiveSchema::written($tables));
        $this->info("Written: $path");

        return self::SUCCESS;
    }
}
