<?php

declare(strict_types=1);

namespace Tests\Core\Diagnosis\Jobs;

/**
 * Air doors whose actuator has two wires.
 */
final class TwoWireDoorsJobsTest extends WorkshopJobs
{
    protected static function family(): string
    {
        return 'air-door';
    }

    public static function jobs(): iterable
    {
        yield 'two wires: dead both ways, volts come and go at the motor, its ohms open' => [
            new WorkshopJob(
                'right dead dead',
                ['motor-volts@cold' => -12.6, 'motor-ohms' => null],
                'actuator',
                0.9,
                ['head', 'fuse', 'feed-wire', 'door'],
                ['kind' => 'two-wire'],
            ),
        ];
        yield 'two wires: dead both ways, the head gives nothing, its feed and ground good' => [
            new WorkshopJob(
                'right dead dead',
                ['head-out@cold' => 0.0, 'head-volts' => 12.4, 'head-ground' => 0.0, 'head-out@warm' => 0.0],
                'head',
                0.8,
                ['actuator', 'fuse', 'feed-wire', 'door'],
                ['kind' => 'two-wire'],
            ),
        ];
        yield 'two wires: dead both ways, the head gives volts and none come across the motor' => [
            new WorkshopJob(
                'right dead dead',
                [
                    'head-out@cold' => -12.7,
                    'motor-volts@cold' => -0.1,
                    'cold-side@cold' => 12.8,
                    'warm-side@cold' => 12.7,
                ],
                'motor-wire',
                0.5,
                ['actuator', 'fuse', 'feed-wire', 'door'],
                ['kind' => 'two-wire'],
            ),
        ];
        yield 'two wires: dead both ways, nothing behind the fuse' => [
            new WorkshopJob(
                'right dead dead',
                ['fuse-in' => 12.6, 'fuse-out' => 0.0],
                'fuse',
                0.6,
                ['actuator', 'head', 'door', 'plug'],
                ['kind' => 'two-wire'],
            ),
        ];
        yield 'two wires: dead both ways, behind the fuse and not at the head' => [
            new WorkshopJob(
                'right dead dead',
                ['fuse-out' => 12.6, 'head-volts' => 0.0],
                'feed-wire',
                0.9,
                ['actuator', 'head', 'door', 'fuse'],
                ['kind' => 'two-wire'],
            ),
        ];
        yield 'two wires: warm dead, the head never drives that side up' => [
            new WorkshopJob(
                'right right dead',
                ['head-out@warm' => 0.0, 'warm-side@warm' => 0.0, 'direct@warm' => 'right'],
                'head',
                0.8,
                ['actuator', 'fuse', 'door', 'feed-wire'],
                ['kind' => 'two-wire'],
            ),
        ];
        yield 'two wires: slow both ways, the door stiff, the actuator good off it' => [
            new WorkshopJob(
                'right slow slow',
                ['door-by-hand' => 'stiff', 'free@cold' => 'right', 'free@warm' => 'right'],
                'door',
                0.9,
                ['head', 'fuse', 'feed-wire', 'plug'],
                ['kind' => 'two-wire'],
            ),
        ];
        yield 'two wires: slow both ways, the actuator slow off its door as well' => [
            new WorkshopJob(
                'right slow slow',
                ['free@cold' => 'slow', 'direct@cold' => 'slow', 'door-by-hand' => 'free'],
                'actuator',
                0.9,
                ['head', 'fuse', 'feed-wire', 'door'],
                ['kind' => 'two-wire'],
            ),
        ];
        yield 'two wires: slow both ways, four volts lost in the ground of the head' => [
            new WorkshopJob(
                'right slow slow',
                ['head-ground' => 4.3, 'head-volts' => 12.6],
                'ground-wire',
                0.8,
                ['actuator', 'fuse', 'door', 'motor-wire'],
                ['kind' => 'two-wire'],
            ),
        ];
        yield 'two wires: the motor runs and the lever stands: a gear is stripped' => [
            new WorkshopJob(
                'right dead dead',
                ['lever' => 'motor-alone', 'motor-volts@cold' => -12.5, 'direct@cold' => 'dead'],
                'actuator',
                0.9,
                ['head', 'fuse', 'feed-wire', 'ground-wire'],
                ['kind' => 'two-wire'],
            ),
        ];
        yield 'two wires: the lever turns and the door does not follow it' => [
            new WorkshopJob(
                'right dead dead',
                ['lever' => 'lever-alone', 'free@cold' => 'right'],
                'door',
                0.9,
                ['head', 'fuse', 'feed-wire', 'ground-wire'],
                ['kind' => 'two-wire'],
            ),
        ];
        yield 'two wires: comes back while the plug is moved, it is brown' => [
            new WorkshopJob(
                'right dead dead',
                [
                    'wiggle-plug' => 'changes',
                    'look-harness' => 'corroded',
                    'motor-volts@cold' => 0.0,
                    'head-out@cold' => -12.7,
                    'direct@cold' => 'right',
                ],
                'plug',
                0.4,
                ['head', 'fuse', 'feed-wire', 'door'],
                ['kind' => 'two-wire'],
            ),
        ];
    }
}
