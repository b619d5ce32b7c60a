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
            default => '',
        };
    }

    public function isNumber(): bool
    {
        return $this->unit() !== '';
    }
}
