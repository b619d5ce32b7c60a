<?php

declare(strict_types=1);

namespace Ispira\Core\Acts;

use Ispira\Core\Device\CircuitModel;
use Ispira\Core\Diagnosis\Inference\SpeedState;
use Ispira\Core\Repair\Ledger\EntryRefused;

/**
 * Reads the cells of a speed map as they were chosen.
 */
final class MapStates
{
    /**
     * @param bool $answered whether something else of the complaint was noted: the map may then stay empty
     *
     * @return array<string, string> state by position, without those not tried
     *
     * @throws EntryRefused
     */
    public static function read(mixed $given, CircuitModel $circuit, bool $whole = false, bool $answered = false): array
    {
        $states = [];
        foreach (is_array($given) ? $given : [] as $position => $state) {
            if ($state === null || $state === '') {
                continue;
            }
            $cell = $circuit->positions[$position] ?? null;
            if ($cell === null) {
                throw new EntryRefused(
                    'states',
                    "The selector has no position \"$position\". Reload the page: the circuit has changed.",
                );
            }
            $known = is_string($state) ? SpeedState::tryFrom($state) : null;
            if ($known === null || !in_array($known, SpeedState::possible($cell->kind), true)) {
                throw new EntryRefused('states', "Choose what the fan does in position $cell->label.");
            }
            $states[(string) $position] = $known->value;
        }
        if ($states === [] && !$answered) {
            throw new EntryRefused('states', 'Try every position and note what the fan does: at least one position.');
        }
        if ($whole && count($states) < count($circuit->positions)) {
            throw new EntryRefused('states', 'Every position counts for the proof: try the ones that are still open.');
        }

        return $states;
    }
}
