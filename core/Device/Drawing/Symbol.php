<?php

declare(strict_types=1);

namespace Ispira\Core\Device\Drawing;

/**
 * The signs of a circuit sheet. Each but a box has two terminals, at the two ends of its length.
 */
enum Symbol: string
{
    case Wire = 'wire';
    case Resistor = 'resistor';
    case Fuse = 'fuse';
    case Contact = 'contact';
    case Relay = 'relay';
    case Plug = 'plug';
    case Motor = 'motor';
    case Battery = 'battery';
    case Coil = 'coil';
    case Module = 'module';
    case Signal = 'signal';
    case Mains = 'mains';
    case Transformer = 'transformer';
    case Vacuum = 'vacuum';
    case Tank = 'tank';
    case OneWay = 'one-way';
    case Diaphragm = 'diaphragm';
    case Winding = 'winding';
    case Capacitor = 'capacitor';
    case Jumper = 'jumper';
    case Lamp = 'lamp';

    /** Half of the length between its terminals; 0 for what is drawn as a line. */
    public function half(): float
    {
        return match ($this) {
            self::Wire, self::Jumper, self::Contact => 0.0,
            self::Plug => 6.0,
            self::Battery, self::Capacitor => 5.0,
            self::Relay, self::OneWay => 9.0,
            self::Fuse, self::Coil => 14.0,
            self::Signal, self::Mains, self::Lamp => 15.0,
            self::Vacuum, self::Diaphragm => 16.0,
            self::Resistor => 17.0,
            self::Winding, self::Tank => 18.0,
            self::Module => 19.0,
            self::Transformer => 20.0,
            self::Motor => 23.0,
        };
    }

    /** How far it reaches to either side of its length. */
    public function reach(): float
    {
        return match ($this) {
            self::Wire, self::Jumper, self::Contact => 0.0,
            self::Fuse, self::Plug => 6.0,
            self::Resistor => 7.0,
            self::Coil, self::OneWay => 8.0,
            self::Relay => 9.0,
            self::Winding => 11.0,
            self::Capacitor => 12.0,
            self::Tank => 13.0,
            self::Battery => 14.0,
            self::Signal, self::Mains, self::Module, self::Lamp => 15.0,
            self::Vacuum => 16.0,
            self::Transformer => 18.0,
            self::Diaphragm => 19.0,
            self::Motor => 23.0,
        };
    }

    /** Whether it is a line that joins what stands at its two ends. */
    public function joins(): bool
    {
        return $this === self::Wire || $this === self::Jumper;
    }
}
