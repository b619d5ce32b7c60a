<?php

declare(strict_types=1);

namespace App\Units;

use App\Models\Unit;

/**
 * A unit beside another one: of the same model, or perhaps the same twice.
 */
final readonly class UnitNear
{
    public function __construct(
        public string $id,
        public string $name,
        public ?string $place,
        public ?string $model,
        public int $jobs,
    ) {}

    /** A unit whose jobs were counted with it. */
    public static function of(Unit $unit): self
    {
        return new self(
            id: $unit->id,
            name: $unit->name,
            place: $unit->place,
            model: $unit->model,
            jobs: (int) $unit->getAttribute('jobs_count'),
        );
    }
}
