<?php

declare(strict_types=1);

namespace App\Instruments;

use App\Http\Page;

final readonly class InstrumentsPage extends Page
{
    /**
     * @param list<MeterShown> $meters
     * @param list<UnitChoice> $quantities
     */
    public function __construct(
        public array $meters,
        public ?MeterTried $tried,
        public float $leads,
        public string $system,
        public array $quantities,
    ) {}
}
