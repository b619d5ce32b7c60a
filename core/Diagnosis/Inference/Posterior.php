<?php

declare(strict_types=1);

namespace Ispira\Core\Diagnosis\Inference;

/**
 * What readings have taught about the unknown values of a circuit, under one hypothesis.
 *
 * The draws span the unknowns: a prediction is a mean and one deviation a draw, and the deviations of all predictions
 * are those of one normal vector. All readings are taken in at once (the linear Gaussian solution in the space of the
 * readings, as in ensemble smoothers; Evensen 1994), so that their order cannot matter, and readings that hang on the
 * same unknown are never counted as independent proof.
 */
final readonly class Posterior
{
    /**
     * @param list<list<float>> $deviations of each reading taken in, over the draws
     * @param list<list<float>> $root       lower triangle L with L·Lᵀ the covariance of the readings
     * @param list<float>       $whitened   L⁻¹ · (reading − mean)
     * @param float             $width      by which all spreads of the unknowns are widened
     */
    private function __construct(
        private array $deviations,
        private array $root,
        private array $whitened,
        private float $width,
    ) {}

    public static function nothing(): self
    {
        return new self([], [], [], 1.0);
    }

    /**
     * @param list<array{mean: float, deviations: list<float>, value: float, variance: float}> $readings on their scales
     */
    public static function of(array $readings, float $width = 1.0): self
    {
        $root = $whitened = $deviations = [];
        $square = $width * $width;
        foreach ($readings as $i => $reading) {
            $row = [];
            for ($j = 0; $j < $i; ++$j) {
                $sum = $square * self::along($reading['deviations'], $deviations[$j]);
                for ($k = 0; $k < $j; ++$k) {
                    $sum -= $row[$k] * $root[$j][$k];
                }
                $row[] = $sum / $root[$j][$j];
            }
            $own = $square * self::along($reading['deviations'], $reading['deviations']) + $reading['variance'];
            foreach ($row as $part) {
                $own -= $part * $part;
            }
            $own = sqrt(max($own, 1e-12));
            $left = $reading['value'] - $reading['mean'];
            for ($k = 0; $k < $i; ++$k) {
                $left -= $row[$k] * $whitened[$k];
            }
            $root[] = [...$row, $own];
            $whitened[] = $left / $own;
            $deviations[] = $reading['deviations'];
        }

        return new self($deviations, $root, $whitened, $width);
    }

    /**
     * Mean and variance of another prediction, given what was read.
     *
     * @param list<float> $deviations
     *
     * @return array{0: float, 1: float}
     */
    public function expect(float $mean, array $deviations): array
    {
        $variance = self::along($deviations, $deviations) * $this->width * $this->width;
        $solved = [];
        foreach ($this->deviations as $i => $own) {
            $part = $this->width * $this->width * self::along($own, $deviations);
            foreach ($solved as $k => $earlier) {
                $part -= $this->root[$i][$k] * $earlier;
            }
            $part /= $this->root[$i][$i];
            $mean += $part * $this->whitened[$i];
            $variance -= $part * $part;
            $solved[] = $part;
        }

        return [$mean, max(0.0, $variance)];
    }

    /**
     * @param list<float> $one
     * @param list<float> $other
     */
    private static function along(array $one, array $other): float
    {
        $sum = 0.0;
        foreach ($one as $draw => $part) {
            $sum += $part * $other[$draw];
        }

        return $sum;
    }
}
