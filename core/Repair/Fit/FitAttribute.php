<?php

declare(strict_types=1);

namespace Ispira\Core\Repair\Fit;

/**
 * What an old part and its candidate are compared by.
 */
enum FitAttribute: string
{
    case Voltage = 'voltage';
    case SupplyType = 'supplyType';
    case Control = 'control';
    case ControlHertz = 'controlHertz';
    case Rotation = 'rotation';
    case Depth = 'depth';
    case BodyDiameter = 'bodyDiameter';
    case ShaftDiameter = 'shaftDiameter';
    case ShaftLength = 'shaftLength';
    case ShaftForm = 'shaftForm';
    case WheelSize = 'wheelSize';
    case WheelSide = 'wheelSide';
    case Mount = 'mount';
    case Power = 'power';
    case Amps = 'amps';
    case Speeds = 'speeds';
    case Microfarads = 'microfarads';
    case RatedVolts = 'ratedVolts';
    case CoilVolts = 'coilVolts';
    case ContactAmps = 'contactAmps';
    case Contacts = 'contacts';
    case Pins = 'pins';
    case ConnectorSex = 'connectorSex';
    case ConnectorKey = 'connectorKey';
    case PinFunctions = 'pinFunctions';
    case ThermalClass = 'thermalClass';
    case Cooling = 'cooling';
    case Software = 'software';

    /** What comes with the candidate, so that what differs goes on all the same. */
    case Brings = 'brings';

    public function label(): string
    {
        return match ($this) {
            self::Voltage => 'Supply voltage',
            self::SupplyType => 'Kind of supply',
            self::Control => 'Control',
            self::ControlHertz => 'Command frequency',
            self::Rotation => 'Rotation, seen from the lead end',
            self::Depth => 'Depth of the body',
            self::BodyDiameter => 'Body diameter',
            self::ShaftDiameter => 'Shaft diameter',
            self::ShaftLength => 'Shaft length',
            self::ShaftForm => 'Shaft form',
            self::WheelSize => 'Wheel diameter',
            self::WheelSide => 'Side of the wheel',
            self::Mount => 'Mount',
            self::Power => 'Power',
            self::Amps => 'Rated current',
            self::Speeds => 'Speeds or taps',
            self::Microfarads => 'Capacitance',
            self::RatedVolts => 'Rated voltage',
            self::CoilVolts => 'Coil voltage',
            self::ContactAmps => 'Contact rating',
            self::Contacts => 'Contacts',
            self::Pins => 'Pins of the connector',
            self::ConnectorSex => 'Connector, sex',
            self::ConnectorKey => 'Connector, key',
            self::PinFunctions => 'What each pin does',
            self::ThermalClass => 'Thermal class',
            self::Cooling => 'Vent, slot or fin side',
            self::Software => 'Settings and software',
            self::Brings => 'Comes with',
        };
    }

    public function unit(): string
    {
        return match ($this) {
            self::Voltage, self::RatedVolts, self::CoilVolts => 'V',
            self::ControlHertz => 'Hz',
            self::Depth, self::BodyDiameter, self::ShaftDiameter, self::ShaftLength, self::WheelSize => 'mm',
            self::Power => 'W',
            self::Amps, self::ContactAmps => 'A',
            self::Microfarads => 'µF',
            default => '',
        };
    }

