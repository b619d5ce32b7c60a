<?php

declare(strict_types=1);

namespace Ispira\Core\Diagnosis\Inference;

use Ispira\Core\Device\Quantity;

/**
 * What a test is expected to show under a hypothesis before anything was read: over the draws, on its scale.
 */
final readonly class Expected
{
    /** Leads that nobody zeroed, in Ω: about so much, give or take so much. */
    private const LEADS = [0.06, 0.11];

    /** The same after they were taken off. */
    private const ZEROED = [0.0, 0.03];

    /**
     * @param bool        $open       whether the circuit is open there
     * @param float       $mean       on the {@see ReadingScale}
     * @param list<float> $deviations one a draw and one for the leads of the meter; their squares add up to the variance
     */
    private function __construct(public bool $open, public float $mean, public array $deviations) {}

    /**
     * @param list<float> $numbers one a draw, INF where the circuit is open
     * @param bool        $zeroed  whether the resistance of the leads was taken off
     */
    public static function of(Quantity $quantity, array $numbers, bool $zeroed = false): self
    {
        $finite = array_filter($numbers, is_finite(...));
        $count = \count($numbers);
        if ($finite === [] || 2 * \count($finite) <= $count) {
            return new self(true, 0.0, []);
        }
        $highest = max($finite);
        [$leads, $unsure] = $quantity !== Quantity::Ohms ? [0.0, 0.0] : ($zeroed ? self::ZEROED : self::LEADS);
        $places = [];
        foreach ($numbers as $number) {
            $places[] = ReadingScale::to($quantity, (is_finite($number) ? $number : $highest) + $leads);
        }
        $mean = array_sum($places) / $count;
        $scale = 1.0 / sqrt($count);
        $deviations = [];
        foreach ($places as $place) {
            $deviations[] = ($place - $mean) * $scale;
        }
        $deviations[] = $unsure * ReadingScale::slope($quantity, ReadingScale::from($quantity, $mean));

        return new self(false, $mean, $deviations);
    }

    /** Of the unknown values and the leads, on the scale. */
    public function variance(): float
    {
        $variance = 0.0;
        foreach ($this->deviations as $deviation) {
            $variance += $deviation * $deviation;
        }

        return $variance;
    }
}
