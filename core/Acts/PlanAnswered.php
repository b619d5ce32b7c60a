<?php

declare(strict_types=1);

namespace Ispira\Core\Acts;

use Ispira\Core\Device\CircuitModel;
use Ispira\Core\Device\ParameterError;
use Ispira\Core\Diagnosis\Inference\Judged;
use Ispira\Core\Pages\JobPlans;
use Ispira\Core\Planning\Figure;
use Ispira\Core\Planning\Plan;
use Ispira\Core\Planning\Planner;
use Ispira\Core\Reading\Reading;
use Ispira\Core\Reading\RefusedReading;
use Ispira\Core\Repair\Ledger\Entry;
use Ispira\Core\Repair\Ledger\EntryKind;
use Ispira\Core\Repair\Ledger\EntryRefused;

/**
 * What a planner answered, kept with a job or taken down as readings.
 */
final readonly class PlanAnswered
{
    /** @param array<array-key, mixed> $values as they were typed */
    public function __construct(private Planner $planner, private array $values) {}

    /**
     * Its values, what it refuses and what it found.
     *
     * @throws ParameterError with a message at each field that was left empty or cannot be read
     */
    public function entry(string $id): Entry
    {
        $plan = $this->plan();

        return Entry::read($id, EntryKind::Planned, [
            'planner' => $this->planner->key(),
            'values' => JobPlans::packed($this->values),
            'said' => [
                ...array_map(static fn(string $one): string => "Refused: $one", $plan->refusals),
                ...$plan->findings,
                ...array_map(static fn(Figure $one): string => "$one->label: $one->value", $plan->figures),
            ],
        ]);
    }

    /**
     * Values that were worked out, as readings of tests.
     *
     * @param array<array-key, mixed> $takes each with the id of the reading, the number of the value and its test
     *
     * @return list<Reading>
     *
     * @throws ParameterError|EntryRefused
     */
    public function readings(CircuitModel $circuit, array $takes): array
    {
        $plan = $this->plan();
        $readings = [];
        foreach ($takes as $take) {
            $take = \is_array($take) ? $take : [];
            $number = is_numeric($take['number'] ?? null) ? (int) $take['number'] : -1;
            $worked = $plan->worked[$number] ?? null;
            $test = \is_string($take['test'] ?? null) ? $circuit->tests[$take['test']] ?? null : null;
            if ($worked === null || $test === null || !$worked->belongsTo($test)) {
                throw new EntryRefused('test', 'That value does not belong to this test. Reload the page.');
            }
            try {
                $value = is_infinite($worked->value) ? null : Judged::intake($circuit)->within($test, $worked->value);
            } catch (RefusedReading $refused) {
                throw new EntryRefused('test', $refused->getMessage());
            }
            $readings[] = new Reading(
                \is_string($take['id'] ?? null) ? $take['id'] : '',
                $test->key,
                $value,
                instrument: $this->planner->texts()->get('name'),
            );
        }

        return $readings;
    }

    /** @throws ParameterError */
    private function plan(): Plan
    {
        // What a job is told has to be there: an example's value never stands in for it.
        $empty = $this->planner->parameters()->leftEmpty($this->values + $this->planner->parameters()->blank());

        return $empty === []
            ? $this->planner->plan($this->planner->parameters()->read($this->values))
            : throw new ParameterError($empty);
    }
}
