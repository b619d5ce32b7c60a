<?php

declare(strict_types=1);

namespace Tests\Core\Diagnosis\Jobs;

/**
 * Flue fans of two speeds, and what keeps one of a single speed from proving.
 */
final class TwoSpeedFlueJobsTest extends WorkshopJobs
{
    protected static function family(): string
    {
        return 'flue-fan';
    }

    public static function jobs(): iterable
    {
        yield 'two speeds: dead on both, no volts behind the fuse' => [
            new WorkshopJob(
                'right dead dead',
                [
                    'proves' => 'waits',
                    'fed-volts' => 0.0,
                    'ohms-fast' => 62.0,
                    'ohms-slow' => 121.0,
                    'case-ohms' => null,
                ],
                'fuse',
                0.8,
                ['pressure-switch', 'flue', 'tube'],
                ['speeds' => '2'],
            ),
        ];
        yield 'two speeds: dead on both, line behind the fuse and none behind the limits' => [
            new WorkshopJob(
                'right dead dead',
                ['proves' => 'waits', 'fed-volts' => 231.0, 'safe-volts' => 0.0, 'reset' => 'opens'],
                'limit',
                0.9,
                ['fuse', 'fan', 'control'],
                ['speeds' => '2'],
            ),
        ];
        yield 'two speeds: dead on both, line at both pins and the neutral pin is live' => [
            new WorkshopJob(
                'right dead dead',
                ['proves' => 'waits', 'fan-volts@full' => 0.3, 'sent-volts@full' => 229.0, 'neutral-drop' => 229.0],
                'wiring',
                0.9,
                ['fuse', 'control', 'fan', 'limit'],
                ['speeds' => '2'],
            ),
        ];
        yield 'two speeds: seized' => [
            new WorkshopJob(
                'right dead dead',
                [
                    'proves' => 'waits',
                    'spin' => 'locked',
                    'look-wheel' => 'clean',
                    'noise' => 'hum',
                    'fan-volts@full' => 229.0,
                ],
                'fan',
                0.95,
                ['fuse', 'control', 'limit'],
                ['speeds' => '2'],
            ),
        ];
        yield 'two speeds: slow never starts, the control sends nothing for it' => [
            new WorkshopJob(
                'right dead right',
                ['sent-volts@slow' => 0.4, 'ohms-slow' => 118.0],
                'control',
                0.9,
                ['fuse', 'fan', 'limit'],
                ['speeds' => '2'],
            ),
        ];
        yield 'two speeds: slow never starts, line leaves the control and does not come' => [
            new WorkshopJob(
                'right dead right',
                ['sent-volts@slow' => 229.5, 'fan-volts@slow' => 0.2, 'ohms-slow' => 121.0],
                'wiring',
                0.9,
                ['fuse', 'fan', 'control', 'limit'],
                ['speeds' => '2'],
            ),
        ];
        yield 'two speeds: full never starts with line at its pin, the fast winding open' => [
            new WorkshopJob(
                'right right dead',
                ['proves' => 'waits', 'fan-volts@full' => 228.0, 'ohms-fast' => null],
                'fan',
                0.95,
                ['fuse', 'control', 'limit'],
                ['speeds' => '2'],
            ),
        ];
        yield 'two speeds: never stops, line at the slow output with no call' => [
            new WorkshopJob(
                'runs right right',
                ['idle-volts-slow' => 229.0],
                'control',
                0.6,
                ['fuse', 'fan', 'limit'],
                ['speeds' => '2'],
            ),
        ];
        yield 'two speeds: the two leads of the fan are swapped after service' => [
            new WorkshopJob(
                'right fast slow',
                ['proves' => 'waits', 'sent-volts@slow' => 229.0, 'sent-volts@full' => 228.0],
                'wiring',
                0.8,
                ['fuse', 'control', 'limit'],
                ['speeds' => '2'],
            ),
        ];
        yield 'two speeds: the bearing is dry, slow and noisy' => [
            new WorkshopJob(
                'right slow slow',
                ['spin' => 'gritty', 'bare-spin' => 'gritty', 'noise' => 'squeal'],
                'fan',
                0.9,
                ['fuse', 'control', 'limit'],
                ['speeds' => '2'],
            ),
        ];
        yield 'one speed: right, and never proves, the tube has a crack' => [
            new WorkshopJob(
                'right right',
                ['proves' => 'waits', 'look-tube' => 'cracked', 'pressure' => 168.0],
                'tube',
                0.75,
                ['fuse', 'control', 'limit', 'fan'],
                [],
            ),
        ];
        yield 'one speed: right, and never proves, the gas seal leaks' => [
            new WorkshopJob(
                'right right',
                ['proves' => 'waits', 'look-seal' => 'leaks', 'smoke-seal' => 'drawn'],
                'seal',
                0.8,
                ['fuse', 'control', 'limit'],
                [],
            ),
        ];
    }
}
