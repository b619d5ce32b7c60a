<?php

declare(strict_types=1);

namespace Ispira\Core\Diagnosis\Inference;

use Ispira\Core\Device\CircuitModel;
use Ispira\Core\Device\Fault;
use Ispira\Core\Device\Part;
use Ispira\Core\Device\Quantity;
use Ispira\Core\Device\Test;
use Ispira\Core\Reading\MeterAccuracy;

/**
 * A circuit of which only one part lies on the bench: is it still good?
 *
 * Only its own faults are in question, together as likely as that nothing is wrong: it came loose, not with a
 * complaint. Only what can be seen and measured on it alone is offered.
 */
final class LoosePart
{
    /** Odds of a wrong hook-up against those of a sound part. */
    private const HOOKED_WRONGLY = 0.15;

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
        // Somebody clipped it to the bench: that is in question as well, where it can go wrong.
        $clips = array_map(
            static fn(Fault $one): Fault => $one->weighing(
                $one->prior * self::HOOKED_WRONGLY * HypothesisList::NOTHING_WRONG_PRIOR,
            ),
            $circuit->hookUp,
        );
        $seen = [];
        foreach ($own as $fault) {
            $seen += $fault->observed;
        }
        $machine = OneMachine::asDeclared($circuit);
        $tests = array_values(
            array_filter(
                $circuit->tests,
                static fn(Test $test): bool => !$test->offered ||
                    (self::isOnTheBench($circuit, $test, $seen) && self::shows($machine, $test, $own)),
            ),
        );

        return $circuit->with(
            ['loose', $part],
            tests: $tests,
            faults: [...$faults, ...$clips],
            pairs: [],
            causeChecks: [],
            parts: [...array_values($circuit->parts), ...$clips === [] ? [] : [new Part(Part::HOOK_UP, 0.0, 3.0)]],
        );
    }

    /** Whether a test stands or falls with clips and jumpers. */
    public static function isHookedUp(Test $test): bool
    {
        return str_starts_with($test->setUp, 'bench') || str_starts_with($test->setUp, 'direct');
    }

    /**
     * Whether a number of a part out of its machine is changed by any of its faults.
     *
     * @param list<Fault> $own
     */
    private static function shows(OneMachine $machine, Test $test, array $own): bool
    {
        if ($test->probe->quantity !== Quantity::Ohms) {
            return true;
        }
        $sound = $machine->shows($test, Hypothesis::sound());
        foreach ($own as $fault) {
            foreach (\array_slice($fault->severities, -1) as $worst) {
                $state = new Hypothesis($fault->key, [$fault], [], 1.0, $worst->adjustments);
                if (MeterAccuracy::tellsApart(Quantity::Ohms, $machine->shows($test, $state), $sound)) {
                    return true;
                }
            }
        }

        return false;
    }

    /** @param array<string, mixed> $seen observations of which its faults say something */
    private static function isOnTheBench(CircuitModel $circuit, Test $test, array $seen): bool
    {
        $setUp = $circuit->setUps[$test->setUp];
        // With a text of its own a set-up takes the machine apart; what is then fed from the bench needs no selector.
        $apart = $setUp->text !== null && (!$circuit->positions[$setUp->position]->runs() || self::isHookedUp($test));

        return match ($test->probe->quantity) {
            Quantity::Ohms, Quantity::Capacitance => true,
            Quantity::Observation => isset($seen[$test->probe->at]) &&
                ($apart || !$circuit->positions[$setUp->position]->runs()),
            default => $apart,
        };
    }
}
