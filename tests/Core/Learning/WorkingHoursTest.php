<?php

declare(strict_types=1);

namespace Tests\Core\Learning;

use Ispira\Core\Learning\WorkingHours;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class WorkingHoursTest extends TestCase
{
    /** @return iterable<string, array{string, string, float}> in the time of the lake, two hours before UTC's in summer */
    public static function gaps(): iterable
    {
        yield 'within a morning' => ['2026-07-06 08:10', '2026-07-06 08:25', 15.0];
        yield 'late in the evening, on one day' => ['2026-07-06 20:00', '2026-07-06 20:30', 30.0];
        yield 'over a night' => ['2026-07-06 16:50', '2026-07-07 08:05', 15.0];
        yield 'over a weekend' => ['2026-07-03 16:30', '2026-07-06 08:30', 60.0];
        yield 'from an evening to the next' => ['2026-07-06 19:00', '2026-07-07 18:00', 540.0];
        yield 'on a Saturday and the Sunday after it' => ['2026-07-04 10:00', '2026-07-05 10:00', 0.0];
        yield 'backwards' => ['2026-07-06 10:00', '2026-07-06 09:00', 0.0];
        yield 'over the change of the clocks' => ['2026-10-23 16:45', '2026-10-26 08:15', 30.0];
    }

    #[DataProvider('gaps')]
    public function testOnlyTheHoursCountFromDayToDay(string $from, string $to, float $minutes): void
    {
        $zone = new \DateTimeZone('Europe/Berlin');
        $hours = new WorkingHours('08:00', '17:00', ['mon', 'tue', 'wed', 'thu', 'fri'], $zone);
        $at = static fn(string $moment): int => (new \DateTimeImmutable($moment, $zone))->getTimestamp();
        self::assertSame($minutes, $hours->between($at($from), $at($to)));
    }

    public function testWithoutHoursAllTimeCounts(): void
    {
        self::assertEqualsWithDelta(2880.0, (new WorkingHours())->between(0, 2 * 86_400), 1e-9);
    }
}
