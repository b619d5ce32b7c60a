<?php

declare(strict_types=1);

namespace Tests\Core\Diagnosis\Jobs;

/**
 * Flue fans of 230 V: off and full, or off, slow and full.
 */
final class FlueFanJobsTest extends WorkshopJobs
{
    protected static function family(): string
    {
        return 'flue-fan';
    }

    public static function jobs(): iterable
    {
        yield 'dead with line at its plug, the winding open' => [
            new WorkshopJob(
                'right dead',
                ['fan-volts@full' => 231.0, 'ohms-fast' => null, 'spin' => 'free'],
                'fan',
                0.95,
                ['control', 'limit', 'fuse'],
            ),
        ];
        yield 'dead, seized' => [
            new WorkshopJob(
                'right dead',
                ['spin' => 'locked', 'look-wheel' => 'clean', 'fan-volts@full' => 230.0, 'ohms-fast' => 62.0],
                'fan',
                0.9,
                ['control', 'limit', 'fuse'],
            ),
        ];
        yield 'slow, a dry bearing' => [
            new WorkshopJob(
                'right slow',
                ['spin' => 'gritty', 'bare-spin' => 'gritty', 'noise' => 'squeal', 'proves' => 'waits'],
                'fan',
                0.9,
                ['control', 'limit', 'fuse', 'flue'],
            ),
        ];
        yield 'dead, the control is asked and sends nothing' => [
            new WorkshopJob(
                'right dead',
                ['safe-volts' => 231.0, 'sent-volts@full' => 0.5, 'ohms-fast' => 60.0, 'spin' => 'free'],
                'control',
                0.85,
                ['fan', 'limit', 'fuse', 'flue'],
            ),
        ];
        yield 'dead, line leaves the control and does not come' => [
            new WorkshopJob(
                'right dead',
                ['sent-volts@full' => 231.0, 'fan-volts@full' => 0.4, 'spin' => 'free'],
                'wiring',
                0.9,
                ['fan', 'limit', 'fuse', 'control'],
            ),
        ];
        yield 'dead behind a limit that a press of its button closes' => [
            new WorkshopJob(
                'right dead',
                ['fed-volts' => 230.0, 'safe-volts' => 0.0, 'limit-drop' => 229.0],
                'limit',
                0.9,
                ['fan', 'control', 'fuse'],
            ),
        ];
        yield 'dead behind the fuse' => [
            new WorkshopJob(
                'right dead',
                ['fed-volts' => 0.0, 'fuse-drop' => 230.0, 'case-ohms' => null],
                'fuse',
                0.85,
                ['limit', 'control', 'flue'],
            ),
        ];
        yield 'runs as it should and never proves its draught: the flue is blocked' => [
            new WorkshopJob(
                'right right',
                ['proves' => 'waits', 'look-flue' => 'blocked', 'outlet-loose' => 'rises'],
                'flue',
                0.9,
                ['fan', 'control', 'fuse', 'limit'],
            ),
        ];
        yield 'runs as it should and never proves: water in the tube of the switch' => [
            new WorkshopJob(
                'right right',
                ['proves' => 'waits', 'look-tube' => 'wet', 'tube-end' => 'less'],
                'tube',
                0.9,
                ['fan', 'control', 'fuse', 'limit'],
            ),
        ];
        yield 'runs as it should and never proves: good draught, a silent switch' => [
            new WorkshopJob(
                'right right',
                ['proves' => 'waits', 'pressure' => 150.0, 'blow-switch' => 'silent', 'switch-contact' => 'open'],
                'pressure-switch',
                0.9,
                ['fan', 'control', 'fuse', 'limit'],
                ['pressure' => '150', 'switchPressure' => '90'],
            ),
        ];
        yield 'never stops: line at the output with no call' => [
            new WorkshopJob('runs right', ['idle-volts-fast' => 230.0], 'control', 0.8, [
                'fan',
                'fuse',
                'limit',
                'flue',
            ]),
        ];
        yield 'two speeds: slow dead, full right, the slow winding open' => [
            new WorkshopJob(
                'right dead right',
                ['ohms-slow' => null, 'fan-volts@slow' => 229.0],
                'fan',
                0.9,
                ['control', 'fuse', 'limit'],
                ['speeds' => '2'],
            ),
        ];
        yield 'two speeds: full dead, slow right, the control sends nothing there' => [
            new WorkshopJob(
                'right right dead',
                ['sent-volts@full' => 0.6, 'ohms-fast' => 48.0, 'ohms-slow' => 73.0],
                'control',
                0.7,
                ['fan', 'fuse', 'limit'],
                ['speeds' => '2'],
            ),
        ];
        yield 'dead, a nest in the wheel' => [
            new WorkshopJob(
                'right dead',
                ['spin' => 'locked', 'look-wheel' => 'debris', 'fan-volts@full' => 230.0],
                'wheel',
                0.7,
                ['control', 'limit', 'fuse'],
            ),
        ];
    }
}
