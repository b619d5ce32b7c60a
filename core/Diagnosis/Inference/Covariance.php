<?php

declare(strict_types=1);

namespace Ispira\Core\Diagnosis\Inference;

/**
 * How readings vary together, as a product: covariance = L·Lᵀ with L a lower triangle (Cholesky).
 */
final readonly class Covariance
{
    /**
     * @param list<list<float>> $root     rows of L, each up to its diagonal
     * @param list<float>       $whitened L⁻¹ · (reading − mean)
     */
    private function __construct(public array $root, public array $whitened) {}

    /**
     * @param list<list<float>> $along see {@see along()}
     * @param list<array{mean: float, value: float, variance: float, ...}> $readings on their scales
     * @param float             $width by which all spreads of the unknowns are widened
     */
    public static function of(array $along, array $readings, float $width): self
    {
        $square = $width * $width;
        $root = $whitened = [];
        foreach ($readings as $i => $reading) {
            $row = [];
            $left = $reading['value'] - $reading['mean'];
            $own = $square * $along[$i][$i] + $reading['variance'];
            for ($j = 0; $j < $i; ++$j) {
                $sum = $square * $along[$i][$j];
                $earlier = $root[$j];
                for ($k = 0; $k < $j; ++$k) {
                    $sum -= $row[$k] * $earlier[$k];
                }
                $row[] = $sum /= $earlier[$j];
                $own -= $sum * $sum;
                $left -= $sum * $whitened[$j];
            }
            $row[] = $own = sqrt(max($own, 1e-12));
            $root[] = $row;
            $whitened[] = $left / $own;
        }

        return new self($root, $whitened);
    }

    /**
     * @param list<array{deviations: list<float>, ...}> $readings
     *
     * @return list<list<float>> sum of the products of the deviations of each reading and of each one before it, itself
     *     included
     */
    public static function along(array $readings): array
    {
        $along = [];
        foreach ($readings as $i => $reading) {
            $row = [];
            for ($j = 0; $j <= $i; ++$j) {
                $row[] = self::product($reading['deviations'], $readings[$j]['deviations']);
            }
            $along[] = $row;
        }

        return $along;
    }

    /**
     * Sum of the products of two lists of deviations, draw by draw.
     *
     * @param list<float> $one
     * @param list<float> $other
     */
    public static function product(array $one, array $other): float
    {
        $sum = 0.0;
        foreach ($one as $draw => $part) {
            $sum += $part * $other[$draw];
        }

        return $sum;
    }
}
