<?php

declare(strict_types=1);

namespace App\Practice;

/**
 * One unit of a set, and how far the person is with it.
 */
final readonly class SetUnitShown
{
    /** @param string|null $job of the person on it; null where it was not begun */
    public function __construct(public string $circuit, public ?string $job, public bool $over) {}
}
