<?php

declare(strict_types=1);

namespace Ispira\Core\Circuit;

/**
 * The kinds of two-terminal element that a netlist may hold.
 */
enum ElementType: string
{
    /** Linear resistance; parameter `ohms`. */
    case Resistor = 'resistor';

    /** Voltage source from `to` (minus) to `from` (plus); parameters `volts`, `ohms` (internal). */
    case Source = 'source';

    /** Contact that is closed or open; parameter `ohms`, zero for an ideal closed one. */
    case Switch = 'switch';

    /** Relay coil; parameters `ohms`, `pullInVolts`, `dropOutVolts`. */
    case Coil = 'coil';

    /** Brushed motor with a fan load; parameters as in {@see BrushedMotor}. */
    case Motor = 'motor';

    /** The name of the parameter that is this element's series resistance. */
    public function resistanceParameter(): string
    {
        return $this === self::Motor ? 'armatureOhms' : 'ohms';
    }
}
