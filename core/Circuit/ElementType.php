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

    /**
     * Armature of a motor whose field comes from its own current and from a shunt winding; parameters as in {@see
     * CompoundMotor}.
     */
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

    /** Capacitor at the line frequency; parameters `ohms` (in series), `microfarads`, `leakOhms`, `hertz`. */
    case Capacitor = 'capacitor';

    /** First section of a single-phase induction motor's main winding; parameters as in {@see InductionMotor}. */
    case InductionMotor = 'induction-motor';

    /** Another section on the same iron; parameters `ohms`, `reactance`, `turns` over those of the first section. */
    case MainWinding = 'main-winding';

    /** The winding that makes the field turn; parameters as a main winding's. */
    case AuxiliaryWinding = 'auxiliary-winding';

    /** Line side of a motor with its own electronics; parameters as in {@see ElectronicMotor}. */
    case ElectronicMotor = 'electronic-motor';

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

    /** Whether its voltage holds a part that comes from a motor's flux. */
    public function isOnIron(): bool
    {
        return $this === self::InductionMotor || $this === self::MainWinding || $this === self::AuxiliaryWinding;
    }

    /** Whether it moves something in an alternating-current circuit. */
    public function moves(): bool
    {
        return $this === self::Contactor || $this === self::InductionMotor || $this === self::ElectronicMotor;
    }

    /** The name of the parameter that is this element's series resistance. */
    public function resistanceParameter(): string
    {
        return match ($this) {
            self::Motor, self::CompoundMotor => 'armatureOhms',
            // On direct current only its leak conducts.
            self::Capacitor => 'leakOhms',
            default => 'ohms',
        };
    }
}
