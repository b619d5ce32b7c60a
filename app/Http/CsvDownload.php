<?php

declare(strict_types=1);

namespace App\Http;

use Symfony\Component\HttpFoundation\StreamedResponse;

/**
 * A table that is sent row by row, safe to open in another program.
 */
final class CsvDownload
{
    private function __construct() {}

    /** @param iterable<array<array-key, string|int|float|null>> $rows the names of the columns first */
    public static function of(iterable $rows, string $name): StreamedResponse
    {
        return response()->streamDownload(
            static function () use ($rows): void {
                $out = fopen('php://output', 'w');
                abort_if($out === false, 500);
                foreach ($rows as $row) {
                    fputcsv($out, array_map(CsvCell::written(...), $row), ',', '"', '');
                }
            },
            $name,
            ['Content-Type' => 'text/csv'],
        );
    }
}
