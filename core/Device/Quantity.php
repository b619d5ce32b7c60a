<?php

declare(strict_types=1);

namespace Ispira\Core\Device;

/**
 * What a probe observes.
 */
enum Quantity: string
{
    case Volts = 'volts';
    case Amps = 'amps';
    case Ohms = 'ohms';
    case Duty = 'duty';

    /** How far below the air outside; a family that writes it as a circuit takes kilopascals for volts. */
    case Vacuum = 'vacuum';
    /** Of a capacitor, out of the circuit. */
    case Capacitance = 'capacitance';

    /** Of the air through a heater. */
    case Rise = 'rise';

    /** That a fan makes. */
    case Pressure = 'pressure';

    /** Of pulses. */
    case Frequency = 'frequency';
    case Speed = 'speed';
    case Lamp = 'lamp';
    case Observation = 'observation';

    /** Unit symbol of a number, empty for what is chosen from a list. */
    public function unit(): string
    {
        return match ($this) {
            self::Volts => 'V',
            self::Amps => 'A',
            self::Ohms => 'Ω',
            self::Duty => '%',
            self::Vacuum => 'kPa',
            self::Capacitance => 'µF',
            self::Rise => 'K',
            self::Pressure => 'Pa',
            self::Frequency => 'Hz',
            default => '',
        };
    }

    /** Whether it can differ where currents do not: between dead ends. */
    public function isOfPlace(): bool
    {
        return \in_array($this, [self::Volts, self::Duty, self::Vacuum, self::Frequency], true);
    }

    /** Whether it grows with the supply: not so what belongs to a part alone, or what only a fan's air decides. */
    public function followsSupply(): bool
    {
        return match ($this) {
            self::Volts, self::Amps, self::Duty, self::Vacuum => true,
            default => false,
        };
    }

    public function isNumber(): bool
    {
        return $this->unit() !== '';
    }
}
