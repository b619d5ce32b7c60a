<?php

declare(strict_types=1);

namespace Ispira\Core\Device;

/**
 * What a person does in a test, by how near the body comes.
 */
enum Contact: string
{
    /** Looks and listens, hands off. */
    case Eyes = 'eyes';

    /** Holds the leads of an instrument at places that are named. */
    case Probes = 'probes';

    /** Taps or moves something with an insulated stick. */
    case Stick = 'stick';

    /** Handles 24 V wires that run outside every case with line voltage. */
    case SignalWires = 'signal-wires';

    /** Moves plugs and wires, or taps a housing, with bare hands. */
    case Wires = 'wires';

    /** Reaches in: turns, holds, feels, unplugs, takes off. */
    case Hands = 'hands';

    /** What is usual for a quantity; what is seen or heard is looked at. */
    public static function usual(Quantity $quantity): self
    {
        return match ($quantity) {
            Quantity::Speed, Quantity::Observation => self::Eyes,
            default => self::Probes,
        };
    }
}
