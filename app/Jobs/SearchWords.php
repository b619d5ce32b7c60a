<?php

declare(strict_types=1);

namespace App\Jobs;

/**
 * Words of a text, as they are kept for searching and as they are asked for.
 */
final class SearchWords
{
    /** With what words begin in the full-text index, so that those of one letter count there as well. */
    private const BEFORE = 'qx';
    /** Stands after a number of which more may follow. */
    public const BEGUN = '*';
    private const MOST_ASKED = 8;
    private const LONGEST = 60;

    private function __construct() {}

    /**
     * @param list<string|null> $texts
     *
     * @return list<string> each once
     */
    public static function of(array $texts): array
    {
        preg_match_all('/[\p{L}\p{N}]+/u', mb_strtolower(mb_scrub(implode(' ', $texts))), $found);
        $words = [];
        foreach ($found[0] as $word) {
            $word = mb_substr($word, 0, self::LONGEST);
            // A number is the same with and without its leading zeros.
            $words[] = preg_match('/^0+[1-9]\d*$/', $word) === 1 ? ltrim($word, '0') : $word;
        }

        return array_values(array_unique($words));
    }

    /** @return list<string> words that were typed; "J-0042" is a number, the end of "OV-44" a number that is only begun */
    public static function asked(string $typed): array
    {
        $said = (string) preg_replace('/\bj\s*-?\s*(?=\d)/i', '', mb_scrub($typed));
        preg_match_all('/(?<=[\p{L}\p{N}]-)\d+\b/u', $said, $begun);
        $begun = self::of($begun[0]);
        $words = array_map(
            static fn(string $word): string => \in_array($word, $begun, true) ? $word . self::BEGUN : $word,
            self::of([$said]),
        );

        return \array_slice($words, 0, self::MOST_ASKED);
    }

    /**
     * What is kept in a full-text index of MariaDB.
     *
     * @param list<string|null> $texts
     */
    public static function indexed(array $texts): string
    {
        return implode(' ', array_map(static fn(string $word): string => self::BEFORE . $word, self::of($texts)));
    }

    /** What asks such an index for all of these words, each of them begun; null where nothing was asked. */
    public static function match(string $typed): ?string
    {
        $words = self::asked($typed);

        return $words === []
            ? null
            : implode(
                ' ',
                array_map(
                    static fn(string $word): string => '+' . self::BEFORE . rtrim($word, self::BEGUN) . '*',
                    $words,
                ),
            );
    }
}
