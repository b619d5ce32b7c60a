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
 * A machine of a world that is wider than the engine's, and the person who tests it.
 *
 * Its values come from a table of their own, {@see ForeignWorld}; the person's ears call slow and fast what they please; the
 * meter is off by its own share and its leads are not zeroed; one reading in a hundred or so is a slip.
 */
final class ForeignMachine
{
    /** Share of readings that are slips; of those, the shares that are another reading's number, and of the others those a decimal point off. */
    public const SLIPS = 0.015;
    public const SLIPS_COPIED = 0.4;
    public const SLIPS_DECIMAL = 0.5;

    /** Ω of leads that nobody zeroed, and share by which meters are off. */
    public const LEADS = [0.05, 0.4];
    public const METER_OFF = 0.012;

    /** Spread of a number over that of {@see MeterAccuracy}, and share of the right speed under which a person calls slow. */
    public const METER_NOISE = 0.5;
    public const SLOW_UNDER = [0.82, 0.94];
    public const DEAD_UNDER = 0.06;
    public const EAR = 0.015;

    /**
     * Share of idle places that pick something up, and the most beside alternating current and, of either sign, on
     * direct current; mostly it is far less.
     */
    public const PICKS_UP = 0.6;
    public const PICKED_UP = 1.2;
    public const PICKED_UP_DIRECT = 0.3;
    public const DRIVEN_FROM = 2e-4;
    public const LIVE_FROM = 5.0;
    public const CUT_OFF_UNDER = 0.03;

    /** Share of meters that do not open what is in electronics, and Ω from which that may be. */
    public const NOT_OPENED = 0.35;
    public const ELECTRONICS_FROM = 1e3;

    /** Most that a lead that is off its place shows. */
    public const NEXT_TO_NOTHING = 0.3;

    private readonly CircuitModel $circuit;

    private readonly OneMachine $machine;

    private readonly Hypothesis $sound;

    private readonly bool $alternates;

    private readonly float $leads;

    private readonly float $off;

    private readonly float $slowUnder;

    /** @var array<string, float> numbers that were read, by test */
    private array $read = [];

    /** @var array<string, true> ids of readings that were slips */
    public array $slips = [];

    /** @param CircuitModel $circuit as its tests are done by hand, see {@see Hands} */
    public function __construct(
        CircuitModel $circuit,
        private readonly ForeignScenario $scenario,
        private readonly RandomSource $chance,
    ) {
        $this->circuit = $scenario->added === null ? $circuit : $circuit->withElement($scenario->added);
        $this->machine = OneMachine::of($this->circuit, ForeignWorld::machine($this->circuit, $chance));
        // What was added to the netlist is the fault: without it, the machine is sound.
        $this->sound = $scenario->added === null ? Hypothesis::sound() : Leak::without();
        $this->alternates = $this->circuit->netlist->alternates();
        $this->leads = $chance->between(...self::LEADS);
        $this->off = self::METER_OFF * $chance->normal();
        $this->slowUnder = $chance->between(...self::SLOW_UNDER);
    }

    /**
     * Steps through the selector.
     *
     * @return list<Reading>|null null when the person finds nothing to complain of
     */
    public function map(): ?array
    {
        $readings = [];
        $complains = false;
        foreach ($this->circuit->positions as $key => $_) {
            $reading = $this->read("m-$key", $this->circuit->speedTest((string) $key));
            $complains = $complains || $reading->value !== 'right';
            $readings[] = $reading;
        }
        if (!$complains && $this->scenario->misheard) {
            $number = (int) $this->chance->between(0.0, \count($readings));
            $test = $this->circuit->tests[$readings[$number]->test];
            $answers = array_values(array_diff(Judged::answers($this->circuit, $test), ['right']));
            $wrong = \in_array('slow', $answers, true)
                ? 'slow'
                : $answers[(int) $this->chance->between(0.0, \count($answers))];
            array_splice($readings, $number, 1, [new Reading($readings[$number]->id, $test->key, $wrong, true)]);
            $complains = true;
        }
        foreach ($this->circuit->tests as $test) {
            if ($test->asked) {
                $reading = $this->read("a-$test->key", $test);
                $readings[] = $reading;
                $usual = $this->circuit->observations[$test->probe->at]->usual;
                $complains = $complains || ($usual[(string) $reading->value] ?? 0.0) < 0.1;
            }
        }

        return $complains ? $readings : null;
    }

