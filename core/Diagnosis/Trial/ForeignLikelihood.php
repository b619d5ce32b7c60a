<?php

declare(strict_types=1);

namespace Ispira\Core\Diagnosis\Trial;

use Ispira\Core\Device\CircuitModel;
use Ispira\Core\Device\PositionKind;
use Ispira\Core\Device\Quantity;
use Ispira\Core\Device\Test;
use Ispira\Core\Diagnosis\Inference\Hypothesis;
use Ispira\Core\Diagnosis\Inference\Judged;
use Ispira\Core\Diagnosis\Inference\Likelihood;
use Ispira\Core\Diagnosis\Inference\OneMachine;
use Ispira\Core\Kernel\RandomSource;
use Ispira\Core\Reading\MeterAccuracy;
use Ispira\Core\Reading\Reading;

/**
 * How likely it is that what was taken down of a machine of the foreign world is read off a certain one.
 *
 * A machine, the degrees of its faults and the person with the meter are a point in a cube: each side is the share of
 * machines that have less of it. {@see ForeignMachine} is what is foretold here.
 */
final readonly class ForeignLikelihood
{
    /** Machines drawn to learn how each value is spread. */
    private const DRAWN = 1000;

    /** What may be seen though it should not be, so that nothing is impossible. */
    private const FLOOR = 1e-4;

    /** Sides of the cube besides the unknown values: two degrees, ear, leads, meter. */
    private const BESIDES = 5;

    private OneMachine $any;

    private Hypothesis $sound;

    private bool $alternates;

    /** @var array<string, non-empty-list<float>> values in rising order, by unknown */
    private array $quantiles;

    /**
     * @param CircuitModel  $circuit  as its tests are done by hand, see {@see Hands}
     * @param list<Reading> $readings
     */
    public function __construct(private CircuitModel $circuit, private array $readings)
    {
        $this->any = OneMachine::asDeclared($circuit);
        $this->alternates = $circuit->netlist->alternates();
        $this->sound = Hypothesis::sound();
        $chance = new RandomSource(1);
        $drawn = [];
        for ($draw = 0; $draw < self::DRAWN; ++$draw) {
            foreach (ForeignWorld::machine($circuit, $chance) as $name => $value) {
                $drawn[$name][] = $value;
            }
        }
        $this->quantiles = array_map(static function (array $values): array {
            sort($values);

            return $values;
        }, $drawn);
    }

    public function sides(): int
    {
        return \count($this->quantiles) + self::BESIDES;
    }

    /**
     * @param list<float> $point each from 0 to 1
     *
     * @return float natural logarithm
     */
    public function at(array $point, Hypothesis $hypothesis): float
    {
        $values = [];
        $side = 0;
        foreach ($this->quantiles as $name => $rising) {
            $values[$name] = self::quantile($rising, $point[$side++]);
        }
        $machine = $this->any->like($values);
        $state = $hypothesis->hasDegree()
            ? $hypothesis->inDegree(
                RandomSource::EVENLY * (2.0 * $point[$side] - 1.0),
                RandomSource::EVENLY * (2.0 * $point[$side + 1] - 1.0),
            )
            : $hypothesis;
        [$ear, $leads, $meter] = \array_slice($point, $side + 2);
        $slowUnder = self::between(ForeignMachine::SLOW_UNDER, $ear);
        $ohms = self::between(ForeignMachine::LEADS, $leads);
        $factor = 1.0 + ForeignMachine::METER_OFF * self::normal($meter);
        $sum = 0.0;
        foreach ($this->readings as $reading) {
            $test = $this->circuit->tests[$reading->test];
            $sum += log(
                self::FLOOR +
                    (1.0 - self::FLOOR) *
                        ($test->probe->quantity->isNumber()
                            ? $this->ofNumber($reading, $test, $machine, $state, $ohms, $factor)
                            : $this->ofChoice($reading, $test, $machine, $state, $slowUnder)),
            );
        }

        return $sum;
    }

    private function ofChoice(
        Reading $reading,
        Test $test,
        OneMachine $machine,
        Hypothesis $state,
        float $slowUnder,
    ): float {
        if ($test->probe->quantity === Quantity::Observation) {
            $usual = $this->circuit->observations[$test->probe->at]->usual;

            return Likelihood::observed($state, $test, $usual)[(string) $reading->value] ?? 0.0;
        }
        $number = $machine->judged($test, $state, $this->sound);
        $isSpeed = $test->probe->quantity === Quantity::Speed;
        $chances =
            $isSpeed && $this->circuit->kindIn($test) === PositionKind::Runs && !is_nan($number)
                ? self::heard($number, $slowUnder)
                : Judged::chances($this->circuit, $test, $number);

        return $chances[(string) $reading->value] ?? 0.0;
    }

    /** @return array<string, float> chance of each answer of one person */
    private static function heard(float $number, float $slowUnder): array
    {
        $under = static fn(float $limit): float => self::share(($limit - $number) / ForeignMachine::EAR);
        $dead = $under(ForeignMachine::DEAD_UNDER) - $under(-ForeignMachine::DEAD_UNDER);
        $slow = max(0.0, $under($slowUnder) - $dead);
        $fast = 1.0 - $under(2.0 - $slowUnder);

        return ['dead' => $dead, 'slow' => $slow, 'fast' => $fast, 'right' => max(0.0, 1.0 - $dead - $slow - $fast)];
    }

    private function ofNumber(
        Reading $reading,
        Test $test,
        OneMachine $machine,
        Hypothesis $state,
        float $ohms,
        float $factor,
    ): float {
        $shown = $machine->shows($test, $state);
        $quantity = $test->probe->quantity;
        $loose = (1.0 - ForeignMachine::SLIPS_COPIED) * (1.0 - ForeignMachine::SLIPS_DECIMAL);
        $unopened = $test->probe->electronics && $shown > ForeignMachine::ELECTRONICS_FROM && is_finite($shown);
        if (!\is_float($reading->value) && $unopened) {
            return (1.0 - ForeignMachine::SLIPS) * ForeignMachine::NOT_OPENED;
        }
        if (!\is_float($reading->value)) {
            return is_infinite($shown)
                ? 1.0 - ForeignMachine::SLIPS
                : ($quantity === Quantity::Ohms
                    ? ForeignMachine::SLIPS * $loose
                    : 0.0);
        }
        $slip = ForeignMachine::SLIPS_COPIED * $this->copied($reading, $test);
        if (is_infinite($shown)) {
            return ForeignMachine::SLIPS * $slip;
        }
        $number = ($shown + ($quantity === Quantity::Ohms ? $ohms : 0.0)) * $factor;
        $spread = ForeignMachine::METER_NOISE * MeterAccuracy::spread($quantity, $shown);
        foreach ([0.1, 10.0] as $point) {
            $slip +=
                0.5 *
                (1.0 - ForeignMachine::SLIPS_COPIED) *
                ForeignMachine::SLIPS_DECIMAL *
                self::density($reading->value, $number * $point, $spread * $point);
        }
        if ($quantity !== Quantity::Ohms && abs($reading->value) <= ForeignMachine::NEXT_TO_NOTHING) {
            $slip += $loose / ForeignMachine::NEXT_TO_NOTHING;
        }

        $fits = self::density($reading->value, $number, $spread);
        if ($unopened) {
            $fits *= 1.0 - ForeignMachine::NOT_OPENED;
        }
        if (ForeignMachine::isIdle($test, $shown, $machine, $this->sound)) {
            $fits =
                (1.0 - ForeignMachine::PICKS_UP) * $fits + ForeignMachine::PICKS_UP * $this->pickedUp($reading->value);
        }

        return (1.0 - ForeignMachine::SLIPS) * $fits + ForeignMachine::SLIPS * $slip;
    }

    /** Density of so many volts at an idle place. */
    private function pickedUp(float $volts): float
    {
        $most = $this->alternates ? ForeignMachine::PICKED_UP : ForeignMachine::PICKED_UP_DIRECT;
        $size = $this->alternates ? $volts : abs($volts);
        $signs = $this->alternates ? 1.0 : 2.0;

        return $size > 0.0 && $size < $most ? 0.5 / sqrt($size * $most) / $signs : 0.0;
    }

    /** Density of a number that was read at another test. */
    private function copied(Reading $reading, Test $test): float
    {
        $sum = $others = 0.0;
        foreach ($this->readings as $other) {
            if (\is_float($other->value) && $other->test !== $reading->test && \is_float($reading->value)) {
                $sum += self::density($reading->value, $other->value, 0.0);
                ++$others;
            }
        }

        return $others > 0.0 ? $sum / $others : 0.0;
    }

    /** Normal, and rounded to three figures. */
    private static function density(float $x, float $mean, float $spread): float
    {
        $step = $x === 0.0 ? 1e-3 : 10.0 ** (floor(log10(abs($x))) - 2.0);

        return Likelihood::normalDensity($x, $mean, hypot($spread, 0.29 * $step));
    }

    /** @param non-empty-list<float> $rising */
    private static function quantile(array $rising, float $share): float
    {
        $place = $share * (\count($rising) - 1);
        $under = min((int) $place, \count($rising) - 2);

        return $rising[$under] + ($place - $under) * ($rising[$under + 1] - $rising[$under]);
    }

    /** @param array{0: float, 1: float} $ends */
    private static function between(array $ends, float $share): float
    {
        return $ends[0] + $share * ($ends[1] - $ends[0]);
    }

    /** Share of normal deviates under one, by the logistic curve that lies within 0.01 of it (Bowling and others 2009). */
    private static function share(float $z): float
    {
        $x = 0.07056 * $z ** 3 + 1.5976 * $z;

        return 1.0 / (1.0 + exp(-max(-500.0, min(500.0, $x))));
    }

    /** The deviate with a share of all under it, within 0.02 up to 2.5 (Tukey's lambda distribution). */
    private static function normal(float $share): float
    {
        return 4.91 * ($share ** 0.14 - (1.0 - $share) ** 0.14);
    }
}