    /** @return array<string, string> answers with their words; empty where it is written */
    public function choices(): array
    {
        return match ($this) {
            self::SupplyType => [
                'dc' => 'DC',
                'ac50' => 'AC 50 Hz',
                'ac60' => 'AC 60 Hz',
                'ac' => 'AC 50 or 60 Hz',
                'rectified' => 'DC from rectified mains',
            ],
            self::Control => [
                'switched' => 'switched on and off',
                'resistor' => 'resistor steps',
                'pwm-high' => 'pulses, active high',
                'pwm-low' => 'pulses, active low',
                'analogue' => '0 to 10 V or less',
                'taps-24' => '24 V taps',
                'line-taps' => 'line-voltage taps',
                'serial' => 'serial data',
            ],
            self::Rotation => [
                'cw' => 'clockwise',
                'ccw' => 'counter-clockwise',
                'reversible' => 'reversible by plug or setting',
            ],
            self::ShaftForm => [
                'round' => 'round',
                'flat' => 'one flat',
                'two-flats' => 'two flats',
                'keyed' => 'keyed or splined',
            ],
            self::WheelSide => ['lead-end' => 'at the lead end', 'far-end' => 'at the far end'],
            self::ConnectorSex => ['pins' => 'pins (male)', 'sockets' => 'sockets (female)', 'wires' => 'bare wires'],
            self::ThermalClass => ['a' => 'A, 105 °C', 'b' => 'B, 130 °C', 'f' => 'F, 155 °C', 'h' => 'H, 180 °C'],
            self::Software => [
                'none' => 'none',
                'switches' => 'switches to copy',
                'learned' => 'learns the machine',
                'coded' => 'coded to the machine',
            ],
            self::Brings => [
                'nothing' => 'nothing',
                'harness' => 'a harness or adapter plug',
                'bracket' => 'a bracket or band',
                'both' => 'harness and bracket',
            ],
            default => [],
        };
    }

    /** How to get it, before the strip-down where that can be. */
    public function hint(): string
    {
        return match ($this) {
            self::Depth
                => 'From mounting face to the deepest point: seen too late when it is only held beside the old one.',
            self::Rotation => 'Look at the end where the wires come out.',
            self::ConnectorSex => 'Look into the plug of the part itself, not of the harness.',
            self::PinFunctions => 'As "1 feed, 2 ground, 3 command".',
            self::Cooling => 'Where the slot or the fins face when fitted.',
            self::Mount => 'As "three ears at 120°, M5" or "belly band".',
            self::Brings => 'Of the candidate: what lies in its box.',
            default => '',
        };
    }

    public function isNumber(): bool
    {
        return $this->unit() !== '' || $this === self::Speeds || $this === self::Pins;
    }

    /** @return list<PartType> */
    public function types(): array
    {
        return match ($this) {
            self::Voltage => [PartType::Motor, PartType::Module, PartType::Board, PartType::Actuator, PartType::Other],
            self::SupplyType => [PartType::Motor, PartType::Module, PartType::Board],
            self::Control => [PartType::Motor, PartType::Module, PartType::Board, PartType::Actuator],
            self::ControlHertz => [PartType::Module],
            self::Rotation => [PartType::Motor, PartType::Module, PartType::Actuator],
            self::Depth => [PartType::Motor, PartType::Module, PartType::Pack, PartType::Actuator, PartType::Other],
            self::BodyDiameter, self::ShaftLength, self::WheelSize, self::WheelSide => [PartType::Motor],
            self::ShaftDiameter, self::ShaftForm => [PartType::Motor, PartType::Actuator],
            self::Brings => [PartType::Motor, PartType::Module, PartType::Pack, PartType::Board, PartType::Actuator],
            self::Mount => [
                PartType::Motor,
                PartType::Module,
                PartType::Pack,
                PartType::Board,
                PartType::Actuator,
                PartType::Other,
            ],
            self::Power => [PartType::Motor, PartType::Module],
            self::Amps => [PartType::Motor, PartType::Module, PartType::Pack, PartType::Selector],
            self::Speeds => [PartType::Motor, PartType::Module, PartType::Pack, PartType::Selector],
            self::Microfarads => [PartType::Motor, PartType::Capacitor],
            self::RatedVolts => [PartType::Capacitor],
            self::CoilVolts, self::ContactAmps, self::Contacts => [PartType::Relay],
            self::Pins, self::ConnectorSex, self::ConnectorKey, self::PinFunctions => [
                PartType::Motor,
                PartType::Module,
                PartType::Pack,
                PartType::Board,
                PartType::Relay,
                PartType::Selector,
                PartType::Actuator,
                PartType::Other,
            ],
            self::ThermalClass => [PartType::Motor],
            self::Cooling => [PartType::Motor, PartType::Module, PartType::Pack],
            self::Software => [PartType::Motor, PartType::Module, PartType::Board, PartType::Actuator],
        };
    }
}
