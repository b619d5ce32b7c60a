<?php

declare(strict_types=1);

namespace Tests\Core\Diagnosis\Jobs;

/**
 * Blowers behind a pack of resistors: key off, off, and four speeds. The motor is fed through the pack, twelve volts.
 */
final class SteppedBlowerJobsTest extends WorkshopJobs
{
    protected static function family(): string
    {
        return 'stepped-blower';
    }

    public static function jobs(): iterable
    {
        yield 'only the highest speed is left, and the pack is open' => [
            new WorkshopJob(
                'right right dead dead dead right',
                ['common-ohms' => null, 'look-pack-plug' => 'fine'],
                'pack',
                0.9,
                ['motor', 'fuse'],
            ),
        ];
        yield 'one speed is missing, its resistor open' => [
            new WorkshopJob(
                'right right dead right right right',
                ['tap-volts@1' => 12.9, 'pack-ohms-1' => null, 'look-pack' => 'cracked'],
                'pack',
                0.9,
                ['selector', 'motor'],
            ),
        ];
        yield 'one speed in the middle is missing, its contact open' => [
            new WorkshopJob(
                'right right right dead right right',
                ['selector-out@2' => 0.0, 'contact-ohms@2' => null],
                'selector',
                0.9,
                ['pack', 'motor'],
            ),
        ];
        yield 'one speed is missing, its wire broken between selector and pack' => [
            new WorkshopJob(
                'right right right dead right right',
                ['selector-out@2' => 12.8, 'tap-volts@2' => 0.0, 'wiggle-wires' => 'steady'],
                'tap-wire',
                0.85,
                ['pack', 'motor', 'selector'],
            ),
        ];
        yield 'all of it dead behind a blown fuse' => [
            new WorkshopJob(
                'right right dead dead dead dead',
                ['fuse-in@4' => 12.5, 'fuse-out@4' => 0.0, 'spin' => 'free', 'neighbours' => 'dead'],
                'fuse',
                0.5,
                ['pack', 'ground-wire'],
            ),
        ];
        yield 'all of it dead behind a relay that does not close' => [
            new WorkshopJob(
                'right right dead dead dead dead',
                ['fuse-out@4' => 12.6, 'relay-out@4' => 0.0, 'neighbours' => 'work'],
                'relay',
                0.85,
                ['pack', 'motor', 'fuse'],
            ),
        ];
        yield 'all of it dead with supply at the motor and its other pin at ground: brushes gone' => [
            new WorkshopJob(
                'right right dead dead dead dead',
                ['plus-volts@4' => 12.4, 'minus-volts@4' => 0.0, 'spin' => 'free', 'knock' => 'starts'],
                'motor',
                0.9,
                ['pack', 'fuse', 'ground-wire'],
            ),
        ];
        yield 'all of it dead with supply on both pins of the motor' => [
            new WorkshopJob(
                'right right dead dead dead dead',
                ['plus-volts@4' => 12.5, 'minus-volts@4' => 12.4, 'look-motor-plug' => 'fine', 'spin' => 'free'],
                'ground-wire',
                0.5,
                ['pack', 'fuse', 'relay', 'selector'],
            ),
        ];
        yield 'weak on the high speeds, volts lost in the ground' => [
            new WorkshopJob(
                'right right right right slow slow',
                ['ground-drop@4' => 2.4, 'minus-volts@4' => 2.4, 'plus-volts@4' => 12.6],
                'ground-wire',
                0.6,
                ['pack', 'motor', 'fuse'],
            ),
        ];
        yield 'a browned plug that loses three volts at the pack' => [
            new WorkshopJob(
                'right right slow slow slow right',
                ['look-pack-plug' => 'burnt', 'pack-plug-drop@3' => 3.2, 'wiggle-pack-plug' => 'changes'],
                'pack-plug',
                0.8,
                ['fuse', 'relay'],
            ),
        ];
        yield 'gritty, weak on low and half as much current again as rated' => [
            new WorkshopJob(
                'right right dead slow slow slow',
                ['current@4' => 27.0, 'spin' => 'gritty', 'look-wheel' => 'clean', 'plus-volts@4' => 12.3],
                'motor',
                0.8,
                ['selector', 'fuse'],
                ['motorAmps' => '18'],
            ),
        ];
        yield 'leaves in the wheel' => [
            new WorkshopJob(
                'right right slow slow slow slow',
                ['look-wheel' => 'debris', 'spin' => 'gritty', 'spin-bare' => 'free', 'current@4' => 24.0],
                'wheel',
                0.8,
                ['pack', 'selector', 'fuse'],
                ['motorAmps' => '18'],
            ),
        ];
        yield 'runs with the key out' => [
            new WorkshopJob(
                'runs right right right right right',
                ['fuse-pulled' => 'right', 'wiggle-relay' => 'steady'],
                'relay',
                0.8,
                ['pack', 'motor', 'fuse'],
            ),
        ];
        yield 'a motor that spins free and draws nothing though it has its volts' => [
            new WorkshopJob(
                'right right dead dead dead dead',
                ['motor-volts@4' => 12.4, 'current@direct' => 0.0, 'speed@direct' => 'dead', 'spin' => 'free'],
                'motor',
                0.9,
                ['pack', 'fuse', 'selector'],
            ),
        ];
        yield 'every speed as it should be, a rumble, and a loose set screw' => [
            new WorkshopJob(
                'right right right right right right',
                ['noise' => 'rumble', 'wobble' => 'wobbles', 'set-screw' => 'loose'],
                'mounting',
                0.8,
                ['pack', 'fuse'],
            ),
        ];
        yield 'ground side: only high works, and the pack is open' => [
            new WorkshopJob(
                'right right dead dead dead right',
                ['common-ohms' => null, 'look-pack' => 'burnt'],
                'pack',
                0.9,
                ['motor', 'fuse'],
                ['side' => 'ground'],
            ),
        ];
        yield 'ground side: a dead motor with supply on both pins, the selector cut off from ground' => [
            new WorkshopJob(
                'right right dead dead dead dead',
                ['plus-volts@4' => 12.5, 'minus-volts@4' => 12.5, 'motor-volts@4' => 0.0],
                'selector',
                0.5,
                ['fuse', 'motor', 'pack'],
                ['side' => 'ground'],
            ),
        ];
        yield 'changeover relay: only high works, the pack through, the rest contact burnt' => [
            new WorkshopJob(
                'right right dead dead dead right',
                ['common-ohms' => 0.6, 'rest-drop@3' => 12.1],
                'high-relay',
                0.7,
                ['motor', 'fuse'],
                ['high' => 'changeover'],
            ),
        ];
        yield 'a bus of twenty-four volts behind a blown fuse' => [
            new WorkshopJob(
                'right right dead dead dead dead',
                ['fuse-in@4' => 25.4, 'fuse-out@4' => 0.0, 'neighbours' => 'dead'],
                'fuse',
                0.5,
                ['pack', 'ground-wire'],
                ['supply' => '24'],
            ),
        ];
        yield 'dead in all, a leaf jams the wheel and the bare shaft is free' => [
            new WorkshopJob(
                'right right dead dead dead dead',
                ['spin' => 'locked', 'spin-bare' => 'free', 'look-wheel' => 'debris'],
                'wheel',
                0.9,
                ['motor', 'relay', 'ground-wire'],
            ),
        ];
    }
}
