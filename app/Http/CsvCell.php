<?php

declare(strict_types=1);

namespace App\Http;

/**
 * Cells of a table that another program opens: one that begins like a formula is made a text by an apostrophe before
 * it, which is taken off again when the table comes back.
 */
final class CsvCell
{
    private const FORMULA = '/^[=+\-@\t\r]/';

    private function __construct() {}

    public static function written(string|int|float|null $cell): string
    {
        $text = (string) $cell;

        // A number is none, whatever its sign.
        return !is_numeric($text) && preg_match(self::FORMULA, $text) === 1 ? "'$text" : $text;
    }

    public static function read(string $cell): string
    {
        return str_starts_with($cell, "'") && preg_match(self::FORMULA, substr($cell, 1)) === 1
            ? substr($cell, 1)
            : $cell;
    }
}
