<?php

declare(strict_types=1);

namespace Ispira\Core\Device;

enum AdjustmentKind: string
{
    case Set = 'set';
    case Add = 'add';
    case Scale = 'scale';
    case AtLeast = 'at-least';
    case AtMost = 'at-most';
}
