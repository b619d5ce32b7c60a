<?php

declare(strict_types=1);

namespace Ispira\Core\Pages;

use Ispira\Core\Device\FamilyRegistry;
use Ispira\Core\Job\CircuitChange;
use Ispira\Core\Job\JobState;
use Ispira\Core\Pages\Shown\LeadOn;

/**
 * Suspects that belong to another circuit of the same machine, where the job can go on at once.
 */
final readonly class LeadsOn
{
    /** Odds from which it is worth saying. */
    private const FROM = 0.2;

    public function __construct(private FamilyRegistry $families) {}

    /**
     * @param array<string, float> $odds by remedy
     *
     * @return list<LeadOn>
     */
    public function of(JobState $job, array $odds): array
    {
        if (CircuitChange::refusal($job) !== null) {
            return [];
        }
        $leads = $job->repairSheet->leads;
        $texts = $job->circuit->texts;
        $on = [];
        foreach ($odds as $remedy => $probability) {
            $family = $leads[$remedy] ?? null;
            if ($family !== null && $probability >= self::FROM && $this->families->has($family)) {
                $on[] = new LeadOn(
                    part: $texts->get("parts.$remedy"),
                    family: $this->families->get($family)->texts()->get('name'),
                    href: "/jobs/{$job->head->id}/circuit/other?family=$family",
                );
            }
        }

        return $on;
    }
}
