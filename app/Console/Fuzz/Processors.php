<?php

declare(strict_types=1);

namespace App\Console\Fuzz;

/**
 * For how long others on the same host had the processors of this virtual machine: what was slow then was not slow by
 * its own doing. Linux counts it as "steal" in /proc/stat; elsewhere nothing is known, and nothing is excused.
 */
final class Processors
{
    /** Units of /proc/stat in a second. */
    private const TICKS = 100.0;
    private const STEAL = 8;

    /** @var list<array{0: float, 1: float}> moment and seconds away until then, over all processors */
    private array $seen = [];

    public function __construct(private readonly string $counters = '/proc/stat') {}

    public function look(float $now): void
    {
        $this->seen[] = [$now, $this->away()];
    }

    /**
     * Seconds for which they were away, each on average, since a moment.
     *
     * @param float $from seconds, as given to {@see look}: the last look before it counts
     */
    public function awaySince(float $from): float
    {
        $before = $this->seen[0][1] ?? $this->away();
        foreach ($this->seen as [$moment, $away]) {
            if ($moment > $from) {
                break;
            }
            $before = $away;
        }

        return $this->away() - $before;
    }

    private function away(): float
    {
        $lines = @file($this->counters) ?: [];
        $every = count(array_filter($lines, static fn(string $line): bool => preg_match('/^cpu\d/', $line) === 1));
        $all = preg_split('/\s+/', trim($lines[0] ?? '')) ?: [];

        return (float) ($all[self::STEAL] ?? 0.0) / self::TICKS / max(1, $every);
    }
}
