<?php

declare(strict_types=1);

namespace Ispira\Core\Practice;

/**
 * What went wrong in several of a person's newest exercises: to be looked out for in the next one.
 */
final class WatchFor
{
    /** So many of the newest count, and a thing that went wrong in so many of them is told. */
    private const NEWEST = 10;
    private const OFTEN = 2;
    private const MOST_TOLD = 3;

    private function __construct() {}

    /**
     * @param list<list<string>> $weak of each exercise, newest first, see {@see Shown\ScoreShown}
     *
     * @return list<string> sentences, what went wrong most often first
     */
    public static function of(array $weak): array
    {
        $newest = \array_slice($weak, 0, self::NEWEST);
        $times = array_count_values(array_merge(...$newest));
        arsort($times);
        $told = [];
        foreach (array_filter($times, static fn(int $count): bool => $count >= self::OFTEN) as $what => $count) {
            [$kind, $quantity] = [...explode(':', (string) $what, 2), ''];
            if (PracticeTexts::find("watch.$kind") !== null) {
                $told[] = PracticeTexts::get("watch.$kind", [
                    'times' => (string) $count,
                    'of' => (string) \count($newest),
                    'quantity' => PracticeTexts::find("quantities.$quantity") ?? '',
                ]);
            }
        }

        return \array_slice($told, 0, self::MOST_TOLD);
    }
}
