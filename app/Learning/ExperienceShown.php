<?php

declare(strict_types=1);

namespace App\Learning;

use App\Models\TakenExperience;

/**
 * Experience of another workshop that is counted in.
 */
final readonly class ExperienceShown
{
    public function __construct(
        public string $id,
        public string $name,
        public string $madeOn,
        public float $weight,
        public float $jobs,
    ) {}

    public static function of(TakenExperience $one): self
    {
        return new self($one->id, $one->name, $one->made_on->toDateString(), $one->weight, $one->jobs);
    }
}
