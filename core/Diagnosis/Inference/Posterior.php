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
     * @param Covariance        $covariance of these readings
     * @param float             $width      by which all spreads of the unknowns are widened
     */
    private function __construct(private array $deviations, private Covariance $covariance, private float $width) {}

    public static function nothing(): self
    {
        return self::of([]);
    }

    /**
     * @param list<array{mean: float, deviations: list<float>, value: float, variance: float}> $readings on their scales
     */
    public static function of(array $readings, float $width = 1.0): self
    {
        return new self(
            array_map(static fn(array $reading): array => $reading['deviations'], $readings),
            Covariance::of(Covariance::along($readings), $readings, $width),
            $width,
        );
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
        $variance = Covariance::product($deviations, $deviations) * $this->width * $this->width;
        $solved = [];
        foreach ($this->deviations as $i => $own) {
            $part = $this->width * $this->width * Covariance::product($own, $deviations);
            foreach ($solved as $k => $earlier) {
                $part -= $this->covariance->root[$i][$k] * $earlier;
            }
            $part /= $this->covariance->root[$i][$i];
            $mean += $part * $this->covariance->whitened[$i];
            $variance -= $part * $part;
            $solved[] = $part;
        }

        return [$mean, max(0.0, $variance)];
    }
}
