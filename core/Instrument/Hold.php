<?php

declare(strict_types=1);

namespace Ispira\Core\Instrument;

use Ispira\Core\Device\Quantity;
use Ispira\Core\Reading\MeterAccuracy;

/**
 * The last value that came to rest while the leads were on: it stays when they are taken off.
 */
final readonly class Hold
{
    /** @param float|null $value null for over-range */
    public function __construct(public ?float $value, public bool $wandered = false) {}

    /**
     * What is held after one more look at the samples.
     *
     * Leads in the air show nothing or over-range, and come to rest on it: that takes the place of
     * another value only when nothing was held before.
     */
    public static function after(?self $held, Steadiness $now, Quantity $quantity): ?self
    {
        if ($now->wanders && ($held === null || $held->wandered)) {
            return self::isNothing($now->value, $quantity) && $held !== null ? $held : new self($now->value, true);
        }
        if (!$now->held) {
            return $held;
        }

        return $held === null || $held->wandered || !self::isNothing($now->value, $quantity)
            ? new self($now->value)
            : $held;
    }

    private static function isNothing(?float $value, Quantity $quantity): bool
    {
        return $value === null || abs($value) <= 2.0 * MeterAccuracy::spread($quantity, 0.0);
    }
}
