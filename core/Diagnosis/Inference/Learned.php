<?php

declare(strict_types=1);

namespace Ispira\Core\Diagnosis\Inference;

/**
 * What readings have taught about the unknown values of a circuit, under one hypothesis.
 *
 * The draws span the unknowns. A test's prediction is a mean and one deviation a draw, so
 * a reading of it shifts every other prediction along the deviations that they share: the
 * ensemble form of the Kalman filter (Evensen 1994), with the covariance kept as the list
 * of gains that were taken from it. Readings that hang on the same unknown are so never
 * counted as independent proof.
 */
final readonly class Learned
{
    /**
     * @param list<float>|null $shift coordinates of the mean in the span of the draws; null for none
     * @param list<array{0: list<float>, 1: float}> $gains direction and variance of each reading taken in
     * @param list<Lesson> $lessons readings taken in
     */
    private function __construct(private ?array $shift, private array $gains, public array $lessons) {}

    public static function nothing(): self
    {
        return new self(null, [], []);
    }

    /**
     * Mean and variance of a prediction, given what was learned.
     *
     * @param list<float> $numbers prediction in each draw, all finite
     *
     * @return array{0: float, 1: float}
     */
    public function expect(array $numbers): array
    {
        [$mean, $deviations] = self::split($numbers);
        $variance = 0.0;
        foreach ($deviations as $draw => $deviation) {
            $variance += $deviation * $deviation;
            $mean += $this->shift === null ? 0.0 : $deviation * $this->shift[$draw];
        }
        foreach ($this->gains as [$direction, $total]) {
            $along = 0.0;
            foreach ($deviations as $draw => $deviation) {
                $along += $deviation * $direction[$draw];
            }
            $variance -= ($along * $along) / $total;
        }

        return [$mean, max(0.0, $variance)];
    }

    /**
     * With one more reading taken in.
     *
     * @param list<float> $numbers  prediction in each draw, all finite
     * @param float       $variance of the instrument and the hook-up
     */
    public function with(array $numbers, float $reading, float $variance, ?Lesson $lesson = null): self
    {
        [$mean, $deviations] = self::split($numbers);
        $direction = $deviations;
        foreach ($this->gains as [$earlier, $total]) {
            $along = 0.0;
            foreach ($deviations as $draw => $deviation) {
                $along += $deviation * $earlier[$draw];
            }
            $along /= $total;
            foreach ($earlier as $draw => $part) {
                $direction[$draw] -= $along * $part;
            }
        }
        $total = $variance;
        $innovation = $reading - $mean;
        foreach ($deviations as $draw => $deviation) {
            $total += $deviation * $direction[$draw];
            $innovation -= $this->shift === null ? 0.0 : $deviation * $this->shift[$draw];
        }
        $shift = [];
        foreach ($direction as $draw => $part) {
            $shift[] = ($this->shift[$draw] ?? 0.0) + ($part * $innovation) / $total;
        }

        return new self(
            $shift,
            [...$this->gains, [array_values($direction), $total]],
            $lesson === null ? $this->lessons : [...$this->lessons, $lesson],
        );
    }

    /**
     * @param list<float> $numbers
     *
     * @return array{0: float, 1: list<float>} mean, and deviations whose squares add up to the variance
     */
    private static function split(array $numbers): array
    {
        $count = \count($numbers);
        $mean = array_sum($numbers) / $count;
        $scale = 1.0 / sqrt($count);
        $deviations = [];
        foreach ($numbers as $number) {
            $deviations[] = ($number - $mean) * $scale;
        }

        return [$mean, $deviations];
    }
}
