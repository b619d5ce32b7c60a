<?php

declare(strict_types=1);

namespace App\People;

/**
 * What somebody is in a workshop.
 */
enum Role: string
{
    case Trainee = 'trainee';
    case Technician = 'technician';
    case Lead = 'lead';

    /** Whether it may do what at least that role is needed for. */
    public function reaches(self $least): bool
    {
        return array_search($this, self::cases(), true) >= array_search($least, self::cases(), true);
    }
}
