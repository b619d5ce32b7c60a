<?php

declare(strict_types=1);

namespace Ispira\Core\Kernel;

/**
 * Text that came from outside.
 */
final class Text
{
    private function __construct() {}

    /** At most so many characters of it, the last of them an ellipsis where it was longer; what is no UTF-8 is replaced. */
    public static function cut(string $text, int $most, string $ellipsis = '…'): string
    {
        $text = mb_scrub($text);

        return mb_strlen($text) <= $most ? $text : mb_substr($text, 0, $most - mb_strlen($ellipsis)) . $ellipsis;
    }
}
