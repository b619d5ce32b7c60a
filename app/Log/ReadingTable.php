<?php

declare(strict_types=1);

namespace App\Log;

use App\Http\CsvCell;
use App\Models\Job;
use App\Models\Reading;
use Illuminate\Support\Carbon;
use Ispira\Core\Device\CircuitModel;
use Ispira\Core\Diagnosis\Inference\Judged;
use Ispira\Core\Diagnosis\Presentation\Words;
use Ispira\Core\Kernel\Moment;
use Ispira\Core\Kernel\UnreadableNumber;
use Ispira\Core\Reading\Reading as CoreReading;
use Ispira\Core\Reading\RefusedReading;

/**
 * The readings of a job as a table of comma-separated values (RFC 4180), out and in.
 *
 * In: a row of names, of which "test" and "value" must be there, and "time", "unit", "steady" and "supply" may. Values
 * are
 * understood as they are in the dock. The same row taken in again is the same reading.
 */
final class ReadingTable
{
    public const COLUMNS = [
        'time',
        'test',
        'title',
        'set-up',
        'value',
        'unit',
        'steady',
        'supply',
        'instrument',
        'doubts',
        'struck',
        'by',
    ];
    private const MOST_ROWS = 2000;

    /** @return \Generator<int, list<string>> */
    public static function rows(Job $job, CircuitModel $circuit): \Generator
    {
        $words = new Words($circuit);
        yield self::COLUMNS;
        foreach ($job->readings as $reading) {
            $test = $circuit->tests[$reading->test];
            yield [
                $reading->taken_at->utc()->format('Y-m-d\TH:i:s.v\Z'),
                $reading->test,
                $words->test($test),
                $words->setUp($test),
                $reading->over_range ? 'OL' : (string) ($reading->choice ?? json_encode($reading->number)),
                $reading->over_range ? '' : $test->probe->quantity->unit(),
                $reading->steady ? 'yes' : 'no',
                $reading->supply_volts === null ? '' : (string) json_encode($reading->supply_volts),
                (string) $reading->instrument,
                implode(' ', array_column($reading->doubts ?? [], 'sentence')),
                $reading->strike === null ? 'no' : 'yes',
                $reading->author ?? ($job->workshop->names()[$reading->user_id] ?? ''),
            ];
        }
    }

    /**
     * @return list<array{reading: CoreReading, takenAt: Carbon}>
     *
     * @throws UnreadableNumber with the number of the line
     */
    public static function read(string $path, Job $job, CircuitModel $circuit): array
    {
        $file = fopen($path, 'r');
        if ($file === false) {
            throw new UnreadableNumber('The file cannot be read.');
        }
        $first = (string) fgets($file);
        $delimiter = substr_count($first, ';') > substr_count($first, ',') ? ';' : ',';
        $names = array_map(
            static fn(?string $name): string => strtolower(trim((string) $name, " \t\u{FEFF}")),
            str_getcsv(trim($first), $delimiter, '"', ''),
        );
        foreach (['test', 'value'] as $needed) {
            in_array($needed, $names, true) ||
                throw new UnreadableNumber("The first line must name the columns, and \"$needed\" among them.");
        }
        $readings = [];
        for ($line = 2; ($cells = fgetcsv($file, 4096, $delimiter, '"', '')) !== false; ++$line) {
            if ($cells === [null]) {
                continue;
            }
            if (count($readings) >= self::MOST_ROWS) {
                throw new UnreadableNumber('The table has more than ' . self::MOST_ROWS . ' rows.');
            }
            $row = array_combine($names, array_slice(array_pad($cells, count($names), ''), 0, count($names)));
            try {
                $readings[] = self::reading(
                    $job,
                    $circuit,
                    array_map(static fn(?string $cell): string => CsvCell::read(mb_scrub(trim((string) $cell))), $row),
                );
            } catch (UnreadableNumber | RefusedReading $error) {
                throw new UnreadableNumber("Line $line: {$error->getMessage()}");
            }
        }
        fclose($file);

        return $readings === [] ? throw new UnreadableNumber('The table has no row.') : $readings;
    }

    /**
     * @param array<string, string> $row
     *
     * @return array{reading: CoreReading, takenAt: Carbon}
     *
     * @throws UnreadableNumber|RefusedReading
     */
    private static function reading(Job $job, CircuitModel $circuit, array $row): array
    {
        $intake = Judged::intake($circuit);
        $test = $intake->test($row['test']);
        $takenAt = self::moment($row['time'] ?? '');
        $id = substr(
            strtoupper(
                hash('sha256', implode('|', [$job->id, $takenAt?->format('U.u') ?? '', $row['test'], $row['value']])),
            ),
            0,
            25,
        );
        $value = $intake->value($test, trim($row['value'] . ' ' . ($row['unit'] ?? '')));
        $supply = $intake->supply($row['supply'] ?? '');

        return [
            'reading' => new CoreReading(
                "0$id",
                $test->key,
                $value,
                !in_array(strtolower($row['steady'] ?? ''), ['no', 'false', '0'], true),
                supplyVolts: $supply,
                instrument: 'table',
            ),
            'takenAt' => $takenAt ?? now(),
        ];
    }

    /** @throws UnreadableNumber */
    private static function moment(string $text): ?Carbon
    {
        if ($text === '') {
            return null;
        }
        $moment = Carbon::instance(Moment::read($text))->utc();

        return $moment->isAfter(now()->addDay())
            ? throw new UnreadableNumber("\"$text\" lies outside of what can be.")
            : $moment;
    }
}
