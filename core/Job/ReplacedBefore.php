<?php

declare(strict_types=1);

namespace Ispira\Core\Job;

/**
 * Counts the parts in a note of what was replaced before: "fan, capacitor and contactor" are three.
 */
final class ReplacedBefore
{
    private function __construct() {}

    public static function count(?string $note): int
    {
        if ($note === null || preg_match('/^\s*(no|none|nothing|-)?\s*$/i', $note) === 1) {
            return 0;
        }

        return \count(
            array_filter(
                preg_split('/[,;+\n]|\band\b/i', $note) ?: [],
                static fn(string $part): bool => trim($part) !== '',
            ),
        );
    }
}
