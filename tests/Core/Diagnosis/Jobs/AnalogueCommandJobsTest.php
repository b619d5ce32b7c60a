<?php

declare(strict_types=1);

namespace Tests\Core\Diagnosis\Jobs;

/**
 * Electronic blowers with a command in volts and a relay in the feed.
 */
final class AnalogueCommandJobsTest extends WorkshopJobs
{
    protected static function family(): string
    {
        return 'electronic-blower';
    }

    public static function jobs(): iterable
    {
        yield 'analogue: all dead, feed and ground good, the command follows' => [
            new WorkshopJob(
                'right right dead dead dead dead dead',
                [
                    'feed-volts@5' => 12.5,
                    'ground-drop@5' => 0.0,
                    'command@3' => 3.7,
                    'command@5' => 5.9,
                    'motor-volts@5' => 0.0,
                    'speed@direct' => 'right',
                ],
                'module',
                0.8,
                ['fuse', 'relay', 'feed-wire', 'controller'],
                ['command' => 'analogue', 'feed' => 'relay'],
            ),
        ];
        yield 'analogue: all dead, no command at the module, whole at the controller' => [
            new WorkshopJob(
                'right right dead dead dead dead dead',
                ['command@3' => 0.0, 'sent' => 3.7],
                'command-wire',
                0.8,
                ['fuse', 'relay', 'feed-wire', 'controller'],
                ['command' => 'analogue', 'feed' => 'relay'],
            ),
        ];
        yield 'analogue: all dead, no command at the controller, its wire off or on' => [
            new WorkshopJob(
                'right right dead dead dead dead dead',
                ['sent' => 0.0, 'sent-alone' => 0.0, 'inject-half' => 'right'],
                'controller',
                0.9,
                ['fuse', 'relay', 'feed-wire', 'module'],
                ['command' => 'analogue', 'feed' => 'relay'],
            ),
        ];
        yield 'analogue: all dead, no command until its wire is off: it lies at ground' => [
            new WorkshopJob(
                'right right dead dead dead dead dead',
                ['sent' => 0.1, 'sent-alone' => 3.7],
                'command-wire',
                0.7,
                ['fuse', 'relay', 'feed-wire', 'controller'],
                ['command' => 'analogue', 'feed' => 'relay'],
            ),
        ];
        yield 'analogue: all dead, the fuse whole, nothing at the feed pin, and the relay taps in' => [
            new WorkshopJob(
                'right right dead dead dead dead dead',
                ['fuse-out@5' => 12.4, 'feed-volts@5' => 0.0, 'wiggle-feed' => 'changes'],
                'relay',
                0.4,
                ['fuse', 'module', 'motor', 'controller'],
                ['command' => 'analogue', 'feed' => 'relay'],
            ),
        ];
        yield 'analogue: all slow, three volts lost in the module plug, browned' => [
            new WorkshopJob(
                'right right slow slow slow slow slow',
                ['plug-drop@5' => 2.9, 'look-module-plug' => 'burnt'],
                'module-plug',
                0.9,
                ['fuse', 'relay', 'controller', 'wheel'],
                ['command' => 'analogue', 'feed' => 'relay'],
            ),
        ];
        yield 'analogue: all slow, three volts lost in the ground' => [
            new WorkshopJob(
                'right right slow slow slow slow slow',
                ['ground-drop@5' => 3.1, 'plug-drop@5' => 0.1],
                'ground-wire',
                0.8,
                ['fuse', 'relay', 'controller', 'motor'],
                ['command' => 'analogue', 'feed' => 'relay'],
            ),
        ];
        yield 'analogue: full in all positions, half a command leaves it at full' => [
            new WorkshopJob(
                'right right fast fast fast fast right',
                ['command@1' => 1.5, 'motor-volts@1' => 12.2, 'inject-half' => 'fast'],
                'module',
                0.9,
                ['fuse', 'relay', 'controller', 'motor'],
                ['command' => 'analogue', 'feed' => 'relay'],
            ),
        ];
        yield 'analogue: all dead, twelve volts at the motor, dead straight from the battery' => [
            new WorkshopJob(
                'right right dead dead dead dead dead',
                ['motor-volts@5' => 11.9, 'speed@direct' => 'dead'],
                'motor',
                0.8,
                ['fuse', 'relay', 'controller', 'command-wire'],
                ['command' => 'analogue', 'feed' => 'relay'],
            ),
        ];
        yield 'analogue: all dead, the wheel is jammed by a leaf' => [
            new WorkshopJob(
                'right right dead dead dead dead dead',
                ['spin' => 'locked', 'look-wheel' => 'debris'],
                'wheel',
                0.75,
                ['fuse', 'relay', 'controller', 'command-wire'],
                ['command' => 'analogue', 'feed' => 'relay'],
            ),
        ];
        yield 'analogue: rumbles, and the shaft is bent' => [
            new WorkshopJob(
                'right right right right right right right',
                ['noise' => 'rumble', 'wobble' => 'wobbles', 'bare-shaft' => 'bent'],
                'motor',
                0.8,
                ['fuse', 'relay', 'controller', 'command-wire'],
                ['command' => 'analogue', 'feed' => 'relay'],
            ),
        ];
        yield 'analogue: little air, all else good, out of one duct alone' => [
            new WorkshopJob(
                'right right right right right right right',
                ['outlets' => 'wrong', 'door-moves' => 'stays'],
                'air-door',
                0.8,
                ['fuse', 'relay', 'controller', 'motor'],
                ['command' => 'analogue', 'feed' => 'relay'],
            ),
        ];
    }
}
