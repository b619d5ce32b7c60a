<?php

declare(strict_types=1);

namespace Ispira\Core\Practice;

use Ispira\Core\Device\CircuitModel;
use Ispira\Core\Device\Contact;
use Ispira\Core\Device\Hazard;
use Ispira\Core\Device\Quantity;
use Ispira\Core\Device\Test;
use Ispira\Core\Diagnosis\Presentation\Words;

/**
 * What would have hurt somebody in a workshop: an exercise stops there.
 */
final readonly class Danger
{
    private function __construct(public string $reason) {}

    /** Null where going at a test so is safe. */
    public static function of(CircuitModel $circuit, Test $test, HookUp $hookUp): ?self
    {
        $ohms = \in_array($test->probe->quantity, [Quantity::Ohms, Quantity::Capacitance], true);
        $near = \in_array($test->contact, [Contact::Hands, Contact::Wires], true);
        if (!$hookUp->isolated) {
            $hazards = $circuit->safety->hazards;
            $kept = array_filter(
                $hazards,
                static fn(Hazard $one): bool => $test->contact === Contact::Hands
                    ? $one->keepsHandsOut() && !self::isStilled($circuit, $test, $one)
                    : $test->contact === Contact::Wires && $one->shocks(),
            );
            // Where the words themselves leave it on, they know why.
            $asWords = !$circuit->setUps[$test->setUp]->isolated;
            $shocks = array_filter($hazards, static fn(Hazard $one): bool => $one->shocks()) !== [];

            return match (true) {
                $asWords => null,
                $kept !== [] => new self('hands-live'),
                $ohms && $shocks => new self('meter-live'),
                default => null,
            };
        }

        return ($near || $ohms) && !$hookUp->discharged && self::storesCharge($circuit) ? new self('charge') : null;
    }

    /** Shortcuts that are offered to who does not know better: all of them stop the exercise. */
    public static function shortcut(CircuitModel $circuit, string $key): ?self
    {
        return \in_array($key, self::shortcuts($circuit), true) ? new self($key) : null;
    }

    /** @return list<string> */
    public static function shortcuts(CircuitModel $circuit): array
    {
        $keys = [];
        if (
            array_filter(array_keys($circuit->parts), static fn(string $part): bool => str_contains($part, 'fuse')) !==
            []
        ) {
            $keys = ['bridge', 'larger'];
        }

        return \in_array(Hazard::Moving, $circuit->safety->hazards, true) ? [...$keys, 'spin'] : $keys;
    }

    /** Whether something in it holds a charge that bites after it was switched off. */
    public static function storesCharge(CircuitModel $circuit): bool
    {
        if (\in_array(Hazard::StoredCharge, $circuit->safety->hazards, true)) {
            return true;
        }
        $shocks = array_filter($circuit->safety->hazards, static fn(Hazard $one): bool => $one->shocks()) !== [];
        $capacitors = array_filter(
            $circuit->tests,
            static fn(Test $one): bool => $one->probe->quantity === Quantity::Capacitance,
        );

        return $shocks && $capacitors !== [];
    }

    /** @param string $reason its key */
    public static function inWords(CircuitModel $circuit, string $reason): string
    {
        $hazards = array_map(
            static fn(Hazard $one): string => Words::general("hazards.$one->value"),
            $circuit->safety->hazards,
        );

        return PracticeTexts::get("dangers.$reason", ['hazards' => ucfirst(implode(', ', $hazards))]);
    }

    private static function isStilled(CircuitModel $circuit, Test $test, Hazard $hazard): bool
    {
        return $hazard === Hazard::Moving && $circuit->setUps[$test->setUp]->still;
    }
}
