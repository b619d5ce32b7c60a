<?php

declare(strict_types=1);

namespace Tests\Core\Diagnosis\Jobs;

/**
 * Outputs of 24 V that call a contactor: off, the call alone, the call beside all others.
 */
final class ControlOutputJobsTest extends WorkshopJobs
{
    protected static function family(): string
    {
        return 'control-output';
    }

    public static function jobs(): iterable
    {
        yield 'chatters, sixteen volts under load at the board and twenty-six with the wire lifted' => [
            new WorkshopJob(
                'right cuts-out cuts-out',
                ['secondary@call' => 25.6, 'output-loaded@call' => 16.4, 'output-open@lifted' => 26.0],
                'board',
                0.8,
                ['transformer', 'thermostat', 'field-wire', 'common-wire'],
            ),
        ];
        yield 'chatters, good volts at the board and seven lost along the wire' => [
            new WorkshopJob(
                'right cuts-out cuts-out',
                ['output-loaded@call' => 25.1, 'coil-volts@call' => 17.0, 'common-drop@call' => 0.2],
                'field-wire',
                0.85,
                ['transformer', 'thermostat', 'board', 'common-wire'],
            ),
        ];
        yield 'chatters, good volts at the board and six lost in the common' => [
            new WorkshopJob(
                'right cuts-out cuts-out',
                ['output-loaded@call' => 25.0, 'common-drop@call' => 6.4, 'wire-drop@call' => 24.8],
                'common-wire',
                0.5,
                ['transformer', 'thermostat', 'board', 'field-wire'],
            ),
        ];
        yield 'dead, full volts at a coil that is open' => [
            new WorkshopJob('right dead dead', ['coil-volts@call' => 25.8, 'coil-ohms' => null], 'contactor', 0.95, [
                'transformer',
                'thermostat',
                'board',
                'field-wire',
            ]),
        ];
        yield 'dead, a call comes and none goes out' => [
            new WorkshopJob(
                'right dead dead',
                ['call-volts@call' => 25.7, 'fused@call' => 25.8, 'output-loaded@call' => 0.2, 'coil-ohms' => 12.0],
                'board',
                0.85,
                ['transformer', 'thermostat', 'contactor', 'fuse'],
            ),
        ];
        yield 'dead, no call comes from the thermostat' => [
            new WorkshopJob(
                'right dead dead',
                ['secondary@call' => 26.0, 'fused@call' => 26.0, 'call-volts@call' => 0.1],
                'thermostat',
                0.9,
                ['transformer', 'board', 'contactor', 'fuse'],
            ),
        ];
        yield 'dead behind the fuse of the board, nothing shorted outside' => [
            new WorkshopJob(
                'right dead dead',
                ['secondary@call' => 26.2, 'fused@call' => 0.0, 'field-ohms' => 14.0, 'coil-ohms' => 13.0],
                'fuse',
                0.8,
                ['transformer', 'board', 'thermostat'],
            ),
        ];
        yield 'dead behind the fuse, which a shorted field wire blew' => [
            new WorkshopJob(
                'right dead dead',
                ['fused@call' => 0.0, 'field-ohms' => 0.4, 'coil-ohms' => 13.0],
                'field-wire',
                0.85,
                ['transformer', 'board', 'thermostat'],
            ),
        ];
        yield 'dead, line on the transformer and nothing behind it' => [
            new WorkshopJob('right dead dead', ['secondary@call' => 0.0, 'secondary@off' => 0.0], 'transformer', 0.9, [
                'thermostat',
                'board',
                'contactor',
                'field-wire',
            ]),
        ];
        yield 'stays in with no call, its armature stuck' => [
            new WorkshopJob(
                'runs right right',
                ['push-armature' => 'stuck', 'output-idle@idle' => 0.4],
                'contactor',
                0.9,
                ['transformer', 'thermostat', 'board', 'field-wire'],
            ),
        ];
        yield 'hums, a primary tap of the wrong line' => [
            new WorkshopJob(
                'right cuts-out cuts-out',
                ['primary-tap' => 'wrong', 'secondary@off' => 22.3, 'secondary@call' => 21.8],
                'transformer-tap',
                0.5,
                ['thermostat', 'field-wire'],
            ),
        ];
        yield 'a relay that chatters and draws twice what it should: turns are shorted' => [
            new WorkshopJob(
                'right cuts-out cuts-out',
                ['coil-ohms' => 1.4, 'secondary@call' => 21.0, 'known-load' => 'right'],
                'contactor',
                0.85,
                ['thermostat', 'board', 'field-wire', 'transformer'],
            ),
        ];
    }
}
