<?php

declare(strict_types=1);

namespace Tests\Core\Diagnosis\Jobs;

/**
 * Interval wipers with three settings.
 */
final class ThreeSettingsJobsTest extends WorkshopJobs
{
    protected static function family(): string
    {
        return 'wiper-interval';
    }

    public static function jobs(): iterable
    {
        yield 'three settings: every interval dead, low and high good: the setting contact makes nothing' => [
            new WorkshopJob(
                'right dead dead dead right right',
                ['speed-volts@int-2' => 0.0, 'stalk-ohms@int-2' => null, 'speed-volts@low' => 12.3],
                'stalk',
                0.8,
                ['fuse', 'motor', 'ground-wire'],
                ['settings' => '3'],
            ),
        ];
        yield 'three settings: everything dead, no feed at the module' => [
            new WorkshopJob(
                'right dead dead dead dead dead',
                ['fuse-out' => 12.5, 'supply-volts' => 0.0],
                'feed-wire',
                0.9,
                ['fuse', 'motor', 'stalk'],
                ['settings' => '3'],
            ),
        ];
        yield 'three settings: everything dead, motor locked' => [
            new WorkshopJob(
                'right dead dead dead dead dead',
                ['arms' => 'locked', 'direct-low' => 'dead'],
                'motor',
                0.7,
                ['fuse', 'stalk', 'module'],
                ['settings' => '3'],
            ),
        ];
        yield 'three settings: high dead alone, dead straight from the battery too' => [
            new WorkshopJob(
                'right right right right right dead',
                ['direct-high' => 'dead', 'direct-low' => 'right'],
                'motor',
                0.9,
                ['fuse', 'stalk', 'module'],
                ['settings' => '3'],
            ),
        ];
        yield 'three settings: high dead alone, the motor good, the high wire live' => [
            new WorkshopJob(
                'right right right right right dead',
                ['direct-high' => 'right', 'high-volts@high' => 12.4, 'high-brush' => 0.0],
                'module',
                0.9,
                ['fuse', 'motor', 'stalk'],
                ['settings' => '3'],
            ),
        ];
        yield 'three settings: everything dead, the fuse blown, the speed wire lies at ground' => [
            new WorkshopJob(
                'right dead dead dead dead dead',
                ['fuse-in' => 12.5, 'fuse-out' => 0.0, 'wire-ohms' => 0.4],
                'stalk-wire',
                0.9,
                ['module', 'motor', 'ground-wire'],
                ['settings' => '3'],
            ),
        ];
        yield 'three settings: everything dead, no feed at the stalk' => [
            new WorkshopJob(
                'right dead dead dead dead dead',
                ['supply-volts' => 12.4, 'stalk-feed' => 0.0, 'alone-full' => 'right', 'alone-high' => 'right'],
                'stalk-wire',
                0.9,
                ['fuse', 'motor', 'module', 'ground-wire'],
                ['settings' => '3'],
            ),
        ];
        yield 'three settings: never stops, steady on low with the stalk off, and so alone on a bench' => [
            new WorkshopJob(
                'runs fast fast fast right right',
                ['alone-half' => 'fast', 'unloaded@low' => 12.4],
                'module',
                0.5,
                ['fuse', 'ground-wire'],
                ['settings' => '3'],
            ),
        ];
        yield 'three settings: all slow, the ground of the module loses four volts' => [
            new WorkshopJob(
                'right right right right slow slow',
                ['ground-drop' => 4.2, 'direct-low' => 'right'],
                'ground-wire',
                0.9,
                ['fuse', 'motor', 'stalk'],
                ['settings' => '3'],
            ),
        ];
        yield 'three settings: all slow, the motor straight from the battery too, and it draws a lot' => [
            new WorkshopJob(
                'right slow slow slow slow slow',
                ['direct-low' => 'slow', 'direct-high' => 'slow', 'current-low' => 4.3],
                'motor',
                0.9,
                ['fuse', 'stalk', 'module'],
                ['settings' => '3'],
            ),
        ];
    }
}
