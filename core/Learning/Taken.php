<?php

declare(strict_types=1);

namespace Ispira\Core\Learning;

use Ispira\Core\Device\CircuitModel;
use Ispira\Core\Device\Test;
use Ispira\Core\Job\FiledReading;

/**
 * How long a test took a person, with the way to where it is done: from the reading before it to its own.
 */
final readonly class Taken
{
    /** A gap of more than this, or of so many times what the test takes as shipped, was a break. */
    private const BREAK_MINUTES = 45.0;
    private const BREAK_TIMES = 6.0;

    /** Readings that came closer together than this were entered at once, from paper or by an instrument. */
    private const LEAST_MINUTES = 0.1;

    /**
     * @param float $shipped  minutes as shipped, for what had to be reached anew as well
     * @param string|null $reached the place that was reached anew for it; null where none had to be
     * @param string|null $at when it was read, as ISO 8601
     * @param bool $measured false where a break or a pile of readings hid how long it took: then as shipped
     */
    private function __construct(
        public Test $test,
        public float $minutes,
        public float $shipped,
        public bool $measured,
        public ?string $reached,
        public ?string $at,
    ) {}

    /**
     * Every test of a job but those of the speed map, which is one walk through its positions.
     *
     * @param list<FiledReading> $readings in the order taken
     *
     * @return list<self>
     */
    public static function on(CircuitModel $circuit, array $readings, WorkingHours $hours): array
    {
        $taken = $opened = [];
        $before = null;
        foreach ($readings as $one) {
            $test = $circuit->tests[$one->reading->test] ?? null;
            $at = $one->takenAt === null ? null : strtotime($one->takenAt);
            $at = $at === false ? null : $at;
            if ($test !== null && $test->offered && !$test->asked && $one->map === null) {
                $shipped = $circuit->minutes($test, $opened);
                $reached = array_values(array_diff($test->access, $opened))[0] ?? null;
                $gap = $at === null || $before === null ? null : $hours->between($before, $at);
                $most = min(max(self::BREAK_MINUTES, 1.5 * $shipped), self::BREAK_TIMES * max(1.0, $shipped));
                $measured = $gap !== null && $gap >= self::LEAST_MINUTES && $gap <= $most;
                $taken[] = new self($test, $measured ? $gap : $shipped, $shipped, $measured, $reached, $one->takenAt);
                array_push($opened, ...$test->access);
            }
            $before = $at ?? $before;
        }

        return $taken;
    }
}
