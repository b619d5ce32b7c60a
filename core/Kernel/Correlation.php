<?php

declare(strict_types=1);

namespace Ispira\Core\Kernel;

/**
 * How far two lists go together.
 */
final class Correlation
{
    private function __construct() {}

    /**
     * Spearman's correlation of ranks: Pearson's of the ranks, equal values sharing the middle of theirs.
     *
     * @param array<array-key, float> $one
     * @param array<array-key, float> $other as many
     *
     * @return float from -1 to 1; 1 where either has no order at all
     */
    public static function spearman(array $one, array $other): float
    {
        [$a, $b] = [self::ranks(array_values($one)), self::ranks(array_values($other))];
        $n = \count($a);
        $mean = ($n + 1) / 2;
        $sum = $squareA = $squareB = 0.0;
        for ($i = 0; $i < $n; ++$i) {
            $sum += ($a[$i] - $mean) * ($b[$i] - $mean);
            $squareA += ($a[$i] - $mean) ** 2;
            $squareB += ($b[$i] - $mean) ** 2;
        }

        return $squareA > 0.0 && $squareB > 0.0 ? $sum / sqrt($squareA * $squareB) : 1.0;
    }

    /**
     * @param list<float> $values
     *
     * @return list<float>
     */
    private static function ranks(array $values): array
    {
        asort($values);
        $keys = array_keys($values);
        $ranks = [];
        for ($i = 0; $i < \count($keys); $i = $j) {
            for ($j = $i; $j < \count($keys) && $values[$keys[$j]] === $values[$keys[$i]]; ++$j) {
            }
            for ($k = $i; $k < $j; ++$k) {
                $ranks[$keys[$k]] = ($i + $j + 1) / 2;
            }
        }
        ksort($ranks);

        return array_values($ranks);
    }
}
