<?php

declare(strict_types=1);

namespace Ispira\Core\Pages;

/**
 * Two parts that are to be compared, as they were described.
 */
final readonly class FitAsked
{
    private const LONGEST = 200;

    /**
     * @param string                     $type      of part; empty for the usual one
     * @param array<string, string>|null $old       by attribute; null for what is on record
     * @param array<string, string>|null $new       by attribute; null for what is on record
     * @param string                     $candidate number of the new part; empty for what is on record
     */
    public function __construct(
        public string $type = '',
        public ?array $old = null,
        public ?array $new = null,
        public string $candidate = '',
    ) {}

    /**
     * What was typed about one part; null where nothing was.
     *
     * @return array<string, string>|null
     */
    public static function described(mixed $given): ?array
    {
        if (!\is_array($given)) {
            return null;
        }
        $texts = [];
        foreach ($given as $key => $value) {
            if (\is_string($value) && mb_strlen($value) <= self::LONGEST) {
                $texts[(string) $key] = $value;
            }
        }

        return $texts;
    }
}
