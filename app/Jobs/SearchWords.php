<?php

declare(strict_types=1);

namespace App\Jobs;

/**
 * Words as the full-text index keeps them, and as it is asked for them.
 *
 * Each stands behind two letters, so that words of one letter or number count too, and none is left out as too common.
 */
final class SearchWords
{
    private const BEFORE = 'qx';
    private const MOST_ASKED = 8;
    private const LONGEST = 60;

    private function __construct() {}

    /** @param list<string|null> $texts */
    public static function kept(array $texts): string
    {
        return implode(
            ' ',
            array_map(static fn(string $word): string => self::BEFORE . $word, self::of(implode(' ', $texts))),
        );
    }

    /** What asks for all of these words, each of them begun; null where nothing was asked. */
    public static function asked(string $text): ?string
    {
        $words = array_slice(self::of($text), 0, self::MOST_ASKED);

        return $words === []
            ? null
            : implode(' ', array_map(static fn(string $word): string => '+' . self::BEFORE . $word . '*', $words));
    }

    /** @return list<string> the same words as they stand among those that are kept, each of them begun */
    public static function begun(string $text): array
    {
        return array_map(
            static fn(string $word): string => self::BEFORE . $word,
            array_slice(self::of($text), 0, self::MOST_ASKED),
        );
    }

    /** @return list<string> each once; a number also without its leading zeros */
    private static function of(string $text): array
    {
        preg_match_all('/[\p{L}\p{N}]+/u', mb_strtolower(mb_scrub($text)), $found);
        $words = [];
        foreach ($found[0] as $word) {
            $word = mb_substr($word, 0, self::LONGEST);
            $words[] = preg_match('/^0+[1-9]\d*$/', $word) === 1 ? ltrim($word, '0') : $word;
        }

        return array_values(array_unique($words));
    }
}
