<?php

declare(strict_types=1);

namespace Ispira\Core\Repair\Fit;

/**
 * How one attribute of a candidate stands to the old part's.
 */
enum FitVerdict: string
{
    case Same = 'same';
    case Compatible = 'compatible';
    case Adapt = 'adapt';
    case Unknown = 'unknown';
    case Wrong = 'wrong';

    /** The worse, the higher. */
    public function rank(): int
    {
        return (int) array_search($this, self::cases(), true);
    }
}
