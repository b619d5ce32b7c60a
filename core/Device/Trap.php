<?php

declare(strict_types=1);

namespace Ispira\Core\Device;

/**
 * How a good reading of a test misleads.
 */
enum Trap: string
{
    /** Full voltage without a load passes through one strand or kilohms of corrosion. */
    case NoLoad = 'no-load';

    /** A bright load lamp does not clear a tenth of an ohm. */
    case Lamp = 'lamp';

    /** A small lamp burns on a feed that cannot run a motor. */
    case SmallLamp = 'small-lamp';

    /** An idle winding tap carries voltage by itself. */
    case IdleTap = 'idle-tap';

    /** An idle wire shows a voltage that no load could take. */
    case Ghost = 'ghost';

    /** A meter averages a pulsed line, and a still one may rest at either end. */
    case Averaged = 'averaged';

    /** Two connected parts: full supply at every setting clears neither. */
    case Together = 'together';
}
