<?php

declare(strict_types=1);

namespace App\Instruments;

use App\Http\Page;

final readonly class BenchRunsPage extends Page
{
    /**
     * @param list<BenchRunShown> $runs
     * @param list<string> $cautions
     */
    public function __construct(public array $runs, public array $cautions) {}
}
