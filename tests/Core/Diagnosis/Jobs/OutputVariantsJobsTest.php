<?php

declare(strict_types=1);

namespace Tests\Core\Diagnosis\Jobs;

/**
 * Outputs of 24 V with a relay for a load, and on a small transformer.
 */
final class OutputVariantsJobsTest extends WorkshopJobs
{
    protected static function family(): string
    {
        return 'control-output';
    }

    public static function jobs(): iterable
    {
        yield 'a relay: dead, its coil open' => [
            new WorkshopJob(
                'right dead dead',
                ['coil-volts@call' => 26.1, 'coil-ohms' => null],
                'contactor',
                0.95,
                ['board', 'transformer', 'thermostat'],
                ['load' => 'relay'],
            ),
        ];
        yield 'a relay: dead, the field wire broken' => [
            new WorkshopJob(
                'right dead dead',
                ['output-loaded@call' => 26.3, 'coil-volts@call' => 0.3, 'common-drop@call' => 0.0],
                'field-wire',
                0.9,
                ['board', 'transformer', 'thermostat', 'contactor'],
                ['load' => 'relay'],
            ),
        ];
        yield 'a relay: dead, the common broken: full volts on both sides of the coil' => [
            new WorkshopJob(
                'right dead dead',
                ['wire-drop@call' => 26.0, 'common-drop@call' => 25.9, 'coil-volts@call' => 0.2],
                'common-wire',
                0.9,
                ['board', 'transformer', 'thermostat', 'contactor'],
                ['load' => 'relay'],
            ),
        ];
        yield 'a relay: stays in, fed from the board with no call' => [
            new WorkshopJob(
                'runs right right',
                ['output-idle@idle' => 25.7],
                'board',
                0.8,
                ['transformer', 'thermostat', 'contactor'],
                ['load' => 'relay'],
            ),
        ];
        yield '40 VA: chatters only when all else is on, the transformer gives way' => [
            new WorkshopJob(
                'right right cuts-out',
                ['secondary@off' => 25.8, 'secondary@all' => 17.5, 'output-loaded@all' => 17.3],
                'transformer',
                0.8,
                ['board', 'thermostat', 'field-wire', 'common-wire'],
                ['transformer' => '40'],
            ),
        ];
        yield '40 VA: dead, nothing behind the transformer' => [
            new WorkshopJob(
                'right dead dead',
                ['secondary@off' => 0.3, 'secondary@call' => 0.2],
                'transformer',
                0.9,
                ['board', 'thermostat', 'field-wire', 'contactor'],
                ['transformer' => '40'],
            ),
        ];
        yield 'a long wire: chatters, and its volts are lost on the way' => [
            new WorkshopJob(
                'right cuts-out cuts-out',
                ['output-loaded@call' => 25.2, 'wire-drop@call' => 16.9, 'look-contactor' => 'pitted'],
                'field-wire',
                0.85,
                ['board', 'thermostat', 'transformer'],
                ['wireMetres' => '25'],
            ),
        ];
    }
}
