<?php

declare(strict_types=1);

namespace App\Practice;

use Ispira\Core\Practice\Rung;

/**
 * What comes next for a person, and why.
 */
final readonly class NextShown
{
    public function __construct(
        public string $family,
        public string $circuit,
        public Rung $rung,
        public string $title,
        public string $why,
    ) {}
}
