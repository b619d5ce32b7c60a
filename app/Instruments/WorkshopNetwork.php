<?php

declare(strict_types=1);

namespace App\Instruments;

/**
 * Which addresses belong to a workshop's own network: meters are asked nowhere else.
 */
final class WorkshopNetwork
{
    public static function holds(string $host): bool
    {
        $address = filter_var($host, \FILTER_VALIDATE_IP) === false ? gethostbyname($host) : $host;
        if (filter_var($address, \FILTER_VALIDATE_IP) === false) {
            return false;
        }

        return filter_var($address, \FILTER_VALIDATE_IP, \FILTER_FLAG_NO_PRIV_RANGE | \FILTER_FLAG_NO_RES_RANGE) ===
            false;
    }
}
