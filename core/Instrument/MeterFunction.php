<?php

declare(strict_types=1);

namespace Ispira\Core\Instrument;

use Ispira\Core\Device\CircuitModel;
use Ispira\Core\Device\Quantity;
use Ispira\Core\Device\Test;

/**
 * What a bench meter measures, by the name that SCPI gives it (SCPI 1999, volume 2, MEASure subsystem).
 */
enum MeterFunction: string
{
    case VoltsDc = 'VOLT:DC';
    case VoltsAc = 'VOLT:AC';
    case AmpsDc = 'CURR:DC';
    case AmpsAc = 'CURR:AC';
    case Ohms = 'RES';
    case Capacitance = 'CAP';
    case Frequency = 'FREQ';

    /** The function that a test needs; null where a bench meter has none for it. */
    public static function for(Test $test, CircuitModel $circuit): ?self
    {
        $alternates = $circuit->netlist->alternates();

        return match ($test->probe->quantity) {
            Quantity::Volts => $alternates ? self::VoltsAc : self::VoltsDc,
            Quantity::Amps => $alternates ? self::AmpsAc : self::AmpsDc,
            Quantity::Ohms => self::Ohms,
            Quantity::Capacitance => self::Capacitance,
            Quantity::Frequency => self::Frequency,
            default => null,
        };
    }

    /**
     * The function of a name as a meter answers it, short or long form, quoted or not; null for one that is not known
     * here.
     */
    public static function named(string $answer): ?self
    {
        $name = strtoupper(trim($answer, " \t\r\n\"'"));
        $name = str_replace(
            ['VOLTAGE', 'CURRENT', 'RESISTANCE', 'FRESISTANCE', 'CAPACITANCE', 'FREQUENCY'],
            ['VOLT', 'CURR', 'RES', 'RES', 'CAP', 'FREQ'],
            $name,
        );

        return self::tryFrom(
            match ($name) {
                'VOLT' => 'VOLT:DC',
                'CURR' => 'CURR:DC',
                'FRES' => 'RES',
                default => $name,
            },
        );
    }

    /** As it stands on the dial. */
    public function label(): string
    {
        return match ($this) {
            self::VoltsDc => 'DC volts',
            self::VoltsAc => 'AC volts',
            self::AmpsDc => 'DC amperes',
            self::AmpsAc => 'AC amperes',
            self::Ohms => 'ohms',
            self::Capacitance => 'capacitance',
            self::Frequency => 'frequency',
        };
    }

    /** What one SI unit of the meter is in the unit that the test is computed in. */
    public function toBase(): float
    {
        return $this === self::Capacitance ? 1e6 : 1.0;
    }
}
