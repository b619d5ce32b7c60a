<?php

declare(strict_types=1);

namespace App\Http;

/**
 * The one script that stands in the page itself: colours have to be known before anything is drawn. The policy of the
 * page names it by its hash, so that no other one runs.
 */
final class ThemeScript
{
    public const SOURCE = "try { const t = localStorage.getItem('ispira-theme'); if (t) document.documentElement.dataset.theme = t; } catch {}";

    private function __construct() {}

    public static function hash(): string
    {
        return "'sha256-" . base64_encode(hash('sha256', self::SOURCE, true)) . "'";
    }
}
