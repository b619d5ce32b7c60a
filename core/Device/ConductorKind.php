<?php

declare(strict_types=1);

namespace Ispira\Core\Device;

/**
 * Kinds of what carries current and may carry it badly.
 */
enum ConductorKind: string
{
    /** One pair of pins, a crimp, a bolted ring. */
    case Joint = 'joint';

    case HeavyWire = 'heavy wire';
    case SignalWire = 'signal wire';

    /** Along a building or a frame, for 24 V. */
    case FieldWire = 'field wire';

    case HeavyContact = 'heavy contact';
    case LightContact = 'light contact';

    /** With its clips. */
    case Fuse = 'fuse';

    /** @return array{0: float, 1: float} Ω between which nineteen of twenty sound ones lie */
    public function sound(): array
    {
        return Populations::between('ohms', $this->value);
    }

    /** @return array{0: float, 1: float} Ω that a bad one adds; beyond, it counts as open */
    public function burnt(): array
    {
        return Populations::between('burnt', $this->value);
    }
}
