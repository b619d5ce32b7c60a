<?php

declare(strict_types=1);

namespace Tests\Core\Diagnosis\Jobs;

/**
 * Wipers with a compound field and a park switch in the motor: off, low and high.
 */
final class CompoundWiperJobsTest extends WorkshopJobs
{
    protected static function family(): string
    {
        return 'wiper';
    }

    public static function jobs(): iterable
    {
        yield 'dead, supply at the feed pin and the control terminals at ground: the armature is open' => [
            new WorkshopJob(
                'stays dead dead',
                ['feed-pin@low' => 12.5, 'bench-high' => 'dead', 'bench-low' => 'dead', 'ohms-run' => null],
                'motor',
                0.95,
                ['dash-switch', 'fuse', 'wire'],
                ['motor' => 'compound'],
            ),
        ];
        yield 'dead behind a blown fuse, good on the bench' => [
            new WorkshopJob(
                'stays dead dead',
                ['fuse-in' => 12.6, 'fuse-out' => 0.0, 'bench-high' => 'right'],
                'fuse',
                0.7,
                ['dash-switch', 'wire', 'strap'],
                ['motor' => 'compound'],
            ),
        ];
        yield 'low as fast as high: the field wire is broken, the motor good by itself' => [
            new WorkshopJob(
                'right fast right',
                ['bench-low' => 'right', 'field-pin@low' => 12.4],
                'dash-switch',
                0.3,
                ['fuse', 'strap', 'feed-wire', 'motor'],
                ['motor' => 'compound'],
            ),
        ];
        yield 'high as slow as low: the field is grounded for good' => [
            new WorkshopJob(
                'right right slow',
                ['bench-high' => 'right', 'bench-low' => 'right', 'switch-ohms-field' => null],
                'wire',
                0.4,
                ['fuse', 'strap', 'feed-wire'],
                ['motor' => 'compound'],
            ),
        ];
        yield 'stops where it is: the strap of the body loses all of it' => [
            new WorkshopJob(
                'stays right right',
                ['strap-drop' => 11.9, 'look-strap' => 'broken'],
                'strap',
                0.9,
                ['dash-switch', 'fuse', 'wire'],
                ['motor' => 'compound'],
            ),
        ];
        yield 'races on low and high and draws too much: the shunt winding is open' => [
            new WorkshopJob(
                'right fast fast',
                ['ohms-field' => 41.0, 'bench-low' => 'fast'],
                'motor',
                0.9,
                ['dash-switch', 'fuse', 'wire'],
                ['motor' => 'compound'],
            ),
        ];
        yield 'slow in the car, good by itself, a stiff linkage' => [
            new WorkshopJob(
                'slow slow slow',
                ['linkage' => 'stiff', 'bench-high' => 'right', 'bench-low' => 'right'],
                'linkage',
                0.9,
                ['dash-switch', 'fuse', 'wire'],
                ['motor' => 'compound'],
            ),
        ];
        yield 'stops when it is warm and comes back' => [
            new WorkshopJob(
                'right cuts-out cuts-out',
                ['warm' => 'changes', 'linkage' => 'free'],
                'motor',
                0.5,
                ['fuse', 'linkage'],
                ['motor' => 'compound'],
            ),
        ];
        yield 'the motor is heard, the arms stand' => [
            new WorkshopJob(
                'stays dead dead',
                ['motor-sound' => 'turns-alone'],
                'motor',
                0.85,
                ['dash-switch', 'wire'],
                ['motor' => 'compound'],
            ),
        ];
    }
}
