<?php

declare(strict_types=1);

namespace Ispira\Core\Diagnosis\Inference;

use Ispira\Core\Device\CircuitModel;
use Ispira\Core\Device\Fault;
use Ispira\Core\Device\Quantity;
use Ispira\Core\Device\Test;

/**
 * A circuit of which only one part lies on the bench: is it still good?
 *
 * Only its own faults are in question, together as likely as that nothing is wrong: it came loose, not with a
 * complaint. Only what can be seen and measured on it alone is offered.
 */
final class LoosePart
{
    private function __construct() {}

    public static function of(CircuitModel $circuit, string $part): CircuitModel
    {
        $own = array_values(array_filter($circuit->faults, static fn(Fault $one): bool => $one->part === $part));
        $all = array_sum(array_map(static fn(Fault $one): float => $one->prior, $own));
        $faults = array_map(
            static fn(Fault $one): Fault => $one->weighing(
                ($one->prior / max($all, 1e-12)) * HypothesisList::NOTHING_WRONG_PRIOR,
            ),
            $own,
        );
        $seen = [];
        foreach ($own as $fault) {
            $seen += $fault->observed;
        }
        $tests = array_values(
            array_filter(
                $circuit->tests,
                static fn(Test $test): bool => !$test->offered || self::isOnTheBench($circuit, $test, $seen),
            ),
        );

        return new CircuitModel(
            identity: [...$circuit->identity, 'loose', $part],
            netlist: $circuit->netlist,
            supply: $circuit->supply,
            unknowns: $circuit->unknowns,
            assign: $circuit->assigned(...),
            positions: array_values($circuit->positions),
            setUps: array_values($circuit->setUps),
            tests: $tests,
            observations: array_values($circuit->observations),
            faults: $faults,
            pairs: [],
            parts: array_values($circuit->parts),
            causeChecks: [],
            accessMinutes: $circuit->accessMinutes,
            places: $circuit->places,
            sheet: $circuit->sheet,
            texts: $circuit->texts,
        );
    }

    /** @param array<string, mixed> $seen observations of which its faults say something */
    private static function isOnTheBench(CircuitModel $circuit, Test $test, array $seen): bool
    {
        $setUp = $circuit->setUps[$test->setUp];
        // With a text of its own a set-up takes the machine apart; what is then fed from the bench needs no selector.
        $apart =
            $setUp->text !== null &&
            (!$circuit->positions[$setUp->position]->runs() ||
                str_starts_with($setUp->key, 'bench') ||
                str_starts_with($setUp->key, 'direct'));

        return match ($test->probe->quantity) {
            Quantity::Ohms, Quantity::Capacitance => true,
            Quantity::Observation => isset($seen[$test->probe->at]) &&
                ($apart || !$circuit->positions[$setUp->position]->runs()),
            default => $apart,
        };
    }
}
