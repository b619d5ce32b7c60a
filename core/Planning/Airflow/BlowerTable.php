<?php

declare(strict_types=1);

namespace Ispira\Core\Planning\Airflow;

use Ispira\Core\Kernel\NumberReader;
use Ispira\Core\Kernel\UnreadableNumber;

/**
 * The maker's table of airflow: a first line with the names of the taps, then a line for each static pressure.
 *
 * Columns are parted by semicolons, tabs or spaces; a dash stands where the maker gives nothing.
 */
final class BlowerTable
{
    private function __construct() {}

    /**
     * @return list<TapCurve> in the order of the columns
     *
     * @throws UnreadableNumber with the line that cannot be read
     */
    public static function read(string $text, Units $units): array
    {
        $lines = array_values(
            array_filter(
                array_map(trim(...), preg_split('/\R/', $text) ?: []),
                static fn(string $line): bool => $line !== '',
            ),
        );
        if (\count($lines) < 3) {
            throw new UnreadableNumber(
                'Give a first line such as "static; high; low" and at least two lines of figures.',
            );
        }
        $names = \array_slice(self::cells($lines[0]), 1);
        if ($names === [] || \count($names) !== \count(array_unique($names))) {
            throw new UnreadableNumber('The first line names the columns: static, then each tap once.');
        }
        $points = array_fill_keys($names, []);
        $last = null;
        foreach (\array_slice($lines, 1) as $number => $line) {
            $cells = self::cells($line);
            $where = 'Line ' . ($number + 2);
            if (\count($cells) !== \count($names) + 1) {
                throw new UnreadableNumber(
                    "$where has " . \count($cells) . ' columns, the first line ' . (\count($names) + 1) . '.',
                );
            }
            $pressure = self::number($cells[0], $where) * $units->pascals();
            if ($last !== null && $pressure <= $last) {
                throw new UnreadableNumber("$where: the static pressures have to rise from line to line.");
            }
            $last = $pressure;
            foreach ($names as $column => $name) {
                $cell = $cells[$column + 1];
                if ($cell === '-' || $cell === '–') {
                    continue;
                }
                $flow = self::number($cell, $where) * $units->cubicMetresPerSecond();
                $before = $points[$name][\count($points[$name]) - 1] ?? null;
                if ($flow <= 0.0 || ($before !== null && $flow > $before[1])) {
                    throw new UnreadableNumber(
                        "$where, $name: airflow has to be above zero and cannot rise with the static pressure.",
                    );
                }
                $points[$name][] = [$pressure, $flow];
            }
        }
        $curves = [];
        foreach ($points as $name => $curve) {
            if (\count($curve) < 2) {
                throw new UnreadableNumber("$name needs at least two figures.");
            }
            $curves[] = new TapCurve((string) $name, $curve);
        }

        return $curves;
    }

    /** @return list<string> */
    private static function cells(string $line): array
    {
        return str_contains($line, ';')
            ? array_map(trim(...), explode(';', $line))
            : (preg_split('/\s+/', $line) ?:
                []);
    }

    private static function number(string $cell, string $where): float
    {
        try {
            return NumberReader::read($cell, '');
        } catch (UnreadableNumber) {
            throw new UnreadableNumber("$where: \"$cell\" is not a number.");
        }
    }
}
