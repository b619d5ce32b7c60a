<?php

declare(strict_types=1);

namespace App\Console\Fuzz;

/**
 * For how long others on the same host had the processors of this virtual machine: said beside what was slow then. Linux
 * counts it as "steal" in /proc/stat; elsewhere nothing is known.
 */
final readonly class Processors
{
    /** Units of /proc/stat in a second. */
    private const TICKS = 100.0;
    private const STEAL = 8;

    public function __construct(private string $counters = '/proc/stat') {}

    /** Seconds for which they were away since the machine started, each on average. */
    public function away(): float
    {
        $lines = @file($this->counters) ?: [];
        $every = count(array_filter($lines, static fn(string $line): bool => preg_match('/^cpu\d/', $line) === 1));
        $all = preg_split('/\s+/', trim($lines[0] ?? '')) ?: [];

        return (float) ($all[self::STEAL] ?? 0.0) / self::TICKS / max(1, $every);
    }
}
