<?php

declare(strict_types=1);

namespace App\Learning;

/**
 * By what results are put together.
 */
enum ResultsBy: string
{
    case Month = 'month';
    case Family = 'family';
    case Model = 'model';
    case Person = 'person';

    public function label(): string
    {
        return match ($this) {
            self::Month => 'Month',
            self::Family => 'Circuit',
            self::Model => 'Model',
            self::Person => 'Person',
        };
    }

    /** What tells the groups apart, in SQL. */
    public function column(): string
    {
        return match ($this) {
            self::Month => "date_format(closed_on, '%Y-%m')",
            self::Family => 'family',
            self::Model => 'model',
            self::Person => 'owner_id',
        };
    }
}
