<?php

declare(strict_types=1);

namespace App\Learning;

/**
 * The jobs behind one number.
 */
enum ResultsWhich: string
{
    case All = 'all';
    case Right = 'right';
    case Not = 'not';
    case CameBack = 'came-back';

    public function label(): string
    {
        return match ($this) {
            self::All => 'All that were closed',
            self::Right => 'Right first time',
            self::Not => 'Not right first time',
            self::CameBack => 'Came back',
        };
    }
}
