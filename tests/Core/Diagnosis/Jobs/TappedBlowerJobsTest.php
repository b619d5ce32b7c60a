<?php

declare(strict_types=1);

namespace Tests\Core\Diagnosis\Jobs;

/**
 * Furnace blowers with winding taps and a run capacitor on 230 V: off, a heat call, a cool call.
 */
final class TappedBlowerJobsTest extends WorkshopJobs
{
    protected static function family(): string
    {
        return 'tapped-blower';
    }

    public static function jobs(): iterable
    {
        yield 'hums and does not start, the capacitor measures next to nothing' => [
            new WorkshopJob(
                'right dead dead',
                ['microfarads' => 0.1, 'spin' => 'free', 'look-capacitor' => 'swollen'],
                'capacitor',
                0.95,
                ['board', 'breaker', 'filter'],
                ['capacitor' => '10'],
            ),
        ];
        yield 'a little slow and hot, six of ten microfarads' => [
            new WorkshopJob(
                'right slow slow',
                ['microfarads' => 6.1, 'spin' => 'free', 'look-wheel' => 'clean'],
                'capacitor',
                0.9,
                ['board', 'breaker', 'filter'],
                ['capacitor' => '10'],
            ),
        ];
        yield 'needs a push, the capacitor good, its winding open' => [
            new WorkshopJob(
                'right dead dead',
                ['pushed' => 'slow', 'microfarads' => 10.1, 'auxiliary-ohms' => null, 'spin' => 'free'],
                'motor',
                0.9,
                ['board', 'breaker', 'capacitor'],
                ['capacitor' => '10'],
            ),
        ];
        yield 'cool dead, heat right: a call comes in and no line goes out' => [
            new WorkshopJob(
                'right right dead',
                ['call-volts@cool' => 25.6, 'terminal-volts@cool' => 0.4, 'lifted-volts@cool' => 0.3],
                'board',
                0.9,
                ['motor', 'capacitor', 'thermostat', 'breaker'],
            ),
        ];
        yield 'heat dead, cool right: no call comes in' => [
            new WorkshopJob('right dead right', ['call-volts@heat' => 0.0, 'secondary' => 26.1], 'thermostat', 0.9, [
                'motor',
                'capacitor',
                'board',
                'breaker',
            ]),
        ];
        yield 'heat dead, cool right: line at its terminal, the wire to the motor broken' => [
            new WorkshopJob(
                'right dead right',
                ['terminal-volts@heat' => 231.0, 'tap-ohms@low' => 18.0, 'tap-ohms@medium-low' => 15.5],
                'wires',
                0.4,
                ['thermostat', 'breaker', 'transformer'],
            ),
        ];
        yield 'all dead behind the breaker' => [
            new WorkshopJob(
                'right dead dead',
                ['line-volts' => 0.4, 'breaker-drop' => 232.0, 'case-ohms' => null],
                'breaker',
                0.8,
                ['capacitor', 'thermostat', 'transformer', 'door-switch'],
            ),
        ];
        yield 'all dead behind the door switch' => [
            new WorkshopJob(
                'right dead dead',
                ['line-volts' => 233.0, 'door-volts' => 0.0, 'door-drop' => 232.0],
                'door-switch',
                0.9,
                ['capacitor', 'thermostat', 'breaker', 'motor'],
            ),
        ];
        yield 'all dead, line on the board and nothing behind the transformer' => [
            new WorkshopJob('right dead dead', ['door-volts' => 231.0, 'secondary' => 0.0], 'transformer', 0.9, [
                'capacitor',
                'thermostat',
                'breaker',
                'motor',
            ]),
        ];
        yield 'cuts out on both calls and draws twice its amps: the two wires to the motor touch' => [
            new WorkshopJob(
                'right cuts-out cuts-out',
                ['amps@cool' => 6.3, 'spin' => 'free', 'wires-ohms@heat-cool' => 0.4],
                'wires',
                0.9,
                ['board', 'motor', 'capacitor', 'breaker'],
            ),
        ];
        yield 'cuts out on both calls and draws twice its amps: the lifted wires do not touch, its winding does' => [
            new WorkshopJob(
                'right cuts-out cuts-out',
                ['amps@cool' => 6.3, 'spin' => 'free', 'wires-ohms@heat-cool' => null],
                'motor',
                0.9,
                ['board', 'wires', 'capacitor', 'breaker'],
            ),
        ];
        yield 'locked, and it hums' => [
            new WorkshopJob(
                'right dead dead',
                ['spin' => 'locked', 'tap-volts@cool' => 231.0, 'microfarads' => 9.9, 'noise' => 'hum'],
                'motor',
                0.85,
                ['capacitor', 'breaker', 'board', 'thermostat'],
                ['capacitor' => '10'],
            ),
        ];
        yield 'trips: the windings to the case' => [
            new WorkshopJob('right dead dead', ['line-volts' => 0.0, 'case-ohms' => 900.0], 'motor', 0.8, [
                'capacitor',
                'board',
                'thermostat',
            ]),
        ];
        yield 'too hot on heat and a filter like felt' => [
            new WorkshopJob(
                'right right right',
                ['look-filter' => 'clogged', 'look-wheel' => 'clean', 'limit-holds' => 'cuts-out', 'rise' => 47.0],
                'filter',
                0.8,
                ['capacitor', 'board', 'thermostat', 'breaker'],
                ['riseLeast' => '20', 'riseMost' => '35'],
            ),
        ];
        yield 'the motor runs and the wheel does not follow it' => [
            new WorkshopJob(
                'right right right',
                ['noise' => 'rumble', 'set-screw' => 'loose', 'wobble' => 'wobbles'],
                'mounting',
                0.8,
                ['capacitor', 'board', 'thermostat', 'breaker'],
            ),
        ];
    }
}
