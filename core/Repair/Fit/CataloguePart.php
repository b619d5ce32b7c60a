<?php

declare(strict_types=1);

namespace Ispira\Core\Repair\Fit;

use Ispira\Core\Device\OfferedRemedy;

/**
 * A part that the workshop knows, with its data for the fit check and its terms.
 */
final readonly class CataloguePart
{
    public const MAKES = [
        'original',
        'aftermarket',
        'salvage',
        'revision',
        'component',
        'assembly',
        'conversion',
        'appliance',
    ];

    /**
     * @param string                $number     part number: what it is known by
     * @param string                $make       one of {@see MAKES}
     * @param list<string>          $fits       what it replaces, as "family:part" or "family:part+part"
     * @param list<string>          $supersedes numbers of older revisions
     * @param array<string, string> $attributes by {@see FitAttribute}
     * @param float                 $price      of purchase
     * @param float                 $freight    with tax that is not given back
     * @param float|null            $selling    what the customer pays
     * @param int|null              $leadDays   null for no stock and no date
     * @param float                 $comeBack   chance within the first year, 0 to 1
     * @param float                 $lost       restocking and deposit when it was the wrong one
     */
    public function __construct(
        public string $number,
        public string $name,
        public PartType $type,
        public string $make,
        public array $fits,
        public array $supersedes,
        public array $attributes,
        public float $price,
        public float $freight,
        public ?float $selling,
        public ?int $leadDays,
        public int $warrantyMonths,
        public float $lifeYears,
        public float $comeBack,
        public float $lost,
    ) {}

    /**
     * The same as a way to cure a job of a family.
     *
     * @param array<string, float> $minutes labour by key of a part
     *
     * @return list<OfferedRemedy>
     */
    public function offers(string $family, array $minutes): array
    {
        $offers = [];
        foreach ($this->fits as $fits) {
            [$of, $parts] = explode(':', $fits, 2);
            if ($of !== $family) {
                continue;
            }
            $keys = explode('+', $parts);
            $labour = array_sum(array_map(static fn(string $key): float => $minutes[$key] ?? 0.0, $keys));
            $offers[] = new OfferedRemedy(
                "number:$this->number",
                "$this->name, $this->make, $this->number",
                match ($this->make) {
                    'original', 'aftermarket' => 'part',
                    default => $this->make,
                },
                $keys,
                [],
                $this->price + $this->freight,
                $labour,
                $this->leadDays,
                $this->warrantyMonths,
                $this->lifeYears,
                $this->comeBack,
                $this->lost,
                $this->supersedes === []
                    ? 'From the workshop\'s own catalogue, with its own terms.'
                    : 'Current revision of ' . implode(', ', $this->supersedes) . '.',
                'Compare it with the old part first: fit check.',
            );
        }

        return $offers;
    }
}
