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
        return self::address($host) !== null;
    }

    /** The address of a host that belongs to it; null where it has none, or one of somewhere else. */
    public static function address(string $host): ?string
    {
        $address = filter_var($host, \FILTER_VALIDATE_IP) === false ? gethostbyname($host) : $host;
        $isAddress = filter_var($address, \FILTER_VALIDATE_IP) !== false;
        $isPublic = filter_var($address, \FILTER_VALIDATE_IP, \FILTER_FLAG_NO_PRIV_RANGE | \FILTER_FLAG_NO_RES_RANGE);

        return $isAddress && $isPublic === false ? $address : null;
    }
}
