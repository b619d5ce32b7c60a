<?php

declare(strict_types=1);

namespace Ispira\Core\Capture\Format;

use Ispira\Core\Capture\CaptureError;
use Ispira\Core\Capture\Head;
use Ispira\Core\Kernel\Text;
use Ispira\Core\Kernel\Unit;

/**
 * How a table of samples is written: what stands between its columns, which is the time, and in which units.
 *
 * Found from its first lines: settings as "name, value" pairs, a row of names, a row of units, then numbers.
 */
final readonly class CsvLayout
{
    private const SECONDS = [
        's' => 1.0,
        'sec' => 1.0,
        'second' => 1.0,
        'seconds' => 1.0,
        'Second' => 1.0,
        'Seconds' => 1.0,
        'ms' => 1e-3,
        'us' => 1e-6,
        'µs' => 1e-6,
        'μs' => 1e-6,
        'ns' => 1e-9,
    ];
    private const VOLTS = [
        'V' => 1.0,
        'v' => 1.0,
        'volt' => 1.0,
        'volts' => 1.0,
        'Volt' => 1.0,
        'Volts' => 1.0,
        'mV' => 1e-3,
        'µV' => 1e-6,
        'uV' => 1e-6,
        'kV' => 1e3,
    ];

    /**
     * @param non-empty-string         $delimiter
     * @param int                      $headRows  lines before the first number
     * @param int|null                 $time      column of the time
     * @param float                    $seconds   in one unit of the time
     * @param non-empty-list<int>      $columns   of the channels
     * @param non-empty-list<string>   $names
     * @param non-empty-list<float>    $scales    of the channels: V in one unit
     * @param list<string>             $units     V or empty
     * @param float|null               $interval  in s, where a setting in the head gives it
     */
    private function __construct(
        public string $delimiter,
        public bool $decimalComma,
        public int $headRows,
        public ?int $time,
        public float $seconds,
        public array $columns,
        public array $names,
        public array $scales,
        public array $units,
        public ?float $interval,
    ) {}

    /**
     * @param list<string> $lines the first lines of the file
     *
     * @throws CaptureError
     */
    public static function of(array $lines): self
    {
        [$delimiter, $comma, $headRows] = self::grammar($lines);
        $head = array_map(
            static fn(string $line): array => self::cells($line, $delimiter),
            \array_slice($lines, 0, $headRows),
        );
        $rows = array_map(
            static fn(string $line): array => self::numbers($line, $delimiter, $comma),
            \array_slice($lines, $headRows, 40),
        );
        $width = \count($rows[0]);
        $interval = self::setting($head, $comma);
        $titles = array_values(
            array_filter(
                $head,
                static fn(array $cells): bool => \count(
                    array_filter($cells, static fn(string $c): bool => $c !== ''),
                ) >= min(2, $width) &&
                    \count($cells) >= $width &&
                    self::number($cells[0], $comma) === null,
            ),
        );
        $unitRow = $titles !== [] && self::isUnits($titles[\count($titles) - 1]) ? array_pop($titles) : null;
        $nameRow = $titles === [] ? null : $titles[\count($titles) - 1];
        $labels = [];
        for ($column = 0; $column < $width; ++$column) {
            [$name, $unit] = self::label($nameRow[$column] ?? '');
            $labels[] = [$name, $unitRow === null ? $unit : trim($unitRow[$column] ?? '', ' ()[]')];
        }
        $time = self::timeColumn($labels, $rows);
        $columns = [];
        foreach (array_keys($labels) as $column) {
            if ($column !== $time && !self::counts($labels[$column][0], $rows, $column)) {
                $columns[] = $column;
            }
        }
        if ($columns === []) {
            throw new CaptureError('The table has a time but no channel beside it.');
        }
        $columns = \array_slice($columns, 0, Head::MOST_CHANNELS);
        $seconds = $time === null ? 1.0 : self::SECONDS[$labels[$time][1]] ?? 1.0;

        return new self(
            $delimiter,
            $comma,
            $headRows,
            $time,
            $seconds,
            $columns,
            array_map(
                static fn(int $column, int $n): string => $labels[$column][0] === ''
                    ? 'channel ' . ($n + 1)
                    : $labels[$column][0],
                $columns,
                array_keys($columns),
            ),
            array_map(static fn(int $column): float => self::VOLTS[$labels[$column][1]] ?? 1.0, $columns),
            array_map(
                static fn(int $column): string => isset(self::VOLTS[$labels[$column][1]]) || $labels[$column][1] === ''
                    ? 'V'
                    : '',
                $columns,
            ),
            $interval,
        );
    }

    /**
     * @param non-empty-string $delimiter
     *
     * @return list<string>
     */
    public static function cells(string $line, string $delimiter): array
    {
        return array_map(
            static fn(string $cell): string => trim($cell, " \t\r\n\"'\u{FEFF}"),
            explode($delimiter, $line),
        );
    }

    /**
     * @param list<string> $lines
     *
     * @return array{0: non-empty-string, 1: bool, 2: int} delimiter, decimal comma, and lines before the numbers
     */
    private static function grammar(array $lines): array
    {
        $best = null;
        foreach (
            [["\t", false], [';', false], [',', false], ["\t", true], [';', true], [' ', false], ['|', false]]
            as [$delimiter, $comma]
        ) {
            foreach ($lines as $number => $line) {
                $cells = self::numbers($line, $delimiter, $comma);
                // Numbers begin where two lines on end have them in every column.
                $next = isset($lines[$number + 1]) ? self::numbers($lines[$number + 1], $delimiter, $comma) : $cells;
                if (self::areNumbers($cells) && self::areNumbers($next) && \count($cells) === \count($next)) {
                    $rating = [\count($cells) > 1 ? 1 : 0, -$number];
                    if ($best === null || $rating > $best[0]) {
                        $best = [$rating, [$delimiter, $comma, $number]];
                    }
                    break;
                }
            }
        }

        return $best[1] ??
            throw new CaptureError(
                'No table of numbers was found in the file. Export the capture as CSV with one line a sample.',
            );
    }

    /** @param list<float|null> $cells */
    private static function areNumbers(array $cells): bool
    {
        return $cells !== [] && !\in_array(null, $cells, true);
    }

    /**
     * @param non-empty-string $delimiter
     *
     * @return list<float|null> null for what is no number
     */
    private static function numbers(string $line, string $delimiter, bool $comma): array
    {
        $cells = self::cells($line, $delimiter);
        while (\count($cells) > 1 && end($cells) === '') {
            array_pop($cells);
        }

        return array_map(static fn(string $cell): ?float => self::number($cell, $comma), $cells);
    }

    private static function number(string $cell, bool $comma): ?float
    {
        $text = $comma ? str_replace(',', '.', $cell) : $cell;

        return $text !== '' && is_numeric($text) ? (float) $text : null;
    }

    /** @param list<string> $cells */
    private static function isUnits(array $cells): bool
    {
        $known = 0;
        foreach ($cells as $cell) {
            $unit = trim($cell, ' ()[]');
            if ($unit !== '' && !isset(self::SECONDS[$unit]) && !isset(self::VOLTS[$unit])) {
                return false;
            }
            $known += $unit === '' ? 0 : 1;
        }

        return $known > 0;
    }

    /** @return array{0: string, 1: string} name and unit, as in "Time (ms)" or "CH1 [V]" */
    private static function label(string $title): array
    {
        if (preg_match('/^(.*?)\s*[(\[]\s*([^)\]]{1,12})\s*[)\]]$/u', $title, $found) === 1) {
            return [Text::cut($found[1], 40, ''), $found[2]];
        }
        if (preg_match('/^(.*?)[ _](s|ms|us|µs|ns|V|mV)$/u', $title, $found) === 1) {
            return [Text::cut($found[1], 40, ''), $found[2]];
        }

        return [Text::cut($title, 40, ''), ''];
    }

    /**
     * @param list<array{0: string, 1: string}> $labels
     * @param list<list<float|null>>            $rows
     */
    private static function timeColumn(array $labels, array $rows): ?int
    {
        foreach ($labels as $column => [$name, $unit]) {
            if (
                (preg_match('/^(time|zeit|temps|tiempo|t|x|x-axis|seconds?|source)$/i', $name) === 1 &&
                    !isset(self::VOLTS[$unit])) ||
                isset(self::SECONDS[$unit])
            ) {
                return $column;
            }
        }
        if (
            \count($labels) < 2 ||
            \count($rows) < 3 ||
            preg_match('/^(sample|index|no|nr|#|n)\.?$/i', $labels[0][0]) === 1
        ) {
            return null;
        }
        // A first column that only rises, and does not count 0, 1, 2: the time without a name.
        $before = null;
        foreach ($rows as $row) {
            $now = $row[0] ?? null;
            if ($now === null || ($before !== null && $now <= $before)) {
                return null;
            }
            $before = $now;
        }

        return self::counts('', $rows, 0) ? null : 0;
    }

    /**
     * Whether a column only numbers the samples.
     *
     * @param list<list<float|null>> $rows
     */
    private static function counts(string $name, array $rows, int $column): bool
    {
        if (preg_match('/^(sample|index|no|nr|#|n)\.?$/i', $name) === 1) {
            return true;
        }
        if (\count($rows) < 3 || $column > 0) {
            return false;
        }
        foreach ($rows as $number => $row) {
            if (($row[$column] ?? null) !== ($rows[0][$column] ?? 0.0) + $number) {
                return false;
            }
        }

        return \count($rows[0]) > 1;
    }

    /**
     * Interval or rate that a line of the head gives.
     *
     * @param list<list<string>> $head
     */
    private static function setting(array $head, bool $comma): ?float
    {
        foreach ($head as $cells) {
            $text = implode(' ', $cells);
            if (
                preg_match(
                    '/\b(interval|increment|period|rate|frequency)\b[^0-9+-]*([0-9][0-9.,]*(?:e[+-]?\d+)?)\s*([a-zµ]*)/iu',
                    $text,
                    $found,
                ) !== 1
            ) {
                continue;
            }
            $number = self::number($found[2], $comma || !str_contains($found[2], '.'));
            if ($number === null || $number <= 0.0) {
                continue;
            }
            if (preg_match('/rate|freq/i', $found[1]) === 1) {
                $prefix = preg_match('/^([kMG])/', $found[3], $letter) === 1 ? 10.0 ** Unit::PREFIXES[$letter[1]] : 1.0;

                return 1.0 / ($number * $prefix);
            }

            return $number * (self::SECONDS[$found[3]] ?? 1.0);
        }

        return null;
    }
}
