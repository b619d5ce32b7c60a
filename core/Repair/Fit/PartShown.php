<?php

declare(strict_types=1);

namespace Ispira\Core\Repair\Fit;

use Ispira\Core\Kernel\Keyed;

/**
 * A part of the catalogue.
 */
final readonly class PartShown
{
    /**
     * @param list<string> $fits
     * @param list<string> $supersedes
     * @param Keyed<string> $attributes
     */
    public function __construct(
        public string $number,
        public string $name,
        public string $type,
        public string $make,
        public array $fits,
        public array $supersedes,
        public float $price,
        public float $freight,
        public ?float $selling,
        public ?int $leadDays,
        public int $warrantyMonths,
        public float $lifeYears,
        public float $comeBack,
        public float $lost,
        public Keyed $attributes,
    ) {}

    public static function of(CataloguePart $part): self
    {
        return new self(
            number: $part->number,
            name: $part->name,
            type: $part->type->value,
            make: $part->make,
            fits: $part->fits,
            supersedes: $part->supersedes,
            price: $part->price,
            freight: $part->freight,
            selling: $part->selling,
            leadDays: $part->leadDays,
            warrantyMonths: $part->warrantyMonths,
            lifeYears: $part->lifeYears,
            comeBack: $part->comeBack,
            lost: $part->lost,
            attributes: new Keyed($part->attributes),
        );
    }
}
