<?php

declare(strict_types=1);

namespace App\Log;

use Ispira\Core\Job\Shown\ReadingShown;

/**
 * A reading with where and how it was taken.
 */
final readonly class LoggedReading
{
    public function __construct(
        public ReadingShown $reading,
        public string $setUp,
        public string $place,
        public string $unit,
        public ?float $number,
    ) {}
}
