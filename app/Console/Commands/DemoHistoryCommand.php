<?php

declare(strict_types=1);

namespace App\Console\Commands;

use Database\Seeders\DemoHistory;
use Illuminate\Console\Command;
use Illuminate\Support\Facades\File;

final class DemoHistoryCommand extends Command
{
    protected $signature = 'ispira:demo-history';

    protected $description = 'Works the closed jobs of the demo anew on simulated units, and keeps them in their file';

    public function handle(DemoHistory $history): int
    {
        $made = $history->make();
        $lines = array_map(
            static fn(array $one): string => json_encode(
                $one,
                \JSON_UNESCAPED_UNICODE | \JSON_UNESCAPED_SLASHES | \JSON_THROW_ON_ERROR,
            ),
            $made,
        );
        File::put(base_path(DemoHistory::FILE), "[\n" . implode(",\n", $lines) . "\n]\n");
        $this->info(count($made) . ' jobs written to ' . DemoHistory::FILE);

        return self::SUCCESS;
    }
}
