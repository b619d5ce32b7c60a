<?php

declare(strict_types=1);

namespace Tests\Core\Diagnosis\Jobs;

/**
 * 24 V outputs behind a fuse where something else draws, beside what looks like it.
 */
final class DrainedOutputJobsTest extends WorkshopJobs
{
    protected static function family(): string
    {
        return 'control-output';
    }

    public static function jobs(): iterable
    {
        yield 'chatters, the secondary sags with no call and is whole with the fuse out' => [
            new WorkshopJob(
                'right cuts-out cuts-out',
                ['secondary@off' => 14.5, 'secondary-alone@fuse-out' => 27.4, 'contact-drop@call' => 0.03],
                'other-load',
                0.9,
                ['board', 'fuse', 'thermostat', 'common-wire'],
                [],
            ),
        ];
        yield 'dead in both, twelve volts behind the fuse, twenty-seven before it when the fuse is out' => [
            new WorkshopJob(
                'right dead dead',
                [
                    'fused@call' => 11.8,
                    'secondary@call' => 11.9,
                    'secondary-alone@fuse-out' => 27.0,
                    'coil-ohms' => 17.0,
                    'secondary@off' => 12.6,
                ],
                'other-load',
                0.9,
                ['board', 'fuse', 'thermostat', 'field-wire'],
                [],
            ),
        ];
        yield 'chatters, the secondary sags with the fuse out too, the tap fits' => [
            new WorkshopJob(
                'right cuts-out cuts-out',
                [
                    'secondary@call' => 15.0,
                    'secondary-alone@fuse-out' => 20.5,
                    'primary-tap' => 'fits',
                    'coil-ohms' => 17.0,
                    'coil-amps@call' => 0.9,
                ],
                'transformer',
                0.8,
                ['board', 'fuse', 'other-load', 'common-wire'],
                [],
            ),
        ];
        yield 'chatters only with everything on, and the secondary sags far before that' => [
            new WorkshopJob(
                'right right cuts-out',
                ['secondary@off' => 20.8, 'secondary-alone@fuse-out' => 27.2, 'output-loaded@all' => 18.6],
                'other-load',
                0.8,
                ['board', 'fuse', 'thermostat', 'common-wire'],
                [],
            ),
        ];
        yield 'a relay that buzzes, behind the fuse is half of what is there without it' => [
            new WorkshopJob(
                'right cuts-out cuts-out',
                ['secondary-alone@fuse-out' => 26.4, 'secondary@off' => 12.9, 'contact-drop@call' => 0.0],
                'other-load',
                0.85,
                ['board', 'fuse', 'transformer', 'common-wire'],
                ['load' => 'relay'],
            ),
        ];
        yield 'a large transformer dragged down by something behind the fuse' => [
            new WorkshopJob(
                'right cuts-out cuts-out',
                ['secondary@off' => 15.2, 'secondary-alone@fuse-out' => 27.1],
                'other-load',
                0.8,
                ['fuse', 'thermostat', 'common-wire'],
                ['transformer' => '75'],
            ),
        ];
        yield 'nothing behind the fuse, all of it before, the field wire at ground' => [
            new WorkshopJob(
                'right dead dead',
                ['fused@call' => 0.0, 'secondary@call' => 27.6, 'field-ohms' => 0.3],
                'field-wire',
                0.8,
                ['board', 'transformer', 'other-load', 'thermostat'],
                [],
            ),
        ];
        yield 'nothing behind the fuse, the field wire and its coil in order' => [
            new WorkshopJob(
                'right dead dead',
                ['fused@call' => 0.0, 'secondary@call' => 27.6, 'field-ohms' => 19.0],
                'fuse',
                0.8,
                ['board', 'transformer', 'other-load', 'thermostat'],
                [],
            ),
        ];
        yield 'the wrong primary tap seen, all volts a seventh low' => [
            new WorkshopJob(
                'right right cuts-out',
                [
                    'secondary@off' => 22.4,
                    'primary-tap' => 'wrong',
                    'secondary-alone@fuse-out' => 22.7,
                    'coil-volts@call' => 21.2,
                ],
                'transformer-tap',
                0.8,
                ['fuse', 'thermostat', 'other-load', 'board'],
                [],
            ),
        ];
    }
}
