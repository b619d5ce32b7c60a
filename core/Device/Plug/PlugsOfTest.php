<?php

declare(strict_types=1);

namespace Ispira\Core\Device\Plug;

use Ispira\Core\Device\CircuitModel;

/**
 * The plugs at which a test is taken, read from the words of their places: "blower plug, supply pin", "Vm at the motor's
 * plug (red as a rule)".
 */
final class PlugsOfTest
{
    private function __construct() {}

    /**
     * @param string $at      node of the red lead
     * @param string $against node of the black lead
     *
     * @return list<PlugFace> those of several pins; one pin alone needs no drawing
     */
    public static function of(CircuitModel $circuit, string $at, string $against): array
    {
        $plugs = [];
        foreach ($circuit->places as $node => $place) {
            $read = self::read($place);
            if ($read === null) {
                continue;
            }
            [$plug, $label, $words, $colour] = $read;
            $lead = match ((string) $node) {
                $at => 'A',
                $against => 'B',
                default => null,
            };
            $lead ??= ($plugs[$plug][$label] ?? null)?->lead;
            $plugs[$plug][$label] = new PlugPin($label, $words, WireColour::read($colour), $lead);
        }
        $faces = [];
        foreach ($plugs as $title => $pins) {
            $held = array_filter($pins, static fn(PlugPin $pin): bool => $pin->lead !== null);
            if ($held !== [] && \count($pins) > 1) {
                $faces[] = PlugFace::of(ucfirst((string) $title), array_values($pins));
            }
        }

        return array_values(array_filter($faces));
    }

    /** @return array{0: string, 1: string, 2: string, 3: string}|null plug, label, words and colour of a pin */
    private static function read(string $place): ?array
    {
        if (preg_match('/^([^,]*\bplug), ([^,]+)/', $place, $found) === 1) {
            [, $plug, $words] = $found;
            $colour = '';
        } elseif (preg_match('/^(\S+) at the (\S+ plug)(?: \((.*)\))?$/', $place, $found) === 1) {
            [, $words, $plug] = $found;
            $colour = $found[3] ?? '';
        } else {
            return null;
        }
        $number = preg_match('/\bpin (\d+)\b/', "$words $colour", $pin) === 1 ? $pin[1] : null;

        return [$plug, $number ?? trim((string) preg_replace('/\b(pin|wire)\b/', '', $words)), $words, $colour];
    }
}
