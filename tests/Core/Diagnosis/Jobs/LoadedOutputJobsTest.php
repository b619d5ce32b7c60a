<?php

declare(strict_types=1);

namespace Tests\Core\Diagnosis\Jobs;

/**
 * 24 V outputs measured under load, with the wire lifted and at the coil.
 */
final class LoadedOutputJobsTest extends WorkshopJobs
{
    protected static function family(): string
    {
        return 'control-output';
    }

    public static function jobs(): iterable
    {
        yield 'chatters, good volts at the board and at the coil, which draws far too much' => [
            new WorkshopJob(
                'right cuts-out cuts-out',
                ['coil-amps@call' => 1.6, 'coil-ohms' => 3.1, 'coil-volts@call' => 18.0],
                'contactor',
                0.7,
                ['fuse', 'thermostat', 'common-wire'],
                [],
            ),
        ];
        yield 'dead, the field wire broken: full volts at the board and none at the coil' => [
            new WorkshopJob(
                'right dead dead',
                ['output-loaded@call' => 26.1, 'coil-volts@call' => 0.0, 'wire-drop@call' => 0.0],
                'field-wire',
                0.9,
                ['fuse', 'thermostat', 'contactor', 'board', 'transformer'],
                [],
            ),
        ];
        yield 'dead, the common broken: both sides of the coil stand at full volts' => [
            new WorkshopJob(
                'right dead dead',
                ['wire-drop@call' => 26.0, 'common-drop@call' => 26.0, 'coil-volts@call' => 0.0],
                'common-wire',
                0.9,
                ['fuse', 'thermostat', 'contactor', 'board', 'transformer'],
                [],
            ),
        ];
        yield 'dead, jammed: the coil hums on good volts and draws more than it should' => [
            new WorkshopJob(
                'right dead dead',
                ['coil-volts@call' => 24.6, 'push-armature' => 'stuck', 'coil-ohms' => 11.0],
                'contactor',
                0.65,
                ['fuse', 'thermostat', 'transformer'],
                [],
            ),
        ];
        yield 'stays in, the board gives volts with no call and the wire off' => [
            new WorkshopJob(
                'runs right right',
                ['output-idle@idle' => 26.3],
                'board',
                0.9,
                ['fuse', 'thermostat', 'transformer', 'contactor'],
                [],
            ),
        ];
        yield 'stays in, no volts leave the board with no call: its armature is stuck' => [
            new WorkshopJob(
                'runs right right',
                ['output-idle@idle' => 0.1, 'push-armature' => 'stuck'],
                'contactor',
                0.9,
                ['fuse', 'thermostat', 'transformer', 'board'],
                [],
            ),
        ];
        yield 'dead, no volts at the call terminal though R is good' => [
            new WorkshopJob(
                'right dead dead',
                ['secondary@call' => 26.4, 'fused@call' => 26.3, 'call-volts@call' => 0.0],
                'thermostat',
                0.9,
                ['fuse', 'board', 'transformer', 'contactor'],
                [],
            ),
        ];
        yield 'dead behind the fuse of the board, the lifted field wire is a short to C' => [
            new WorkshopJob(
                'right dead dead',
                ['secondary@off' => 26.8, 'fused@call' => 0.0, 'field-ohms' => 0.3],
                'field-wire',
                0.6,
                ['thermostat', 'transformer', 'board'],
                [],
            ),
        ];
        yield 'dead, nothing from R to C' => [
            new WorkshopJob(
                'right dead dead',
                ['secondary@off' => 0.0, 'secondary@call' => 0.0, 'primary-tap' => 'fits'],
                'transformer',
                0.9,
                ['fuse', 'thermostat', 'board', 'contactor'],
                [],
            ),
        ];
        yield 'chatters, the board loses eight volts in its output' => [
            new WorkshopJob(
                'right cuts-out cuts-out',
                ['contact-drop@call' => 8.1, 'secondary@call' => 25.9],
                'board',
                0.9,
                ['fuse', 'thermostat', 'transformer', 'contactor'],
                [],
            ),
        ];
        yield 'dead with a good contactor: a known relay on the output does not pull in either' => [
            new WorkshopJob(
                'right dead dead',
                ['call-volts@call' => 26.0, 'known-load' => 'dead', 'output-open@lifted' => 0.0],
                'board',
                0.9,
                ['thermostat', 'transformer', 'contactor', 'field-wire'],
                [],
            ),
        ];
        yield '75 VA: chatters only with all on, the board cracked at a joint' => [
            new WorkshopJob(
                'right right cuts-out',
                ['look-board' => 'cracked', 'contact-drop@call' => 5.5],
                'board',
                0.8,
                ['fuse', 'thermostat', 'contactor'],
                ['transformer' => '75'],
            ),
        ];
    }
}
