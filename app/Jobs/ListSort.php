<?php

declare(strict_types=1);

namespace App\Jobs;

/**
 * The order of a list.
 */
enum ListSort: string
{
    case Touched = 'touched';
    case Newest = 'newest';
    case Oldest = 'oldest';

    public function label(): string
    {
        return match ($this) {
            self::Touched => 'last worked on first',
            self::Newest => 'newest number first',
            self::Oldest => 'oldest number first',
        };
    }

    /** @return array{string, string} column and direction */
    public function by(): array
    {
        return match ($this) {
            self::Touched => ['updated_at', 'desc'],
            self::Newest => ['number', 'desc'],
            self::Oldest => ['number', 'asc'],
        };
    }
}
