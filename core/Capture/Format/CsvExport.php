<?php

declare(strict_types=1);

namespace Ispira\Core\Capture\Format;

use Ispira\Core\Capture\SampleStore;

/**
 * Writes a capture as a table: a row of names with units, then one line a sample.
 */
final readonly class CsvExport
{
    public function __construct(private SampleStore $store) {}

    /** @return \Generator<int, string> the text, in parts */
    public function parts(): \Generator
    {
        $head = $this->store->head();
        yield implode(',', [
            'Time (s)',
            ...array_map(
                static fn(string $name, string $unit): string => str_replace([',', '"', "\n", "\r"], ' ', $name) .
                    ($unit === '' ? '' : " ($unit)"),
                $head->channels,
                $head->units,
            ),
        ]) . "\n";
        $others = [];
        for ($channel = 1; $channel < \count($head->channels); ++$channel) {
            $others[] = $this->store->parts($channel);
        }
        // Enough digits that two times on end are told apart.
        $digits = max(3, (int) ceil(-log10($head->interval)) + 3);
        foreach ($this->store->parts(0) as $first => $values) {
            $rows = array_map(static fn(\Generator $parts): array => (array) $parts->current(), $others);
            $text = '';
            foreach ($values as $offset => $value) {
                $text .=
                    number_format($head->start + ($first + $offset) * $head->interval, $digits, '.', '') .
                    ',' .
                    self::written($value);
                foreach ($rows as $row) {
                    $text .= ',' . self::written(\is_float($row[$offset] ?? null) ? $row[$offset] : 0.0);
                }
                $text .= "\n";
            }
            foreach ($others as $parts) {
                $parts->next();
            }
            yield $text;
        }
    }

    private static function written(float $value): string
    {
        return \sprintf('%.6G', $value);
    }
}
