<?php

declare(strict_types=1);

namespace Tests\Core\Diagnosis\Jobs;

/**
 * Air doors whose actuator tells the head where it stands, on five wires; and one of two zones.
 */
final class FeedbackDoorsJobsTest extends WorkshopJobs
{
    protected static function family(): string
    {
        return 'air-door';
    }

    public static function jobs(): iterable
    {
        yield 'the position reads nothing at the head, the track is open above' => [
            new WorkshopJob(
                'right dead dead',
                ['told-head' => 0.0, 'reference' => 5.0, 'track-ohms' => null],
                'actuator',
                0.8,
                ['fuse', 'door', 'feed-wire'],
                ['kind' => 'five-wire'],
            ),
        ];
        yield 'the position jumps as the door moves, the track worn' => [
            new WorkshopJob(
                'right right right',
                ['sweep' => 'jumps', 'track-ohms' => 4700.0],
                'actuator',
                0.7,
                ['fuse', 'door', 'feed-wire'],
                ['kind' => 'five-wire'],
            ),
        ];
        yield 'the motor is open both ways, good volts at its pins' => [
            new WorkshopJob(
                'right dead dead',
                [
                    'motor-volts@cold' => -11.9,
                    'motor-volts@warm' => 11.8,
                    'direct@cold' => 'dead',
                    'motor-ohms' => null,
                ],
                'actuator',
                0.95,
                ['fuse', 'head', 'door', 'motor-wire'],
                ['kind' => 'five-wire'],
            ),
        ];
        yield 'nothing leaves the head either way though it is fed and grounded' => [
            new WorkshopJob(
                'right dead dead',
                [
                    'head-volts' => 12.3,
                    'head-ground' => 0.03,
                    'head-out@cold' => 0.0,
                    'head-out@warm' => 0.0,
                    'direct@cold' => 'right',
                    'reference-head' => 5.0,
                    'told-head' => 2.5,
                ],
                'head',
                0.9,
                ['fuse', 'actuator', 'door', 'feed-wire'],
                ['kind' => 'five-wire'],
            ),
        ];
        yield 'to cold alone it stands, volts leave the head and are not at the motor' => [
            new WorkshopJob(
                'right dead right',
                ['head-out@cold' => -11.9, 'motor-volts@cold' => 0.0, 'direct@cold' => 'right'],
                'motor-wire',
                0.4,
                ['fuse', 'door', 'feed-wire', 'actuator'],
                ['kind' => 'five-wire'],
            ),
        ];
        yield 'dead behind a blown fuse' => [
            new WorkshopJob(
                'right dead dead',
                ['fuse-in' => 12.6, 'fuse-out' => 0.0],
                'fuse',
                0.6,
                ['door', 'plug'],
                ['kind' => 'five-wire'],
            ),
        ];
        yield 'slow both ways on its door, right off it, and the door is stiff by hand' => [
            new WorkshopJob(
                'right slow slow',
                ['free@cold' => 'right', 'free@warm' => 'right', 'door-by-hand' => 'stiff'],
                'door',
                0.9,
                ['fuse', 'head', 'actuator', 'feed-wire'],
                ['kind' => 'five-wire'],
            ),
        ];
        yield 'stands both ways on its door, runs off it, the door jammed' => [
            new WorkshopJob(
                'right dead dead',
                ['free@cold' => 'right', 'free@warm' => 'right', 'door-by-hand' => 'jammed'],
                'door',
                0.9,
                ['fuse', 'head', 'actuator', 'feed-wire'],
                ['kind' => 'five-wire'],
            ),
        ];
        yield 'the motor is heard and the lever does not move' => [
            new WorkshopJob(
                'right dead dead',
                ['lever' => 'motor-alone', 'motor-volts@cold' => -11.8],
                'actuator',
                0.9,
                ['fuse', 'head', 'door'],
                ['kind' => 'five-wire'],
            ),
        ];
        yield 'no five volts at the actuator, the head makes none' => [
            new WorkshopJob(
                'right dead dead',
                [
                    'told-head' => 0.0,
                    'reference' => 0.0,
                    'reference-head' => 0.0,
                    'head-volts' => 12.4,
                    'head-ground' => 0.02,
                ],
                'head',
                0.7,
                ['fuse', 'door', 'actuator'],
                ['kind' => 'five-wire'],
            ),
        ];
        yield 'no five volts at the actuator, the head makes them' => [
            new WorkshopJob(
                'right dead dead',
                ['told-head' => 0.0, 'reference' => 0.0, 'reference-head' => 5.0],
                'report-wire',
                0.8,
                ['fuse', 'door', 'head'],
                ['kind' => 'five-wire'],
            ),
        ];
        yield 'the feedback arrives at the head nowhere, good at the actuator' => [
            new WorkshopJob(
                'right right right',
                ['told@cold' => 0.6, 'told@middle' => 2.5, 'told@warm' => 4.4, 'told-head' => 0.0],
                'report-wire',
                0.8,
                ['fuse', 'door', 'actuator'],
                ['kind' => 'five-wire'],
            ),
        ];
        yield 'one of two zones: both sides stand behind one fuse' => [
            new WorkshopJob(
                'right dead dead',
                ['other-side' => 'stays', 'fuse-in' => 12.5, 'fuse-out' => 0.0],
                'fuse',
                0.6,
                ['door', 'plug'],
                ['zones' => 'two'],
            ),
        ];
    }
}
