<?php

declare(strict_types=1);

namespace Ispira\Core\Capture\Format;

use Ispira\Core\Capture\CaptureError;
use Ispira\Core\Capture\Head;
use Ispira\Core\Capture\ImportSettings;
use Ispira\Core\Capture\SampleStore;

/**
 * Takes a file of any known format as a capture.
 */
final class Importer
{
    private function __construct() {}

    /**
     * @param string $path of the file
     *
     * @throws CaptureError
     */
    public static function import(string $path, SampleStore $store, ImportSettings $settings): Head
    {
        $file = @fopen($path, 'r');
        if ($file === false) {
            throw new CaptureError('The file cannot be read.');
        }
        $start = (string) fread($file, 4096);
        rewind($file);
        try {
            $head = match (true) {
                $start === '' => throw new CaptureError('The file is empty.'),
                str_starts_with($start, 'RIFF') => (new WavFile($file))->into($store, $settings),
                preg_match('/^\s*\$[a-z]+\s/', $start) === 1 => (new VcdFile($file))->into($store, $settings),
                str_contains($start, "\0") => throw new CaptureError(
                    'This is neither CSV, VCD nor WAV. Export the capture from the scope as CSV and import that.',
                ),
                default => (new CsvFile($file))->into($store, $settings),
            };
            $store->finish($head);
        } finally {
            fclose($file);
        }

        return $head;
    }
}
