<?php

declare(strict_types=1);

namespace Tests\Core\Practice;

use Ispira\Core\Practice\NextExercise;
use Ispira\Core\Practice\PastExercise;
use Ispira\Core\Practice\Rung;
use Ispira\Core\Practice\WatchFor;
use PHPUnit\Framework\TestCase;

final class NextExerciseTest extends TestCase
{
    private const LADDERS = [
        'blower' => [Rung::Map, Rung::OwnWay, Rung::Chains],
        'wiper' => [Rung::Map, Rung::OwnWay],
    ];

    /** @param list<array{0: string, 1: Rung, 2: bool, 3: float}> $done */
    private static function next(array $done): string
    {
        $next = NextExercise::of(
            array_map(static fn(array $one): PastExercise => new PastExercise(...$one), $done),
            self::LADDERS,
            'wiper',
        );

        return $next === null ? '' : "$next->family {$next->rung->value}";
    }

    public function testItBeginsWithTheUsualCircuitAndGoesOneRungUp(): void
    {
        self::assertSame('wiper map', self::next([]));
        self::assertSame('wiper own-way', self::next([['wiper', Rung::Map, true, 0.1]]));
        self::assertSame('blower own-way', self::next([['blower', Rung::Map, true, 0.1]]), 'what was begun goes on');
    }

    public function testWhatFailedComesBackTheDayAfterAndWhatWentWellLaterEachTime(): void
    {
        $failed = ['blower', Rung::Map, false, 0.2];
        self::assertSame('blower map', self::next([$failed]), 'the same rung, for it was not passed');
        self::assertSame(
            'wiper own-way',
            self::next([['wiper', Rung::Map, true, 2.5], ['wiper', Rung::OwnWay, false, 1.5]]),
            'a day after it failed, before anything else',
        );
        $once = ['wiper', Rung::Map, true, 4.0];
        self::assertSame('wiper map', self::next([$once]), 'once passed, after three days');
        self::assertSame(
            'wiper own-way',
            self::next([['wiper', Rung::Map, true, 9.0], ['wiper', Rung::Map, true, 4.0]]),
            'twice passed, only after a week',
        );
    }

    public function testWhatWentWrongSeveralTimesIsToldTheMostOftenFirst(): void
    {
        self::assertSame([], WatchFor::of([]));
        self::assertSame([], WatchFor::of([['leads'], ['danger']]), 'once is no habit');
        self::assertSame(
            [
                'Where the leads go: 3 of your last 4 had one at another place.',
                'Ohms: in 2 of your last 4 such a reading told next to nothing.',
            ],
            WatchFor::of([['leads', 'test:ohms'], ['leads'], ['test:ohms', 'leads'], ['something new']]),
        );
    }

    public function testWhoHasPassedThemAllTakesUpWhatLiesBackLongest(): void
    {
        $done = [];
        foreach (self::LADDERS as $family => $rungs) {
            foreach ($rungs as $n => $rung) {
                $done[] = [$family, $rung, true, 1.0 + $n];
            }
        }
        self::assertSame('blower chains', self::next($done));
    }
}
