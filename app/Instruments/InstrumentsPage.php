<?php

declare(strict_types=1);

namespace App\Instruments;

use App\Http\Page;

final readonly class InstrumentsPage extends Page
{
    /**
     * @param list<MeterShown> $meters
     */
    public function __construct(public array $meters, public ?MeterTried $tried, public float $leads) {}
}
