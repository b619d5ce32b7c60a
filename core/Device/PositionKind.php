<?php

declare(strict_types=1);

namespace Ispira\Core\Device;

/**
 * What is right in a position.
 */
enum PositionKind: string
{
    /** The shaft turns at the speed of this step. */
    case Runs = 'runs';

    /** It stands. */
    case Stands = 'stands';

    /** It goes on to its place of rest and stops there. */
    case Parks = 'parks';

    /** A contactor or a door is driven to its end and stays there. */
    case Holds = 'holds';
}
