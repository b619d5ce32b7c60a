<?php

declare(strict_types=1);

namespace App\Practice;

use Ispira\Core\Practice\Rung;

/**
 * A rung of a family's ladder, and how far a person is on it.
 */
final readonly class RungShown
{
    /** @param 'passed'|'failed'|'open' $state by the last time */
    public function __construct(public Rung $key, public string $title, public string $about, public string $state) {}
}
