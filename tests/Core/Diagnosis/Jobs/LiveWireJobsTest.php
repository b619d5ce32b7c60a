<?php

declare(strict_types=1);

namespace Tests\Core\Diagnosis\Jobs;

/**
 * Interval wipers whose wires touch a live one, beside what looks like it.
 */
final class LiveWireJobsTest extends WorkshopJobs
{
    protected static function family(): string
    {
        return 'wiper-interval';
    }

    public static function jobs(): iterable
    {
        yield 'never stops, low all the time, the speed wire live with its stalk off' => [
            new WorkshopJob(
                'runs fast fast fast fast fast right right',
                ['speed-stray' => 12.4],
                'stalk-wire',
                0.9,
                ['module', 'stalk', 'fuse', 'motor'],
                [],
            ),
        ];
        yield 'never stops, low all the time, nothing on the wire with the stalk off, and so alone' => [
            new WorkshopJob(
                'runs fast fast fast fast fast right right',
                ['speed-stray' => 0.0, 'alone-half' => 'fast'],
                'module',
                0.9,
                ['stalk-wire', 'fuse', 'motor'],
                [],
            ),
        ];
        yield 'never stops, high in all, the high wire live with its stalk off' => [
            new WorkshopJob(
                'runs fast fast fast fast fast fast right',
                ['high-stray' => 12.5],
                'stalk-wire',
                0.9,
                ['module', 'stalk', 'fuse', 'motor'],
                [],
            ),
        ];
        yield 'intervals run through on low, off stops, the stalk a few ohms at interval 3' => [
            new WorkshopJob(
                'right fast fast fast fast fast right right',
                ['speed-volts@int-3' => 12.3, 'stalk-ohms@int-3' => 12.0],
                'stalk',
                0.9,
                ['module', 'stalk-wire', 'fuse', 'motor'],
                [],
            ),
        ];
        yield 'high no faster than low, volts out of the stalk and none at the module' => [
            new WorkshopJob(
                'right right right right right right right slow',
                ['high-out' => 12.5, 'high-volts@high' => 0.0, 'high-stray' => 0.0],
                'stalk-wire',
                0.8,
                ['stalk', 'fuse', 'feed-wire', 'ground-wire'],
                [],
            ),
        ];
        yield 'three settings: never stops, the speed wire touches a live one' => [
            new WorkshopJob(
                'runs fast fast fast right right',
                ['speed-stray' => 12.6],
                'stalk-wire',
                0.9,
                ['module', 'stalk', 'fuse', 'motor'],
                ['settings' => '3'],
            ),
        ];
        yield 'three settings: never stops and always high, the high wire touches a live one' => [
            new WorkshopJob(
                'runs fast fast fast fast right',
                ['high-stray' => 12.2, 'speed-stray' => 0.0],
                'stalk-wire',
                0.9,
                ['module', 'stalk', 'fuse', 'motor'],
                ['settings' => '3'],
            ),
        ];
        yield 'three settings: intervals at low, two contacts of the stalk joined' => [
            new WorkshopJob(
                'right fast fast fast right right',
                ['speed-volts@int-2' => 12.4, 'stalk-ohms@int-2' => 6.0, 'speed-stray' => 0.0],
                'stalk',
                0.9,
                ['module', 'stalk-wire', 'fuse', 'motor'],
                ['settings' => '3'],
            ),
        ];
        yield 'never stops, a chafe of two hundred ohms to a live wire' => [
            new WorkshopJob(
                'runs fast fast fast fast fast right right',
                ['speed-stray' => 11.9, 'wire-ohms' => 210.0],
                'stalk-wire',
                0.9,
                ['module', 'stalk', 'fuse', 'motor'],
                [],
            ),
        ];
    }
}
