<?php

declare(strict_types=1);

namespace Ispira\Core\Diagnosis\Inference;

use Ispira\Core\Device\Quantity;
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
    public const TAIL_SHARE = 0.12;
    public const TAIL_WIDTH = 2.5;

    /** Share of slips that are a decimal point in the wrong place; the others may be anything that a meter shows. */
    private const DECIMAL_POINT = 0.25;

    /** Ω from which electronics may show over range as well. */
    private const ELECTRONICS_FROM = 1e3;

    /** Readings after which no more are left out. */
    private const MOST_LEFT_OUT = 40;

    /**
     * @param float                                $logEvidence natural logarithm of the likelihood of all together
     * @param list<array{0: Measurement, 1: Hypothesis}> $taken what it was learned from, with the circuit's state then
     * @param array<int, float> $fits  density of each measurement given the others, on its scale
     * @param array<int, float> $slips share of a slip in each
     */
    private function __construct(
        public float $logEvidence,
        private array $taken,
        private float $width,
        public array $fits,
        public array $slips,
    ) {}

    /**
     * @param array<int, array{0: Measurement, 1: Hypothesis}> $measured what was read, and what the circuit was then
     * @param float $scale supply of the circuit over that of a 12 V system
     * @param bool  $few   over the few draws for judging, which know less of what moves together
     */
    public static function of(array $measured, Predictions $predictions, float $scale, bool $few = false): self
    {
        $log = 0.0;
        $fits = $slips = $normal = [];
        foreach ($measured as $number => [$measurement, $state]) {
            $expected = $predictions->expectedOf($state, $measurement, $few);
            $quantity = $measurement->test->probe->quantity;
            if ($measurement->value === null || $expected->open) {
                [$one, $fit] = Likelihood::ofOpen(
                    $quantity,
                    $measurement->value,
                    $expected->open || self::asGoodAsOpen($measurement, $expected),
                    $measurement->slip,
                    $scale,
                );
                $log += log(max($one, 1e-300));
                $fits[$number] = $one;
                $slips[$number] = $one > 0.0 ? 1.0 - $fit / $one : 1.0;
                continue;
            }
            $slope = ReadingScale::slope($quantity, $measurement->value);
            $own = self::onScale($measurement->value, $measurement, $expected, $predictions, $few);
            // Few draws span few directions: what lies across them counts as the reading's own.
            $own['variance'] += $few ? $expected->variance() : 0.0;
            $normal[$number] = $own + [
                'slip' => log(
                    $measurement->slip *
                        ((1.0 - self::DECIMAL_POINT) *
                            (Likelihood::slipDensity($quantity, $measurement->value, $scale) / $slope) +
                            self::DECIMAL_POINT * self::misplaced($quantity, $own, $expected->variance())),
                ),
                'right' => log(1.0 - $measurement->slip),
            ];
        }
        $numbers = array_keys($normal);
        $normal = array_values($normal);
        $along = Covariance::along($normal);
        [$evidence, $strain, $in, $ofFit, $ofSlip] = self::chosen($normal, $along, 1.0);
        $width = 1.0;
        if (\count($in) < \count($normal) || $strain > 1.0) {
            $wide = self::chosen($normal, $along, self::TAIL_WIDTH);
            [$usual, $tail] = [log(1.0 - self::TAIL_SHARE) + $evidence, log(self::TAIL_SHARE) + $wide[0]];
            if ($tail > $usual) {
                [, , $in, $ofFit, $ofSlip] = $wide;
                $width = self::TAIL_WIDTH;
            }
            $evidence = max($usual, $tail) + log1p(exp(-abs($usual - $tail)));
        }

        foreach ($ofFit as $place => $fit) {
            $fits[$numbers[$place]] = $fit;
            $slips[$numbers[$place]] = $ofSlip[$place];
        }

        return new self(
            $log + $evidence,
            array_map(static fn(int $place): array => $measured[$numbers[$place]], $in),
            $width,
            $fits,
            $slips,
        );
    }

    /** Whether some meters show over range where others show kilohms. */
    private static function asGoodAsOpen(Measurement $measurement, Expected $expected): bool
    {
        return $measurement->test->probe->electronics &&
            ReadingScale::from(Quantity::Ohms, $expected->mean) > self::ELECTRONICS_FROM;
    }

    /** What was learned, told over all draws, or over the few: enough to choose which tests are worth a closer look. */
    public function over(bool $few, Predictions $predictions): Posterior
    {
        $readings = [];
        foreach ($this->taken as [$measurement, $state]) {
            $expected = $predictions->expectedOf($state, $measurement, $few);
            if (!$expected->open && $measurement->value !== null) {
                $readings[] = self::onScale($measurement->value, $measurement, $expected, $predictions, $few);
            }
        }

        return Posterior::of($readings, $this->width);
    }

    /**
     * Density of a reading that is right but for its decimal point, one place to either side.
     *
     * @param array{mean: float, value: float, variance: float, ...} $reading on its scale
     * @param float                                                  $variance of what was to be expected
     */
    private static function misplaced(Quantity $quantity, array $reading, float $variance): float
    {
        $right = ReadingScale::from($quantity, $reading['mean']);
        $spread = sqrt($reading['variance'] + $variance);
        $density = 0.0;
        foreach ([10.0, 0.1] as $factor) {
            $density +=
                0.5 *
                Likelihood::normalDensity($reading['value'], ReadingScale::to($quantity, $factor * $right), $spread);
        }

        return $density;
    }

    /** @return array{mean: float, deviations: list<float>, value: float, variance: float} */
    private static function onScale(
        float $value,
        Measurement $measurement,
        Expected $expected,
        Predictions $predictions,
        bool $few,
    ): array {
        $quantity = $measurement->test->probe->quantity;
        $slope = ReadingScale::slope($quantity, $value);
        $own = MeterAccuracy::spread($quantity, $value) * $measurement->widening * $slope;
        $place = ReadingScale::to($quantity, $value);
        if ($predictions->pickUp->mayBe($value) && $predictions->picksUp($measurement->test, $expected->mean, $few)) {
            // What is picked up tells of nothing else: it fits as well as it is frequent.
            $density = $predictions->pickUp->density(
                $value,
                $slope * Likelihood::normalDensity($place, $expected->mean, $own),
            );
            [$place, $own] = [$expected->mean, max($own, $slope / ($density * Likelihood::ROOT_TAU))];
        }

        return [
            'mean' => $expected->mean,
            'deviations' => $expected->deviations,
            'value' => $place,
            'variance' => $own * $own,
        ];
    }

    /**
     * @param list<array{mean: float, deviations: list<float>, value: float, variance: float, slip: float, right: float}> $readings
     * @param list<list<float>> $along see {@see Covariance::along()}
     *
     * @return array{0: float, 1: float, 2: list<int>, 3: array<int, float>, 4: array<int, float>} evidence, strain, what
     *     is taken in, and by reading its density and its share of a slip
     */
    private static function chosen(array $readings, array $along, float $width): array
    {
        $agreement = new Agreement($along, $readings, $width);
        for ($pass = 0; $pass < self::MOST_LEFT_OUT; ++$pass) {
            $worst = null;
            $by = 0.0;
            foreach ($agreement->leftOut() as $number => [$off, $variance]) {
                $odds = $readings[$number]['slip'] - $readings[$number]['right'] - self::logDensity($off, $variance);
                if ($odds > $by) {
                    [$worst, $by] = [$number, $odds];
                }
            }
            if ($worst === null) {
                break;
            }
            $agreement->leaveOut($worst);
        }
        $evidence = $agreement->logEvidence();
        $fits = $slips = [];
        foreach ($agreement->leftOut() as $number => [$off, $variance]) {
            $density = self::logDensity($off, $variance) + $readings[$number]['right'];
            $evidence += $readings[$number]['right'];
            [$fits[$number], $slips[$number], $more] = self::shared($density, $readings[$number]['slip'], true);
            $evidence += $more;
        }
        $in = $agreement->takenIn();
        $out = array_diff_key($readings, array_flip($in));
        $posterior = Posterior::of(
            $out === [] ? [] : array_map(static fn(int $n): array => $readings[$n], $in),
            $width,
        );
        foreach ($out as $number => $reading) {
            [$mean, $variance] = $posterior->expect($reading['mean'], $reading['deviations']);
            $density =
                self::logDensity($reading['value'] - $mean, $variance + $reading['variance']) + $reading['right'];
            $evidence += $reading['slip'];
            [$fits[$number], $slips[$number], $more] = self::shared($density, $reading['slip'], false);
            $evidence += $more;
        }

        return [$evidence, $agreement->strain(), $in, $fits, $slips];
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
        return -0.5 * (($off * $off) / $variance + log($variance)) - Agreement::HALF_LOG_TAU;
    }
}
