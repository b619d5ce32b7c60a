<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Http\Page;
use Ispira\Core\Device\FinderStep;

final readonly class NewJobPage extends Page
{
    /**
     * @param list<FamilyChoice> $families
     * @param list<UnitNamed> $units that are called like what was typed
     * @param string $name that was typed of the unit
     * @param string $model that was typed
     * @param UnitShown|null $unit of exactly that name
     * @param KnownCircuit|null $known from an earlier job of it, or of its model
     * @param list<FinderStep> $finder the first question first
     */
    public function __construct(
        public array $families,
        public array $units,
        public string $name,
        public string $model,
        public ?UnitShown $unit,
        public ?KnownCircuit $known,
        public IntakeStart $start,
        public array $finder,
    ) {}
}
