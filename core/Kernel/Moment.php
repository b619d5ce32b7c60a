<?php

declare(strict_types=1);

namespace Ispira\Core\Kernel;

/**
 * Reads a moment as RFC 3339 writes it, with its offset. Relative and incomplete ones are refused.
 */
final class Moment
{
    private const PATTERN = '/^(\d{4})-(\d\d)-(\d\d)[Tt ](\d\d):(\d\d):(\d\d)(\.\d{1,9})?([Zz]|[+-]\d\d:\d\d)$/';

    private function __construct() {}

    /** @throws UnreadableNumber */
    public static function read(string $text): \DateTimeImmutable
    {
        $shown = Text::cut($text, 40);
        if (preg_match(self::PATTERN, $text, $found) !== 1) {
            throw new UnreadableNumber("\"$shown\" is no time: write it as 2026-11-25T14:05:00Z, with its offset.");
        }
        [, $year, $month, $day, $hour, $minute, $second] = array_map(intval(...), \array_slice($found, 0, 7));
        if (
            !checkdate($month, $day, $year) ||
            $hour > 23 ||
            $minute > 59 ||
            $second > 60 ||
            $year < 1970 ||
            $year > 2100
        ) {
            throw new UnreadableNumber("\"$shown\" lies outside of what can be.");
        }

        return new \DateTimeImmutable($text);
    }
}
