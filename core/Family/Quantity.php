<?php

declare(strict_types=1);

namespace Ispira\Core\Family;

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
            default => '',
        };
    }

    /** Whether it is read between two places of the circuit while it works. */
    public function isPotential(): bool
    {
        return $this === self::Volts || $this === self::Vacuum;
    }

    public function isNumber(): bool
    {
        return $this->unit() !== '';
    }
}
