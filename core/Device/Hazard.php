<?php

declare(strict_types=1);

namespace Ispira\Core\Device;

/**
 * What can hurt somebody while a set-up stands.
 */
enum Hazard: string
{
    /** A battery or a 24 V transformer: no shock, but burns and fire. */
    case ExtraLow = 'extra-low';

    case Mains = 'mains';

    /** Rectified mains in capacitors, which stays when the power is off. */
    case StoredCharge = 'dc-bus';

    /** Something turns or travels, or may begin to by itself. */
    case Moving = 'moving';

    case Hot = 'hot';

    /** Fuel or exhaust gas. */
    case Gas = 'gas';

    /** Whether hands have to wait until it is gone. */
    public function keepsHandsOut(): bool
    {
        return $this !== self::Hot && $this !== self::Gas;
    }

    /** Whether bare hands stay off wires and plugs too. */
    public function shocks(): bool
    {
        return $this === self::Mains || $this === self::StoredCharge;
    }
}
