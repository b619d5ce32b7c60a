<?php

declare(strict_types=1);

namespace App\Jobs;

/**
 * A unit that the workshop knows.
 */
final readonly class UnitShown
{
    /**
     * @param list<PastJob> $history
     */
    public function __construct(
        public string $id,
        public string $name,
        public ?string $place,
        public ?string $model,
        public ?string $note,
        public array $history,
    ) {}
}
