<?php

declare(strict_types=1);

namespace Ispira\Core\Diagnosis\Inference;

use Ispira\Core\Reading\MeterAccuracy;

/**
 * Numbers that were measured, weighed together under one hypothesis.
 *
 * All that fit are taken in at once; what the others refute more than a slip would be is left out, the worst first.
 * Sound machines have heavy tails: beside the usual spread of the unknown values a wider one is weighed too.
 */
final readonly class Assimilation
{
    /** A second world beside the usual one: its share, and how many times wider its unknown values are spread. */
    private const TAIL_SHARE = 0.12;
    private const TAIL_WIDTH = 2.5;

    /** Passes after which the choice of what is left out stands. */
    private const MOST_PASSES = 12;

    /**
     * @param float                                $logEvidence natural logarithm of the likelihood of all together
     * @param list<array{0: Measurement, 1: Hypothesis}> $taken what it was learned from, with the circuit's state then
     * @param array<int, float> $fits  density of each measurement given the others, on its scale
     * @param array<int, float> $slips share of a slip in each
     */
    private function __construct(
        public float $logEvidence,
        public Posterior $posterior,
        public array $taken,
        public float $width,
        public array $fits,
        public array $slips,
    ) {}

    /**
     * @param array<int, array{0: Measurement, 1: Hypothesis}> $measured what was read, and what the circuit was then
     * @param float $scale supply of the circuit over that of a 12 V system
     */
    public static function of(array $measured, Predictions $predictions, float $scale): self
    {
        $log = 0.0;
        $fits = $slips = $normal = [];
        foreach ($measured as $number => [$measurement, $state]) {
            $expected = $predictions->expectedOf($state, $measurement);
            $quantity = $measurement->test->probe->quantity;
            if ($measurement->value === null || $expected->open) {
                [$one, $fit] = Likelihood::ofOpen(
                    $quantity,
                    $measurement->value,
                    $expected->open,
                    $measurement->slip,
                    $scale,
                );
                $log += log(max($one, 1e-300));
                $fits[$number] = $one;
                $slips[$number] = $one > 0.0 ? 1.0 - $fit / $one : 1.0;
                continue;
            }
            $slope = ReadingScale::slope($quantity, $measurement->value);
            $own = MeterAccuracy::spread($quantity, $measurement->value) * $measurement->widening * $slope;
            $normal[$number] = [
                'mean' => $expected->mean,
                'deviations' => $expected->deviations,
                'value' => ReadingScale::to($quantity, $measurement->value),
                'variance' => $own * $own,
                'slip' => log(
                    ($measurement->slip * Likelihood::slipDensity($quantity, $measurement->value, $scale)) / $slope,
                ),
                'right' => log(1.0 - $measurement->slip),
            ];
        }
        [$evidence, $posterior, $in, $ofFit, $ofSlip] = self::chosen($normal, 1.0);
        $width = 1.0;
        if (\count($in) < \count($normal) || $posterior->strain() > 1.0) {
            $wide = self::chosen($normal, self::TAIL_WIDTH);
            [$usual, $tail] = [log(1.0 - self::TAIL_SHARE) + $evidence, log(self::TAIL_SHARE) + $wide[0]];
            if ($tail > $usual) {
                [, $posterior, $in, $ofFit, $ofSlip] = $wide;
                $width = self::TAIL_WIDTH;
            }
            $evidence = max($usual, $tail) + log1p(exp(-abs($usual - $tail)));
        }

        return new self(
            $log + $evidence,
            $posterior,
            array_values(array_intersect_key($measured, array_flip($in))),
            $width,
            $fits + $ofFit,
            $slips + $ofSlip,
        );
    }

    /** What was learned, told over the few draws for judging: enough to choose which tests are worth a closer look. */
    public function roughly(Predictions $predictions): Posterior
    {
        $readings = [];
        foreach ($this->taken as [$measurement, $state]) {
            $expected = $predictions->expectedOf($state, $measurement, true);
            if ($expected->open || $measurement->value === null) {
                continue;
            }
            $quantity = $measurement->test->probe->quantity;
            $own =
                MeterAccuracy::spread($quantity, $measurement->value) *
                ReadingScale::slope($quantity, $measurement->value) *
                $measurement->widening;
            $readings[] = [
                'mean' => $expected->mean,
                'deviations' => $expected->deviations,
                'value' => ReadingScale::to($quantity, $measurement->value),
                'variance' => $own * $own,
            ];
        }

        return Posterior::of($readings, $this->width);
    }

    /**
     * @param array<int, array{mean: float, deviations: list<float>, value: float, variance: float, slip: float, right: float}> $readings
     *
     * @return array{0: float, 1: Posterior, 2: list<int>, 3: array<int, float>, 4: array<int, float>} evidence, what
     *     was learned, what is taken in, and by reading its density and its share of a slip
     */
    private static function chosen(array $readings, float $width): array
    {
        $in = array_keys($readings);
        $posterior = Posterior::nothing();
        $left = [];
        for ($pass = 0; ; ++$pass) {
            $posterior = Posterior::of(array_map(static fn(int $n): array => $readings[$n], $in), $width);
            $left = $posterior->leftOut();
            $worst = null;
            $by = 0.0;
            foreach ($in as $place => $number) {
                $odds = $readings[$number]['slip'] - $readings[$number]['right'] - self::logDensity(...$left[$place]);
                if ($odds > $by) {
                    [$worst, $by] = [$place, $odds];
                }
            }
            if ($worst === null || $pass === self::MOST_PASSES) {
                break;
            }
            unset($in[$worst]);
            $in = array_values($in);
        }
        $evidence = $posterior->logEvidence();
        $fits = $slips = [];
        foreach ($in as $place => $number) {
            $density = self::logDensity(...$left[$place]) + $readings[$number]['right'];
            $evidence += $readings[$number]['right'];
            [$fits[$number], $slips[$number], $more] = self::shared($density, $readings[$number]['slip'], true);
            $evidence += $more;
        }
        foreach (array_diff_key($readings, array_flip($in)) as $number => $reading) {
            [$mean, $variance] = $posterior->expect($reading['mean'], $reading['deviations']);
            $density =
                self::logDensity($reading['value'] - $mean, $variance + $reading['variance']) + $reading['right'];
            $evidence += $reading['slip'];
            [$fits[$number], $slips[$number], $more] = self::shared($density, $reading['slip'], false);
            $evidence += $more;
        }

        return [$evidence, $posterior, $in, $fits, $slips];
    }

    /**
     * @param bool $taken whether the reading counts as right, so that its slip is what is added, or as a slip
     *
     * @return array{0: float, 1: float, 2: float} density, share of a slip, and what the other case adds to the evidence
     */
    private static function shared(float $right, float $slip, bool $taken): array
    {
        $both = max($right, $slip) + log1p(exp(-abs($right - $slip)));

        return [exp($both), exp($slip - $both), $both - ($taken ? $right : $slip)];
    }

    private static function logDensity(float $off, float $variance): float
    {
        return -0.5 * (($off * $off) / $variance + log($variance)) - 0.9189385332046727;
    }
}
