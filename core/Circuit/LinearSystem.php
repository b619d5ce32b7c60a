<?php

declare(strict_types=1);

namespace Ispira\Core\Circuit;

/**
 * A handful of linear equations, solved by Gaussian elimination with the largest pivot of each column.
 * An unknown that the equations leave open becomes zero.
 */
final class LinearSystem
{
    private const UNDECIDED = 1e-13;

    private function __construct()
    {
    }

    /**
     * Each unknown as a constant and a multiple of each free value.
     *
     * @param list<array<int|string, float>> $rows     Σ coefficient·value = constant: coefficients by key, the constant under "right"
     * @param list<int>                      $unknowns keys, as many as rows
     * @param list<int>                      $free     keys of the values that stay
     *
     * @return list<list<float>> by unknown: the constant, then a factor for each free value
     */
    public static function solve(array $rows, array $unknowns, array $free): array
    {
        $size = \count($unknowns);
        $matrix = [];
        foreach ($rows as $row) {
            $line = [];
            foreach ($unknowns as $key) {
                $line[] = $row[$key] ?? 0.0;
            }
            $line[] = $row['right'] ?? 0.0;
            foreach ($free as $key) {
                $line[] = -($row[$key] ?? 0.0);
            }
            $matrix[] = $line;
        }
        for ($column = 0; $column < $size; ++$column) {
            $best = $column;
            for ($row = $column + 1; $row < $size; ++$row) {
                $best = abs($matrix[$row][$column]) > abs($matrix[$best][$column]) ? $row : $best;
            }
            [$matrix[$column], $matrix[$best]] = [$matrix[$best], $matrix[$column]];
            $pivot = $matrix[$column][$column];
            if (abs($pivot) < self::UNDECIDED) {
                // Nothing depends on this unknown: an EMF on a path without current. Zero is as good as any.
                $matrix[$column] = array_fill(0, \count($matrix[$column]), 0.0);
                $matrix[$column][$column] = $pivot = 1.0;
            }
            foreach ($matrix[$column] as $n => $number) {
                $matrix[$column][$n] = $number / $pivot;
            }
            foreach ($matrix as $row => $line) {
                $factor = $line[$column];
                if ($row !== $column && $factor !== 0.0) {
                    foreach ($line as $n => $number) {
                        $matrix[$row][$n] = $number - $factor * $matrix[$column][$n];
                    }
                }
            }
        }

        return array_map(static fn (array $line): array => \array_slice($line, $size), \array_slice($matrix, 0, $size));
    }
}
