<?php

declare(strict_types=1);

namespace App\Console\Commands;

use Illuminate\Console\Command;
use Illuminate\Support\Facades\File;
use Ispira\Core\Capture\Format\CsvExport;
use Ispira\Core\Capture\Format\Importer;
use Ispira\Core\Capture\ImportSettings;
use Ispira\Core\Capture\Pulses;
use Ispira\Core\Capture\SampleStore;
use Ispira\Core\Capture\SimulatedScope;

final class CaptureBenchCommand extends Command
{
    protected $signature = 'ispira:capture-bench {--samples=10000000}';

    protected $description = 'Time and memory of importing, measuring and drawing a long capture';

    public function handle(): int
    {
        $folder = sys_get_temp_dir() . '/ispira-capture-bench-' . bin2hex(random_bytes(6));
        File::ensureDirectoryExists($folder);
        $count = max(1000, (int) $this->option('samples'));
        try {
            $made = new SampleStore("$folder/made");
            (new SimulatedScope(1e6, 1000.37, 37.0, 0.2, 12.1, rise: 2.5e-6, noise: 0.02))->into($made, $count);
            $file = fopen("$folder/capture.csv", 'w');
            abort_if($file === false, 1);
            foreach ((new CsvExport($made))->parts() as $text) {
                fwrite($file, $text);
            }
            fclose($file);
            $this->line(
                sprintf('%s samples, %.0f MB as CSV', number_format($count), filesize("$folder/capture.csv") / 1e6),
            );
            memory_reset_peak_usage();
            $store = new SampleStore("$folder/store");
            $head = $this->timed(
                'import',
                static fn() => Importer::import("$folder/capture.csv", $store, new ImportSettings()),
            );
            $pulses = $this->timed('measure', static fn() => Pulses::of($store, 0));
            $this->timed('draw all of it', static fn() => $store->envelope(0, 0, $head->count, 1200));
            $this->timed(
                'draw a thousandth',
                static fn() => $store->envelope(
                    0,
                    intdiv($head->count, 2),
                    intdiv($head->count, 2) + intdiv($head->count, 1000),
                    1200,
                ),
            );
            $this->line(
                sprintf(
                    '  frequency %.4f Hz (made with 1000.37), duty %.4f %% (made with 37)',
                    $pulses->frequency ?? \NAN,
                    $pulses->duty ?? \NAN,
                ),
            );
            $this->line(sprintf('  greatest memory %.0f MB', memory_get_peak_usage(true) / 1e6));
        } finally {
            File::deleteDirectory($folder);
        }

        return self::SUCCESS;
    }

    /**
     * @template T
     *
     * @param \Closure(): T $work
     *
     * @return T
     */
    private function timed(string $name, \Closure $work): mixed
    {
        $start = hrtime(true);
        $result = $work();
        $this->line(sprintf('  %-18s %8.2f s', $name, (hrtime(true) - $start) / 1e9));

        return $result;
    }
}
