<?php

declare(strict_types=1);

namespace Ispira\Core\Reading;

/**
 * How a reading came about, and so how often it is wrong for reasons that no model knows.
 */
enum Trust: string
{
    case Measured = 'measured';
    case Remembered = 'remembered';

    /** Chance of a slip: wrong pin, misread, misremembered. */
    public function slip(): float
    {
        return $this === self::Measured ? 0.02 : 0.2;
    }
}
