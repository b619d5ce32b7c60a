<?php

declare(strict_types=1);

namespace App\Jobs;

/**
 * A unit that is offered while its name is typed.
 */
final readonly class UnitNamed
{
    public function __construct(public string $name, public ?string $place, public ?string $model) {}
}