    /** What the person takes down. */
    public function read(string $id, Test $asked): Reading
    {
        $test = $this->circuit->tests[$asked->key];
        $quantity = $test->probe->quantity;
        if ($quantity === Quantity::Observation) {
            return new Reading($id, $test->key, $this->seen($test), true);
        }
        if (!$quantity->isNumber()) {
            return new Reading($id, $test->key, $this->called($test), true);
        }
        $shown = $this->number($test);
        if ($this->chance->happens(self::SLIPS)) {
            $this->slips[$id] = true;
            $shown = $this->slipped($shown, $quantity);
        } elseif (is_finite($shown)) {
            $this->read[$test->key] = $shown;
        }

        return new Reading($id, $test->key, is_finite($shown) ? self::rounded($shown) : null, true);
    }

    private function number(Test $test): float
    {
        $quantity = $test->probe->quantity;
        $number = $this->machine->shows($test, $this->scenario->state);
        if (!is_finite($number)) {
            return \INF;
        }
        if ($quantity === Quantity::Ohms) {
            $number += $this->leads;
        }
        if ($test->probe->electronics && $number > self::ELECTRONICS_FROM && $this->chance->happens(self::NOT_OPENED)) {
            return \INF;
        }
        if (self::isIdle($test, $number, $this->machine, $this->sound) && $this->chance->happens(self::PICKS_UP)) {
            $number += $this->mostPickedUp() * $this->chance->between(0.0, 1.0) ** 2;
        }

        $shown =
            $number * (1.0 + $this->off) +
            self::METER_NOISE * $this->chance->normal() * MeterAccuracy::spread($quantity, $number);

        // A meter on alternating current shows no sign.
        return $this->circuit->alternates($quantity) ? abs($shown) : $shown;
    }

    private function mostPickedUp(): float
    {
        return $this->alternates
            ? self::PICKED_UP
            : ($this->chance->happens(0.5) ? 1.0 : -1.0) * self::PICKED_UP_DIRECT;
    }

    /** Whether nothing drives a voltage that is measured. */
    public static function isIdle(Test $test, float $number, OneMachine $machine, Hypothesis $sound): bool
    {
        return $test->probe->quantity === Quantity::Volts &&
            (abs($number) < self::DRIVEN_FROM ||
                (abs($number) < self::CUT_OFF_UNDER && abs($machine->shows($test, $sound)) > self::LIVE_FROM));
    }

    private function slipped(float $number, Quantity $quantity): float
    {
        if ($this->read !== [] && $this->chance->happens(self::SLIPS_COPIED)) {
            return array_values($this->read)[(int) $this->chance->between(0.0, \count($this->read))];
        }
        if ($this->chance->happens(self::SLIPS_DECIMAL)) {
            return min($number, 1e3) * 10.0 ** ($this->chance->between(-1.0, 1.0) < 0.0 ? -1 : 1);
        }

        return $quantity === Quantity::Ohms ? \INF : $this->chance->between(0.0, self::NEXT_TO_NOTHING);
    }

    private static function rounded(float $number): float
    {
        return (float) sprintf('%.3g', $number);
    }

    private function seen(Test $test): string
    {
        return $this->chance->pick(
            Likelihood::observed($this->scenario->state, $test, $this->circuit->observations[$test->probe->at]->usual),
        );
    }

    private function called(Test $test): string
    {
        $number = $this->machine->judged($test, $this->scenario->state, $this->sound);
        if ($test->probe->quantity === Quantity::Lamp) {
            return $this->chance->pick(Judged::chances($this->circuit, $test, $number));
        }
        if ($this->circuit->kindIn($test) !== PositionKind::Runs || is_nan($number)) {
            return $this->chance->pick(Judged::chances($this->circuit, $test, $number));
        }
        // The person's own threshold, a little unsure of itself.
        $heard = $number + self::EAR * $this->chance->normal();

        return match (true) {
            abs($heard) < self::DEAD_UNDER => 'dead',
            $heard < $this->slowUnder => 'slow',
            $heard > 2.0 - $this->slowUnder => 'fast',
            default => 'right',
        };
    }
}
