<?php

declare(strict_types=1);

namespace App\Repair;

use App\Http\Page;

final readonly class DuePage extends Page
{
    /**
     * @param list<DueJob> $jobs
     * @param list<PartDue> $parts on order
     * @param list<LoanShown> $loans
     * @param list<OpenJobItems> $open
     * @param int $most how many jobs of each are shown
     */
    public function __construct(
        public array $jobs,
        public array $parts,
        public array $loans,
        public array $open,
        public int $most,
    ) {}
}
