<?php

declare(strict_types=1);

namespace App\Instruments;

use Illuminate\Contracts\Session\Session;

/**
 * The resistance of the leads, measured once in a session and taken off of every resistance.
 */
final class Leads
{
    private const KEY = 'lead-ohms';

    /** More than this is no pair of leads but a bad one. */
    public const MOST_OHMS = 2.0;

    public static function ohms(Session $session): float
    {
        $ohms = $session->get(self::KEY);

        return is_float($ohms) ? $ohms : 0.0;
    }

    public static function put(Session $session, float $ohms): void
    {
        $session->put(self::KEY, $ohms);
    }

    public static function forget(Session $session): void
    {
        $session->forget(self::KEY);
    }
}
