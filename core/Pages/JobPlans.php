<?php

declare(strict_types=1);

namespace Ispira\Core\Pages;

use Ispira\Core\Device\Family;
use Ispira\Core\Device\FamilyRegistry;
use Ispira\Core\Device\ParameterList;
use Ispira\Core\Device\Planned;
use Ispira\Core\Job\JobState;
use Ispira\Core\Pages\Shown\KeptPlan;
use Ispira\Core\Pages\Shown\PlannerHead;
use Ispira\Core\Planning\FilledFromJob;
use Ispira\Core\Planning\KnownOfJob;
use Ispira\Core\Planning\Planner;
use Ispira\Core\Planning\PlannerRegistry;
use Ispira\Core\Repair\Ledger\Entry;
use Ispira\Core\Repair\Ledger\EntryKind;

/**
 * The planners of a job: which it may need, what it tells them, and what was kept of their answers.
 */
final readonly class JobPlans
{
    public function __construct(private FamilyRegistry $families, private PlannerRegistry $planners) {}

    /** @return list<PlannerHead> what a job of this family may have to plan */
    public function heads(JobState $job): array
    {
        $family = $this->family($job);
        $planners = array_map($this->planners->find(...), $family instanceof Planned ? $family->planners() : []);

        return array_map(PlanView::head(...), array_values(array_filter($planners)));
    }

    /** @return array<string, string> the fields as a job begins with them: empty, but for what it knows */
    public function begun(JobState $job, Planner $planner): array
    {
        $circuit = $this->family($job)->parameters()->read($job->parameters);
        $known = new KnownOfJob($circuit, $job->case);

        return ($planner instanceof FilledFromJob ? $planner->filled($known) : []) + $planner->parameters()->blank();
    }

    /** @return list<KeptPlan> newest last */
    public function kept(JobState $job): array
    {
        return array_map(
            fn(Entry $one): KeptPlan => $this->keptOf($one, $job->head->id),
            $job->ledger->all(EntryKind::Planned),
        );
    }

    /** @param string $job id of the job in which it was kept */
    public function keptOf(Entry $entry, string $job): KeptPlan
    {
        $planner = $this->planners->find($entry->text('planner'));
        $values = $planner === null ? [] : self::unpacked($planner->parameters(), $entry->map('values'));

        return new KeptPlan(
            id: $entry->id,
            planner: $entry->text('planner'),
            name: $planner?->texts()->get('name') ?? $entry->text('planner'),
            said: $entry->list('said'),
            at: $entry->at,
            href: "/planners/{$entry->text('planner')}?" . http_build_query(['job' => $job, 'values' => $values]),
        );
    }

    /**
     * @param array<array-key, mixed> $values as they came with a request
     *
     * @return array<string, string> several numbers of one field joined by spaces
     */
    public static function packed(array $values): array
    {
        $packed = [];
        foreach ($values as $key => $value) {
            $packed[(string) $key] = implode(' ', array_filter((array) $value, is_scalar(...)));
        }

        return $packed;
    }

    /**
     * @param array<string, string> $values
     *
     * @return array<string, string|list<string>>
     */
    private static function unpacked(ParameterList $parameters, array $values): array
    {
        $unpacked = [];
        foreach ($values as $key => $value) {
            $unpacked[$key] = ($parameters->parameters[$key]->kind ?? '') === 'numbers' ? explode(' ', $value) : $value;
        }

        return $unpacked;
    }

    private function family(JobState $job): Family
    {
        return $this->families->get($job->family);
    }
}
