<?php

declare(strict_types=1);

namespace Ispira\Core\Practice;

use Ispira\Core\Device\Texts;

/**
 * The sentences of practice, which are data.
 */
final class PracticeTexts
{
    private static ?Texts $texts = null;

    private function __construct() {}

    /** @param array<string, string> $words */
    public static function get(string $key, array $words = []): string
    {
        return self::texts()->get($key, $words);
    }

    public static function find(string $key): ?string
    {
        return self::texts()->find($key);
    }

    private static function texts(): Texts
    {
        return self::$texts ??= Texts::fromFile(__DIR__ . '/texts.en.json');
    }
}
