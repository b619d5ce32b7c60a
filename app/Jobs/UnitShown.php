<?php

declare(strict_types=1);

namespace App\Jobs;

use Ispira\Core\Job\Again;

/**
 * A unit that the workshop knows.
 */
final readonly class UnitShown
{
    /**
     * @param list<PastJob> $history
     * @param list<Again> $again what was replaced on it or its model not long ago
     */
    public function __construct(
        public string $id,
        public string $name,
        public ?string $place,
        public ?string $model,
        public ?string $note,
        public array $history,
        public array $again,
    ) {}
}
