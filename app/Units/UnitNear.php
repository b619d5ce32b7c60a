<?php

declare(strict_types=1);

namespace App\Units;

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
}
