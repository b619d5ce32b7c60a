<?php

declare(strict_types=1);

namespace Ispira\Core\Job;

use Ispira\Core\Reading\Trust;

/**
 * When a speed map was taken.
 */
enum MapKind: string
{
    case Before = 'before';
    case Remembered = 'remembered';
    case After = 'after';

    public function trust(): Trust
    {
        return $this === self::Remembered ? Trust::Remembered : Trust::Measured;
    }
}
