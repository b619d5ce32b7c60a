<?php

declare(strict_types=1);

namespace Tests\Core\Diagnosis\Jobs;

/**
 * Blowers with an electronic module, fed all the time: key off, off, and five steps.
 */
final class ElectronicBlowerJobsTest extends WorkshopJobs
{
    protected static function family(): string
    {
        return 'electronic-blower';
    }

    public static function jobs(): iterable
    {
        yield 'full at every step and with the key out: the stage is shorted' => [
            new WorkshopJob(
                'runs runs fast fast fast fast right',
                ['command@key-off' => 0.0, 'command@1' => 20.0, 'command@5' => 93.0, 'command-off' => 'runs'],
                'module',
                0.9,
                ['controller', 'motor', 'fuse'],
            ),
        ];
        yield 'dead with feed, ground and command at its plug' => [
            new WorkshopJob(
                'right right dead dead dead dead dead',
                [
                    'lamp' => 'bright',
                    'command@1' => 21.0,
                    'command@5' => 91.0,
                    'motor-volts@5' => 0.0,
                    'speed@direct' => 'right',
                    'look-module-plug' => 'fine',
                    'look-motor-plug' => 'fine',
                ],
                'module',
                0.75,
                ['controller', 'fuse', 'feed-wire'],
            ),
        ];
        yield 'dead, the module gives its volts, and the motor does not turn straight from the battery' => [
            new WorkshopJob(
                'right right dead dead dead dead dead',
                ['motor-volts@5' => 12.6, 'speed@direct' => 'dead', 'amps@direct' => 0.0, 'spin' => 'free'],
                'motor',
                0.9,
                ['controller', 'module', 'fuse'],
            ),
        ];
        yield 'dead behind a blown fuse' => [
            new WorkshopJob(
                'right right dead dead dead dead dead',
                ['lamp' => 'dark', 'fuse-in@5' => 12.6, 'fuse-out@5' => 0.0, 'module-ohms' => null],
                'fuse',
                0.7,
                ['controller', 'ground-wire'],
            ),
        ];
        yield 'dead, half the lamp: lights to battery plus, not to ground' => [
            new WorkshopJob(
                'right right dead dead dead dead dead',
                ['lamp' => 'dark', 'lamp-feed' => 'bright', 'lamp-ground' => 'dark', 'look-module-plug' => 'fine'],
                'ground-wire',
                0.7,
                ['controller', 'motor', 'fuse', 'module'],
            ),
        ];
        yield 'dead, the other half: ground is good, no feed though the fuse has both sides' => [
            new WorkshopJob(
                'right right dead dead dead dead dead',
                ['lamp-feed' => 'dark', 'lamp-ground' => 'bright', 'fuse-out@5' => 12.7, 'feed-volts@5' => 0.0],
                'feed-wire',
                0.85,
                ['controller', 'motor', 'fuse', 'module'],
            ),
        ];
        yield 'a probe light glows, a lamp does not: the feed hangs on a strand' => [
            new WorkshopJob(
                'right right dead dead dead dead dead',
                ['probe-light' => 'bright', 'lamp' => 'dark', 'lamp-feed' => 'dark', 'lamp-ground' => 'bright'],
                'feed-wire',
                0.5,
                ['controller', 'motor', 'ground-wire'],
            ),
        ];
        yield 'weak at the high steps, two volts lost in the ground' => [
            new WorkshopJob(
                'right right right right right slow slow',
                ['feed-volts@5' => 12.9, 'ground-drop@5' => 2.3, 'look-module-plug' => 'fine'],
                'ground-wire',
                0.7,
                ['controller', 'motor', 'fuse', 'feed-wire'],
            ),
        ];
        yield 'weak at the high steps, a burnt plug that loses two and a half volts' => [
            new WorkshopJob(
                'right right right right right slow slow',
                ['plug-drop@5' => 2.5, 'look-module-plug' => 'burnt'],
                'module-plug',
                0.9,
                ['controller', 'fuse', 'ground-wire'],
            ),
        ];
        yield 'weak everywhere, half as much current again, gritty' => [
            new WorkshopJob(
                'right right slow slow slow slow slow',
                ['spin' => 'gritty', 'look-wheel' => 'clean', 'amps@direct' => 31.0, 'speed@direct' => 'slow'],
                'motor',
                0.85,
                ['controller', 'fuse', 'module', 'command-wire'],
                ['motorAmps' => '20'],
            ),
        ];
        yield 'dead, no command at the plug nor at the controller with its wire off' => [
            new WorkshopJob(
                'right right dead dead dead dead dead',
                ['lamp' => 'bright', 'command@3' => 0.0, 'command@5' => 0.0, 'sent' => 0.0, 'sent-alone' => 0.0],
                'controller',
                0.8,
                ['motor', 'module', 'fuse', 'ground-wire'],
            ),
        ];
        yield 'dead, a command leaves the controller and never comes' => [
            new WorkshopJob(
                'right right dead dead dead dead dead',
                ['lamp' => 'bright', 'command@3' => 0.0, 'command@5' => 0.0, 'sent' => 6.1, 'inject-full' => 'right'],
                'command-wire',
                0.5,
                ['motor', 'module', 'fuse', 'controller'],
            ),
        ];
        yield 'one step is missing, and the command has a gap there' => [
            new WorkshopJob(
                'right right right right dead right right',
                ['command@2' => 38.0, 'command@3' => 0.0, 'command@4' => 74.0, 'steps' => 'gaps'],
                'controller',
                0.85,
                ['motor', 'module', 'fuse', 'command-wire'],
            ),
        ];
        yield 'the same speed at every step, and the command stands still' => [
            new WorkshopJob(
                'right right fast right slow slow slow',
                ['command@1' => 41.0, 'command@3' => 41.0, 'command@5' => 41.0],
                'controller',
                0.85,
                ['motor', 'module', 'fuse'],
            ),
        ];
        yield 'the same speed at every step, though the command climbs' => [
            new WorkshopJob(
                'right right fast right slow slow slow',
                [
                    'command@1' => 18.0,
                    'command@3' => 52.0,
                    'command@5' => 90.0,
                    'motor-volts@1' => 6.3,
                    'motor-volts@5' => 6.3,
                ],
                'module',
                0.85,
                ['motor', 'controller', 'fuse'],
            ),
        ];
        yield 'every speed right, a tick once a turn and a cracked blade felt in the wobble' => [
            new WorkshopJob(
                'right right right right right right right',
                ['noise' => 'tick', 'wobble' => 'wobbles', 'set-screw' => 'tight', 'bare-shaft' => 'true'],
                'wheel',
                0.5,
                ['controller', 'module', 'fuse'],
            ),
        ];
        yield 'every speed right, air on one side only' => [
            new WorkshopJob(
                'right right right right right right right',
                ['air' => 'fits', 'outlets' => 'one-side', 'door-moves' => 'stays'],
                'air-door',
                0.8,
                ['controller', 'module', 'motor'],
            ),
        ];
    }
}
