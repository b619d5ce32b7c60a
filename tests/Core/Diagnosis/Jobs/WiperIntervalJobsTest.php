<?php

declare(strict_types=1);

namespace Tests\Core\Diagnosis\Jobs;

/**
 * Wipers behind an interval module: off, five settings from the rarest to the most frequent, low and high.
 */
final class WiperIntervalJobsTest extends WorkshopJobs
{
    private const VOLTS = [5 => 2.4, 4 => 4.1, 3 => 5.9, 2 => 7.8, 1 => 9.9];

    protected static function family(): string
    {
        return 'wiper-interval';
    }

    /** @return array<string, float> volts on the speed wire at each setting, all connected, or times a factor */
    private static function steps(float $factor = 1.0): array
    {
        $volts = [];
        foreach (self::VOLTS as $setting => $one) {
            $volts["speed-volts@int-$setting"] = round($factor * $one, 1);
        }

        return $volts;
    }

    public static function jobs(): iterable
    {
        yield 'low and every interval dead, high steady, the stalk makes its volts' => [
            new WorkshopJob(
                'right dead dead dead dead dead dead right',
                self::steps() + ['speed-volts@low' => 12.4, 'direct-low' => 'right', 'look-module' => 'burnt'],
                'module',
                0.9,
                ['stalk', 'fuse', 'motor'],
            ),
        ];
        yield 'every interval dead, low good: no volts from the stalk, its resistor open' => [
            new WorkshopJob(
                'right dead dead dead dead dead right right',
                ['speed-volts@int-3' => 0.0, 'speed-volts@low' => 12.4, 'stalk-ohms@int-3' => null],
                'stalk',
                0.85,
                ['module', 'fuse', 'motor'],
            ),
        ];
        yield 'full supply at every setting, and the stalk alone makes its table into a known load' => [
            new WorkshopJob(
                'right dead dead dead dead dead dead right',
                [
                    'speed-volts@int-5' => 12.5,
                    'speed-volts@int-3' => 12.5,
                    'loaded@int-5' => 2.4,
                    'loaded@int-3' => 5.9,
                    'input-ohms' => null,
                ],
                'module',
                0.9,
                ['stalk', 'fuse', 'motor'],
            ),
        ];
        yield 'high dead, low good: no volts leave the stalk on high' => [
            new WorkshopJob(
                'right right right right right right right dead',
                ['high-volts@high' => 0.0, 'high-out' => 0.0],
                'stalk',
                0.85,
                ['module', 'fuse', 'motor'],
            ),
        ];
        yield 'high no faster than low: volts leave the stalk and never come' => [
            new WorkshopJob(
                'right right right right right right right slow',
                ['high-volts@high' => 0.0, 'high-out' => 12.4],
                'stalk-wire',
                0.85,
                ['module', 'fuse', 'motor', 'stalk'],
            ),
        ];
        yield 'all dead behind a blown fuse' => [
            new WorkshopJob(
                'right dead dead dead dead dead dead dead',
                ['fuse-in' => 12.5, 'fuse-out' => 0.0, 'direct-low' => 'right'],
                'fuse',
                0.5,
                ['module', 'ground-wire'],
            ),
        ];
        yield 'all dead, the module has feed and command, the motor does not run by itself' => [
            new WorkshopJob(
                'right dead dead dead dead dead dead dead',
                ['supply-volts' => 12.4, 'speed-volts@low' => 12.3, 'direct-low' => 'dead', 'direct-high' => 'dead'],
                'motor',
                0.9,
                ['stalk', 'fuse', 'ground-wire'],
            ),
        ];
        yield 'all dead, eleven volts lost in the ground of the module' => [
            new WorkshopJob(
                'right dead dead dead dead dead dead dead',
                ['ground-drop' => 11.8, 'supply-volts' => 12.4],
                'ground-wire',
                0.8,
                ['stalk', 'fuse', 'motor'],
            ),
        ];
        yield 'all dead, the battery full and nothing before the fuse: its feed is broken' => [
            new WorkshopJob(
                'right dead dead dead dead dead dead dead',
                ['battery-volts' => 12.6, 'fuse-in' => 0.0],
                'feed-wire',
                0.85,
                ['module', 'stalk', 'fuse', 'motor'],
            ),
        ];
    }
}
