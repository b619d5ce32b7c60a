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

    /** @return array<string, string> direction by column */
    public function by(ListView $view): array
    {
        return match ($this) {
            self::Touched => match ($view) {
                // What is awaited first comes first.
                ListView::Part => ['part_expected_on' => 'asc', 'id' => 'asc'],
                ListView::Due => ['due_on' => 'asc', 'id' => 'asc'],
                default => ['updated_at' => 'desc', 'id' => 'desc'],
            },
            self::Newest => ['number' => 'desc'],
            self::Oldest => ['number' => 'asc'],
        };
    }
}
