<?php

declare(strict_types=1);

namespace Tests\Core\Diagnosis\Jobs;

/**
 * Wipers: off, low and high. Three brushes and permanent magnets where nothing else is said, else a compound field.
 */
final class WiperJobsTest extends WorkshopJobs
{
    protected static function family(): string
    {
        return 'wiper';
    }

    public static function jobs(): iterable
    {
        yield 'low dead, high fast: the low brush is open on the bench too' => [
            new WorkshopJob(
                'right dead right',
                ['low-pin@low' => 12.4, 'bench-low' => 'dead', 'ohms-low' => null],
                'motor',
                0.95,
                ['dash-switch', 'wire', 'fuse'],
            ),
        ];
        yield 'high dead, low good: no volts leave the switch on high' => [
            new WorkshopJob(
                'right right dead',
                ['high-pin@high' => 0.0, 'dash-high' => 0.0, 'dash-feed' => 12.6],
                'dash-switch',
                0.9,
                ['motor', 'fuse', 'wire'],
            ),
        ];
        yield 'high dead, low good: volts leave the switch and never come' => [
            new WorkshopJob('right right dead', ['high-pin@high' => 0.0, 'dash-high' => 12.5], 'wire', 0.85, [
                'motor',
                'fuse',
                'dash-switch',
            ]),
        ];
        yield 'dead behind a blown fuse, the motor good on the bench' => [
            new WorkshopJob(
                'stays dead dead',
                ['fuse-in' => 12.6, 'fuse-out' => 0.0, 'bench-low' => 'right', 'bench-amps-low' => 1.9],
                'fuse',
                0.7,
                ['dash-switch', 'wire'],
            ),
        ];
        yield 'dead, supply on the low pin and on the ground pin' => [
            new WorkshopJob(
                'stays dead dead',
                ['low-pin@low' => 12.5, 'ground-pin@low' => 12.4, 'look-plug' => 'fine'],
                'ground-wire',
                0.7,
                ['dash-switch', 'fuse'],
            ),
        ];
        yield 'good on the bench, slow in the car, stiff linkage' => [
            new WorkshopJob(
                'slow slow slow',
                ['linkage' => 'stiff', 'bench-low' => 'right', 'bench-amps-low' => 1.6, 'free-low' => 'right'],
                'linkage',
                0.9,
                ['dash-switch', 'fuse', 'wire'],
            ),
        ];
        yield 'slow on the bench too, and it draws three times as much' => [
            new WorkshopJob(
                'slow slow slow',
                ['linkage' => 'free', 'bench-low' => 'slow', 'bench-amps-low' => 6.5],
                'motor',
                0.95,
                ['dash-switch', 'fuse', 'linkage'],
            ),
        ];
        yield 'stops where it is: no feed at the park pin, both speeds good' => [
            new WorkshopJob('stays right right', ['park-feed-pin@off' => 0.0, 'bench-park' => 'right'], 'wire', 0.8, [
                'motor',
                'fuse',
            ]),
        ];
        yield 'stops where it is, the bench says so as well' => [
            new WorkshopJob('stays right right', ['park-feed-pin@off' => 12.6, 'bench-park' => 'stays'], 'motor', 0.9, [
                'dash-switch',
                'fuse',
                'wire',
            ]),
        ];
        yield 'never stops, on the bench neither' => [
            new WorkshopJob('runs right right', ['bench-park' => 'runs', 'low-pin@off' => 12.3], 'motor', 0.9, [
                'dash-switch',
                'fuse',
                'linkage',
            ]),
        ];
        yield 'the motor turns and the arms stand' => [
            new WorkshopJob(
                'stays dead dead',
                ['motor-sound' => 'turns-alone', 'low-pin@low' => 12.3, 'arms' => 'free'],
                'motor',
                0.85,
                ['dash-switch', 'fuse', 'wire', 'ground-wire'],
            ),
        ];
        yield 'compound field: off does not park, the strap of the body is broken' => [
            new WorkshopJob(
                'stays right right',
                ['look-strap' => 'broken'],
                'strap',
                0.5,
                ['fuse'],
                ['motor' => 'compound'],
            ),
        ];
        yield 'twenty-four volts: dead behind a blown fuse' => [
            new WorkshopJob(
                'stays dead dead',
                ['fuse-in' => 25.6, 'fuse-out' => 0.0, 'bench-low' => 'right'],
                'fuse',
                0.7,
                ['dash-switch', 'wire'],
                ['supply' => '24'],
            ),
        ];
    }
}
