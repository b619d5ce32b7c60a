<?php

declare(strict_types=1);

namespace Tests\Core\Diagnosis\Jobs;

/**
 * Blowers with an electronic module, in other arrangements than the ordinary.
 */
final class ElectronicVariantsJobsTest extends WorkshopJobs
{
    protected static function family(): string
    {
        return 'electronic-blower';
    }

    public static function jobs(): iterable
    {
        yield 'own electronics: a shorted leg blew the fuse' => [
            new WorkshopJob(
                'right right dead dead dead dead dead',
                ['fuse-out@5' => 0.0, 'fuse-in@5' => 12.6, 'module-ohms' => 0.2],
                'assembly',
                0.9,
                ['controller', 'ground-wire'],
                ['module' => 'own'],
            ),
        ];
        yield 'own electronics: dead with everything at its plug' => [
            new WorkshopJob(
                'right right dead dead dead dead dead',
                [
                    'lamp' => 'bright',
                    'command@5' => 90.0,
                    'look-module-plug' => 'fine',
                    'inject-full' => 'dead',
                    'wiggle-module-plug' => 'steady',
                    'look-wheel' => 'clean',
                ],
                'assembly',
                0.9,
                ['controller', 'fuse', 'feed-wire'],
                ['module' => 'own'],
            ),
        ];
        yield 'own electronics: dead with no command, and it runs by a known one' => [
            new WorkshopJob(
                'right right dead dead dead dead dead',
                ['lamp' => 'bright', 'command@5' => 0.0, 'sent-alone' => 0.0, 'inject-full' => 'right'],
                'controller',
                0.8,
                ['assembly', 'fuse', 'feed-wire'],
                ['module' => 'own'],
            ),
        ];
        yield 'own electronics: gritty and slow' => [
            new WorkshopJob(
                'right right slow slow slow slow slow',
                ['spin' => 'gritty', 'look-wheel' => 'clean', 'noise' => 'squeal'],
                'assembly',
                0.8,
                ['controller', 'fuse'],
                ['module' => 'own'],
            ),
        ];
        yield 'a relay: dead, it does not close' => [
            new WorkshopJob(
                'right right dead dead dead dead dead',
                ['fuse-out@5' => 12.6, 'feed-volts@5' => 0.0, 'lamp-ground' => 'bright'],
                'relay',
                0.8,
                ['controller', 'fuse', 'ground-wire', 'motor'],
                ['feed' => 'relay'],
            ),
        ];
        yield 'a volt signal: dead, none is sent' => [
            new WorkshopJob(
                'right right dead dead dead dead dead',
                ['lamp' => 'bright', 'command@1' => 0.0, 'command@5' => 0.0, 'sent-alone' => 0.0],
                'controller',
                0.8,
                ['motor', 'fuse', 'module'],
                ['command' => 'analogue'],
            ),
        ];
        yield 'a volt signal: dead, it is there at every step and the motor is good' => [
            new WorkshopJob(
                'right right dead dead dead dead dead',
                [
                    'lamp' => 'bright',
                    'command@1' => 1.1,
                    'command@5' => 4.6,
                    'motor-volts@5' => 0.0,
                    'speed@direct' => 'right',
                    'look-motor-plug' => 'fine',
                ],
                'module',
                0.7,
                ['controller', 'fuse', 'feed-wire'],
                ['command' => 'analogue'],
            ),
        ];
        yield 'an inverted pulse: dead, the command stands at rest' => [
            new WorkshopJob(
                'right right dead dead dead dead dead',
                ['lamp' => 'bright', 'command@1' => 99.0, 'command@5' => 99.0, 'inject-full' => 'right'],
                'controller',
                0.3,
                ['motor', 'fuse', 'module'],
                ['active' => 'low'],
            ),
        ];
        yield 'twelve steps: the motor plug burnt' => [
            new WorkshopJob(
                'right right slow slow slow slow slow slow slow slow slow slow slow slow',
                ['motor-plug-drop@12' => 2.4, 'look-motor-plug' => 'burnt'],
                'motor-plug',
                0.9,
                ['controller', 'fuse', 'module'],
                ['steps' => '12'],
            ),
        ];
    }
}
