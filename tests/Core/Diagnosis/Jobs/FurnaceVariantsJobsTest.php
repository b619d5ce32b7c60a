<?php

declare(strict_types=1);

namespace Tests\Core\Diagnosis\Jobs;

/**
 * Flue fans of 120 V, and of two speeds.
 */
final class FurnaceVariantsJobsTest extends WorkshopJobs
{
    protected static function family(): string
    {
        return 'flue-fan';
    }

    public static function jobs(): iterable
    {
        yield '120 V: dead, the winding open' => [
            new WorkshopJob(
                'right dead',
                ['fan-volts@full' => 121.0, 'ohms-fast' => null],
                'fan',
                0.9,
                ['control', 'limit', 'fuse'],
                ['line' => '120', 'hertz' => '60'],
            ),
        ];
        yield '120 V: dead behind the limit' => [
            new WorkshopJob(
                'right dead',
                ['fed-volts' => 121.0, 'safe-volts' => 0.2, 'limit-drop' => 120.0],
                'limit',
                0.9,
                ['control', 'fan', 'fuse'],
                ['line' => '120', 'hertz' => '60'],
            ),
        ];
        yield '120 V: runs, never proves, the wheel is eaten away' => [
            new WorkshopJob(
                'right right',
                ['proves' => 'waits', 'brush-blade' => 'eaten', 'look-wheel' => 'clean'],
                'fan',
                0.3,
                ['control', 'limit', 'fuse'],
                ['line' => '120', 'hertz' => '60'],
            ),
        ];
        yield 'runs, never proves, its seal leaks' => [
            new WorkshopJob(
                'right right',
                ['proves' => 'waits', 'look-seal' => 'leaks', 'smoke-seal' => 'drawn'],
                'seal',
                0.9,
                ['control', 'limit', 'fuse', 'tube'],
            ),
        ];
        yield 'runs, never proves, a cracked tube' => [
            new WorkshopJob(
                'right right',
                ['proves' => 'waits', 'look-tube' => 'cracked', 'tube-end' => 'less'],
                'tube',
                0.9,
                ['control', 'limit', 'fuse', 'seal'],
            ),
        ];
        yield 'two speeds: slow dead, nothing is sent there' => [
            new WorkshopJob(
                'right dead right',
                ['sent-volts@slow' => 0.4, 'ohms-slow' => 75.0, 'ohms-fast' => 49.0],
                'control',
                0.7,
                ['fan', 'limit', 'fuse'],
                ['speeds' => '2'],
            ),
        ];
        yield 'two speeds: full dead, sent and never there' => [
            new WorkshopJob(
                'right right dead',
                ['sent-volts@full' => 231.0, 'fan-volts@full' => 0.4],
                'wiring',
                0.85,
                ['control', 'limit', 'fuse', 'fan'],
                ['speeds' => '2'],
            ),
        ];
        yield 'two speeds: rubs since the last service' => [
            new WorkshopJob(
                'right right right',
                [
                    'proves' => 'lights',
                    'noise' => 'rub',
                    'wobble' => 'true',
                    'gaps' => 'uneven',
                    'look-mounting' => 'grommet',
                ],
                'mounting',
                0.35,
                ['control', 'limit', 'fuse'],
                ['speeds' => '2'],
            ),
        ];
    }
}
