<?php

declare(strict_types=1);

namespace App\Instruments;

use App\Models\User;
use Illuminate\Support\Facades\Cache;
use Ispira\Core\Instrument\MeterTrouble;

/**
 * One meter at a time for each person: who asks again while it is still being read holds no second worker.
 */
final class OneVisit
{
    /** A little longer than a visit may take, so that one that broke off stands in nobody's way. */
    private const SECONDS = 6;

    private function __construct() {}

    /**
     * @template T
     *
     * @param \Closure(): T $visit
     *
     * @return T
     *
     * @throws MeterTrouble
     */
    public static function of(User $user, \Closure $visit): mixed
    {
        $lock = Cache::lock("meter-visit|$user->id", self::SECONDS);
        if (!$lock->get()) {
            throw new MeterTrouble('A meter is being read for you already: it is shown in a moment.');
        }
        try {
            return $visit();
        } finally {
            $lock->release();
        }
    }
}
