<?php

declare(strict_types=1);

namespace Ispira\Core\Device;

enum AdjustmentKind: string
{
    case Set = 'set';

    /** Takes the value of another parameter: what this machine has in a position. */
    case Follow = 'follow';
    case Add = 'add';
    case Scale = 'scale';
    case AtLeast = 'at-least';
    case AtMost = 'at-most';
}
