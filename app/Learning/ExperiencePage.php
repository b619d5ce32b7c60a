<?php

declare(strict_types=1);

namespace App\Learning;

use App\Http\Page;
use Ispira\Core\Learning\Calibration;

/** What the workshop's own jobs say. */
final readonly class ExperiencePage extends Page
{
    /**
     * @param list<CountedChoice> $families with their proven jobs
     * @param string|null $family that is shown; null where no job is proven yet
     * @param list<CountedChoice> $models of that family
     * @param string $model that is shown; empty for all of the family
     * @param list<OddsShown> $odds the likeliest first
     * @param float $jobs that were counted, of others too where their experience is taken in
     * @param float $elsewhere jobs about parts that this variant does not have
     * @param float $strength how many jobs the shipped odds are worth beside them
     * @param bool $used whether diagnoses begin with the own odds
     * @param list<ExperienceShown> $taken experience of others that is counted in
     */
    public function __construct(
        public array $families,
        public ?string $family,
        public array $models,
        public string $model,
        public array $odds,
        public float $jobs,
        public float $elsewhere,
        public float $strength,
        public bool $used,
        public Calibration $calibration,
        public array $taken,
    ) {}
}
