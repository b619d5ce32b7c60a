<?php

declare(strict_types=1);

namespace App\Http;

use Illuminate\Http\Request;

/**
 * What an address or a form asks for, whatever somebody has put there.
 */
final class Asked
{
    private function __construct() {}

    /** A text of at most so many characters; empty where it is missing, or no text. */
    public static function text(Request $request, string $field, int $most = 200): string
    {
        $given = $request->input($field);

        return is_string($given) || is_int($given) || is_float($given) ? mb_substr((string) $given, 0, $most) : '';
    }
}
