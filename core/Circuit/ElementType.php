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

    /** One more winding on a motor's shaft; parameters `ohms`, `emfConstant`. */
    case Winding = 'winding';

    /** Armature of a motor whose field comes from its own current and from a shunt winding; parameters as in {@see CompoundMotor}. */
    case CompoundMotor = 'compound-motor';

    /** Supply side of a speed module; parameter `ohms`. */
    case ModuleInput = 'module-input';

    /** Motor side of a speed module, averaged over a pulse period; parameters as in {@see SpeedModule}. */
    case ModuleOutput = 'module-output';

    /** Input of a control that reads a signal; parameter `ohms`, see {@see Control}. */
    case ControlInput = 'control-input';

    /** Alternating voltage source, effective values; parameters `volts`, `ohms`. */
    case AlternatingSource = 'alternating-source';

    /** Linear impedance at the line frequency; parameters `ohms`, `reactance`. */
    case Impedance = 'impedance';

    /** Alternating-current coil with an armature that seals; parameters as in {@see Contactor}. */
    case Contactor = 'contactor';

    /** Whether its voltage has a part that its own current does not explain. */
    public function hasEmf(): bool
    {
        return match ($this) {
            self::Motor, self::Winding, self::CompoundMotor, self::ModuleInput, self::ModuleOutput => true,
            default => false,
        };
    }

    /** Whether it holds a voltage at an end that nothing else touches. */
    public function drives(): bool
    {
        return match ($this) {
            self::Source, self::Winding, self::ModuleOutput => true,
            default => false,
        };
    }

    /** The name of the parameter that is this element's series resistance. */
    public function resistanceParameter(): string
    {
        return $this === self::Motor || $this === self::CompoundMotor ? 'armatureOhms' : 'ohms';
    }
}
