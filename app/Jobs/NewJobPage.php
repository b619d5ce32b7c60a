<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Http\Page;
use Ispira\Core\Device\FinderStep;
use Ispira\Core\Kernel\Keyed;

final readonly class NewJobPage extends Page
{
    /**
     * @param list<FamilyChoice> $families
     * @param list<UnitShown> $units
     * @param list<FinderStep> $finder the first question first
     * @param Keyed<KnownCircuit> $models
     */
    public function __construct(
        public array $families,
        public array $units,
        public Keyed $models,
        public IntakeStart $start,
        public array $finder,
    ) {}
}
