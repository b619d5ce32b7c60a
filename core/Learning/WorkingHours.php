<?php

declare(strict_types=1);

namespace Ispira\Core\Learning;

/**
 * When a workshop is open, as far as it is known: of a night between two readings nobody has worked.
 */
final readonly class WorkingHours
{
    private const DAYS = ['mon', 'tue', 'wed', 'thu', 'fri', 'sat', 'sun'];

    /** So many days are looked at one by one; what lies further apart is no work in any case. */
    private const MOST_DAYS = 7;

    /**
     * @param string       $opens  HH:MM
     * @param string       $closes HH:MM
     * @param list<string> $days   "mon" to "sun"
     */
    public function __construct(
        private string $opens = '00:00',
        private string $closes = '24:00',
        private array $days = self::DAYS,
        private \DateTimeZone $zone = new \DateTimeZone('UTC'),
    ) {}

    /**
     * Minutes of work between two moments, in seconds since 1970. Within one day all of it was, also late in the
     * evening; from day to day only what lies in the hours.
     */
    public function between(int $from, int $to): float
    {
        [$first, $last] = [$this->local($from), $this->local($to)];
        if ($to <= $from || $first->format('Y-m-d') === $last->format('Y-m-d')) {
            return max(0, $to - $from) / 60.0;
        }
        $minutes = 0.0;
        $day = $first->setTime(0, 0);
        for ($n = 0; $n <= self::MOST_DAYS && $day <= $last; ++$n) {
            if (\in_array(self::DAYS[(int) $day->format('N') - 1], $this->days, true)) {
                $start = max($from, $this->at($day, $this->opens));
                $end = min($to, $this->at($day, $this->closes));
                $minutes += max(0, $end - $start) / 60.0;
            }
            $day = $day->modify('+1 day');
        }

        return $minutes;
    }

    private function local(int $moment): \DateTimeImmutable
    {
        return (new \DateTimeImmutable("@$moment"))->setTimezone($this->zone);
    }

    private function at(\DateTimeImmutable $day, string $time): int
    {
        [$hour, $minute] = array_map(intval(...), explode(':', $time));

        return $day->setTime($hour, $minute)->getTimestamp();
    }
}
