<?php

declare(strict_types=1);

namespace Ispira\Core\Diagnosis\Inference;

/**
 * How readings fit a normal vector of predictions, all together and each with the others.
 *
 * All of it stands in the inverse P of their covariance: what the others let expect of reading i is off by (P·r)ᵢ/Pᵢᵢ
 * with variance 1/Pᵢᵢ (Dubrule 1983), and where i is left out, P loses the outer product of its column over Pᵢᵢ.
 */
final class Agreement
{
    /** Half the logarithm of 2π. */
    public const HALF_LOG_TAU = 0.9189385332046727;

    /** @var array<int, array<int, float>> P, by the numbers of the readings taken in */
    private array $inverse = [];

    /** @var array<int, float> P·r with r what the readings are off by */
    private array $weighted = [];

    /** rᵀ·P·r */
    private float $square = 0.0;

    /** Natural logarithm of the determinant of the covariance. */
    private float $logDeterminant = 0.0;

    /**
     * @param list<list<float>>                            $along    see {@see Covariance::along()}
     * @param list<array{mean: float, value: float, variance: float, ...}> $readings on their scales
     * @param float                                        $width    by which all spreads of the unknowns are widened
     */
    public function __construct(array $along, array $readings, float $width)
    {
        $covariance = Covariance::of($along, $readings, $width);
        [$root, $whitened] = [$covariance->root, $covariance->whitened];
        foreach ($whitened as $i => $left) {
            $this->square += $left * $left;
            $this->logDeterminant += 2.0 * log($root[$i][$i]);
        }
        $columns = [];
        $count = \count($readings);
        for ($column = 0; $column < $count; ++$column) {
            // Of L⁻¹, from the diagonal down.
            $solved = [];
            for ($i = $column; $i < $count; ++$i) {
                $part = $i === $column ? 1.0 : 0.0;
                foreach ($solved as $k => $above) {
                    $part -= $root[$i][$k] * $above;
                }
                $solved[$i] = $part / $root[$i][$i];
            }
            $columns[] = $solved;
        }
        foreach ($columns as $i => $column) {
            $this->weighted[$i] = 0.0;
            foreach ($column as $k => $part) {
                $this->weighted[$i] += $part * $whitened[$k];
            }
            for ($j = 0; $j <= $i; ++$j) {
                $sum = 0.0;
                $other = $columns[$j];
                foreach ($column as $k => $part) {
                    $sum += $part * $other[$k];
                }
                $this->inverse[$i][$j] = $this->inverse[$j][$i] = $sum;
            }
        }
    }

    /**
     * Each reading against what all the others let expect of it.
     *
     * @return array<int, array{0: float, 1: float}> how far off, and with what variance, by number
     */
    public function leftOut(): array
    {
        $left = [];
        foreach ($this->weighted as $i => $weighted) {
            $left[$i] = [$weighted / $this->inverse[$i][$i], 1.0 / $this->inverse[$i][$i]];
        }

        return $left;
    }

    /** Takes a reading out of those taken in. */
    public function leaveOut(int $number): void
    {
        $own = $this->inverse[$number];
        $precision = $own[$number];
        $weighted = $this->weighted[$number];
        unset($this->inverse[$number], $this->weighted[$number], $own[$number]);
        $this->square -= ($weighted * $weighted) / $precision;
        $this->logDeterminant += log($precision);
        foreach ($own as $i => $part) {
            $share = $part / $precision;
            $this->weighted[$i] -= $share * $weighted;
            $row = $this->inverse[$i];
            unset($row[$number]);
            foreach ($own as $j => $other) {
                $row[$j] -= $share * $other;
            }
            $this->inverse[$i] = $row;
        }
    }

    /** @return list<int> numbers of the readings taken in */
    public function takenIn(): array
    {
        return array_keys($this->weighted);
    }

    /** Natural logarithm of the density of all readings together. */
    public function logEvidence(): float
    {
        return -0.5 * ($this->square + $this->logDeterminant) - \count($this->weighted) * self::HALF_LOG_TAU;
    }

    /** How far the readings lie outside what was to be expected: above 1 where it is markedly more than chance. */
    public function strain(): float
    {
        $count = \count($this->weighted);

        return $count === 0 ? 0.0 : ($this->square - $count) / (2.0 * sqrt(2.0 * $count));
    }
}
