<?php

declare(strict_types=1);

namespace Tests\Core\Diagnosis\Jobs;

/**
 * Doors of the air with an electric actuator of two wires, or five: at rest, driven to cold, driven to warm.
 */
final class AirDoorJobsTest extends WorkshopJobs
{
    protected static function family(): string
    {
        return 'air-door';
    }

    public static function jobs(): iterable
    {
        yield 'stands, the motor gets its volts each way and is open' => [
            new WorkshopJob(
                'right dead dead',
                ['motor-volts@cold' => -12.4, 'motor-volts@warm' => 12.5, 'motor-ohms' => null],
                'actuator',
                0.95,
                ['head', 'fuse', 'door'],
            ),
        ];
        yield 'stands, nothing leaves the head though it is fed' => [
            new WorkshopJob(
                'right dead dead',
                ['head-volts' => 12.6, 'head-ground' => 0.0, 'head-out@cold' => 0.0, 'head-out@warm' => 0.0],
                'head',
                0.9,
                ['actuator', 'fuse', 'door', 'ground-wire'],
                ['kind' => 'two-wire'],
            ),
        ];
        yield 'stands behind a blown fuse' => [
            new WorkshopJob('right dead dead', ['fuse-in' => 12.6, 'fuse-out' => 0.0], 'fuse', 0.6, [
                'actuator',
                'door',
                'ground-wire',
                'head',
            ]),
        ];
        yield 'stands, volts leave the head and never come' => [
            new WorkshopJob(
                'right dead dead',
                [
                    'head-out@warm' => 12.5,
                    'head-out@cold' => -12.5,
                    'motor-volts@warm' => 0.0,
                    'direct@warm' => 'right',
                ],
                'motor-wire',
                0.6,
                ['actuator', 'fuse', 'door', 'head'],
            ),
        ];
        yield 'goes one way only: the head has no volts for warm' => [
            new WorkshopJob(
                'right right dead',
                ['head-out@warm' => 0.0, 'head-out@cold' => -12.4, 'direct@warm' => 'right'],
                'head',
                0.85,
                ['actuator', 'fuse', 'door', 'feed-wire'],
            ),
        ];
        yield 'the motor is heard, its lever stands' => [
            new WorkshopJob(
                'right dead dead',
                ['lever' => 'motor-alone', 'motor-volts@warm' => 12.5, 'door-by-hand' => 'free'],
                'actuator',
                0.9,
                ['head', 'fuse', 'door', 'motor-wire'],
            ),
        ];
        yield 'the door is jammed, the actuator runs off it' => [
            new WorkshopJob(
                'right dead dead',
                ['door-by-hand' => 'jammed', 'free@warm' => 'right', 'motor-volts@warm' => 12.4],
                'door',
                0.9,
                ['head', 'fuse', 'actuator', 'motor-wire'],
            ),
        ];
        yield 'stands, eleven volts lost in the ground of the head' => [
            new WorkshopJob('right dead dead', ['head-volts' => 12.6, 'head-ground' => 11.8], 'ground-wire', 0.7, [
                'fuse',
                'feed-wire',
            ]),
        ];
        yield 'five wires: no five volts at the actuator, though the head gives them' => [
            new WorkshopJob(
                'right dead dead',
                ['reference' => 0.0, 'reference-head' => 5.0, 'look-harness' => 'chafed'],
                'report-wire',
                0.8,
                ['fuse', 'door'],
                ['kind' => 'five-wire'],
            ),
        ];
    }
}
