<?php

declare(strict_types=1);

namespace Tests\Core\Diagnosis\Jobs;

/**
 * Stepped blowers that are switched on the return side, with a pack of coils and a high relay.
 */
final class ReturnSideJobsTest extends WorkshopJobs
{
    protected static function family(): string
    {
        return 'stepped-blower';
    }

    public static function jobs(): iterable
    {
        yield 'return side: 1 dead alone, its resistor over range' => [
            new WorkshopJob(
                'right right dead right right right right',
                ['pack-ohms-1' => null, 'pack-ohms-2' => 0.96],
                'pack',
                0.9,
                ['motor', 'fuse', 'relay', 'selector'],
                ['side' => 'ground', 'pack' => 'coils', 'high' => 'relay', 'positions' => '5'],
            ),
        ];
        yield 'return side: 1 dead alone, the resistor good, its wire open between selector and pack' => [
            new WorkshopJob(
                'right right dead right right right right',
                ['pack-ohms-1' => 1.95, 'tap-volts@1' => 12.3, 'selector-out@1' => 0.0],
                'tap-wire',
                0.9,
                ['motor', 'fuse', 'relay', 'pack'],
                ['side' => 'ground', 'pack' => 'coils', 'high' => 'relay', 'positions' => '5'],
            ),
        ];
        yield 'return side: 1 dead alone, the wire good, the selector does not join it' => [
            new WorkshopJob(
                'right right dead right right right right',
                ['pack-ohms-1' => 1.95, 'selector-out@1' => 12.3, 'contact-ohms@1' => null],
                'selector',
                0.9,
                ['motor', 'fuse', 'relay', 'pack'],
                ['side' => 'ground', 'pack' => 'coils', 'high' => 'relay', 'positions' => '5'],
            ),
        ];
        yield 'return side: 5 dead alone, its coil gets volts and it joins nothing' => [
            new WorkshopJob(
                'right right right right right right dead',
                ['high-coil-volts@5' => 12.1, 'high-out@5' => 12.3, 'high-supply@5' => 0.0],
                'high-relay',
                0.9,
                ['motor', 'fuse', 'relay', 'pack'],
                ['side' => 'ground', 'pack' => 'coils', 'high' => 'relay', 'positions' => '5'],
            ),
        ];
        yield 'return side: 5 dead alone, no volts at its coil' => [
            new WorkshopJob(
                'right right right right right right dead',
                ['high-coil-volts@5' => 0.0, 'high-supply@5' => 0.0],
                'selector',
                0.4,
                ['motor', 'fuse', 'relay', 'pack'],
                ['side' => 'ground', 'pack' => 'coils', 'high' => 'relay', 'positions' => '5'],
            ),
        ];
        yield 'return side: all slow, the motor straight from the battery too, and gritty' => [
            new WorkshopJob(
                'right right slow slow slow slow slow',
                ['speed@direct' => 'slow', 'spin' => 'gritty', 'spin-bare' => 'gritty'],
                'motor',
                0.9,
                ['pack', 'fuse', 'relay', 'selector'],
                ['side' => 'ground', 'pack' => 'coils', 'high' => 'relay', 'positions' => '5'],
            ),
        ];
        yield 'return side: 1 to 4 dead, 5 good, thermal fuse open' => [
            new WorkshopJob(
                'right right dead dead dead dead right',
                ['common-ohms' => null],
                'pack',
                0.9,
                ['motor', 'fuse', 'relay', 'selector'],
                ['side' => 'ground', 'pack' => 'coils', 'high' => 'relay', 'positions' => '5'],
            ),
        ];
        yield 'return side: 1 to 4 slow, the pack plug browned and loses a volt and a half' => [
            new WorkshopJob(
                'right right slow slow slow slow right',
                ['pack-plug-drop@4' => 1.6, 'look-pack-plug' => 'burnt'],
                'pack-plug',
                0.8,
                ['wheel', 'fuse', 'relay', 'selector'],
                ['side' => 'ground', 'pack' => 'coils', 'high' => 'relay', 'positions' => '5'],
            ),
        ];
        yield 'return side: all dead, nothing past the main fuse' => [
            new WorkshopJob(
                'right right dead dead dead dead dead',
                ['fuse-in@5' => 12.5, 'fuse-out@5' => 0.0],
                'fuse',
                0.7,
                ['wheel', 'pack', 'selector', 'ground-wire'],
                ['side' => 'ground', 'pack' => 'coils', 'high' => 'relay', 'positions' => '5'],
            ),
        ];
        yield 'return side: all dead, supply and return good at the motor' => [
            new WorkshopJob(
                'right right dead dead dead dead dead',
                ['plus-volts@5' => 12.4, 'minus-volts@5' => 0.1, 'speed@direct' => 'dead', 'look-wheel' => 'clean'],
                'motor',
                0.9,
                ['pack', 'fuse', 'relay', 'selector'],
                ['side' => 'ground', 'pack' => 'coils', 'high' => 'relay', 'positions' => '5'],
            ),
        ];
        yield 'return side: all dead, both pins of the motor at battery plus' => [
            new WorkshopJob(
                'right right dead dead dead dead dead',
                [
                    'plus-volts@5' => 12.4,
                    'minus-volts@5' => 12.3,
                    'ground-drop@5' => 0.0,
                    'high-out@5' => 12.2,
                    'common-ohms' => 0.1,
                ],
                'selector',
                0.9,
                ['fuse', 'relay', 'feed-wire', 'wheel'],
                ['side' => 'ground', 'pack' => 'coils', 'high' => 'relay', 'positions' => '5'],
            ),
        ];
        yield 'return side: 3 fast, its coil shorted to fewer turns' => [
            new WorkshopJob(
                'right right right right fast right right',
                ['pack-ohms-3' => 0.17, 'pack-ohms-2' => 0.97, 'pack-ohms-4' => 0.16],
                'pack',
                0.9,
                ['motor', 'fuse', 'relay', 'selector'],
                ['side' => 'ground', 'pack' => 'coils', 'high' => 'relay', 'positions' => '5'],
            ),
        ];
        yield 'return side: runs with the key off, and stops with the relay pulled only' => [
            new WorkshopJob(
                'runs right right right right right right',
                ['wiggle-relay' => 'changes'],
                'relay',
                0.5,
                ['motor', 'fuse', 'pack', 'wheel'],
                ['side' => 'ground', 'pack' => 'coils', 'high' => 'relay', 'positions' => '5'],
            ),
        ];
    }
}
