<?php

declare(strict_types=1);

namespace App\Units;

/**
 * A part that was fitted to a unit.
 */
final readonly class FittedPart
{
    /**
     * @param string $on moment as ISO 8601
     * @param string|null $warrantyUntil YYYY-MM-DD
     * @param bool|null $held whether it cured the machine; null while nobody knows
     */
    public function __construct(
        public string $id,
        public string $label,
        public ?string $partNumber,
        public string $on,
        public ?string $by,
        public string $job,
        public string $jobId,
        public ?string $warrantyUntil,
        public bool $underWarranty,
        public bool $temporary,
        public ?bool $held,
    ) {}
}
