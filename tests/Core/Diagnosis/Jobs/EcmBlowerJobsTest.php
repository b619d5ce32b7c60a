<?php

declare(strict_types=1);

namespace Tests\Core\Diagnosis\Jobs;

/**
 * Furnace blowers with an electronic motor and 24 V taps on 230 V: off, calls for fan, heat and cool.
 */
final class EcmBlowerJobsTest extends WorkshopJobs
{
    private const DEAD = 'right dead dead dead';

    protected static function family(): string
    {
        return 'ecm-blower';
    }

    public static function jobs(): iterable
    {
        yield 'dead with line and call at its plugs, the inrush limiter burnt open' => [
            new WorkshopJob(
                self::DEAD,
                ['plug-volts' => 231.0, 'tap-volts@cool' => 25.2, 'inrush-ohms' => null, 'look-module' => 'burnt'],
                'module',
                0.95,
                ['motor', 'board', 'thermostat', 'transformer'],
            ),
        ];
        yield 'dead, one pair of phases open' => [
            new WorkshopJob(
                self::DEAD,
                [
                    'plug-volts' => 229.0,
                    'tap-volts@cool' => 24.8,
                    'phase-ab' => 4.8,
                    'phase-bc' => null,
                    'phase-ca' => null,
                ],
                'motor',
                0.9,
                ['board', 'thermostat', 'transformer', 'breaker'],
            ),
        ];
        yield 'dead, no line at the plug, the door switch open' => [
            new WorkshopJob(
                self::DEAD,
                ['fed-volts' => 232.0, 'live-volts' => 0.0, 'door-drop' => 231.0],
                'door-switch',
                0.9,
                ['motor', 'module', 'board', 'breaker'],
            ),
        ];
        yield 'dead, line comes to the plug and not through it' => [
            new WorkshopJob(
                self::DEAD,
                ['plug-volts-off' => 231.0, 'plug-volts' => 0.4, 'look-plugs' => 'burnt'],
                'line-plug',
                0.8,
                ['motor', 'board', 'thermostat', 'breaker'],
            ),
        ];
        yield 'dead, line good and no 24 V at all' => [
            new WorkshopJob(self::DEAD, ['plug-volts' => 231.0, 'secondary' => 0.0], 'transformer', 0.9, [
                'motor',
                'module',
                'thermostat',
                'breaker',
            ]),
        ];
        yield 'cool dead, the others right: no call at the board' => [
            new WorkshopJob(
                'right right right dead',
                ['call-volts@cool' => 0.2, 'secondary' => 25.7],
                'thermostat',
                0.9,
                ['motor', 'module', 'board', 'breaker'],
            ),
        ];
        yield 'cool dead, the others right: a call comes in and none goes out' => [
            new WorkshopJob(
                'right right right dead',
                ['call-volts@cool' => 25.1, 'sent-volts@cool' => 0.1],
                'board',
                0.85,
                ['motor', 'module', 'thermostat', 'breaker'],
            ),
        ];
        yield 'cool dead, the others right: the call leaves the board and never comes' => [
            new WorkshopJob(
                'right right right dead',
                ['sent-volts@cool' => 25.0, 'tap-volts@cool' => 0.6, 'wiggle-plugs' => 'steady'],
                'low-wires',
                0.85,
                ['motor', 'module', 'thermostat', 'breaker'],
            ),
        ];
        yield 'cool dead, the others right: the call is at the motor' => [
            new WorkshopJob(
                'right right right dead',
                ['tap-volts@cool' => 25.2, 'tap-ground@cool' => 25.1],
                'module',
                0.9,
                ['motor', 'board', 'thermostat', 'breaker'],
            ),
        ];
        yield 'locked with the module on and off' => [
            new WorkshopJob(
                self::DEAD,
                ['spin' => 'locked', 'spin-unplugged' => 'locked', 'plug-volts' => 231.0],
                'motor',
                0.9,
                ['board', 'thermostat', 'breaker', 'transformer'],
            ),
        ];
        yield 'notchy with the module on, free without' => [
            new WorkshopJob(
                self::DEAD,
                ['spin' => 'gritty', 'spin-unplugged' => 'free', 'phase-ab' => 4.9, 'phase-bc' => 4.9],
                'module',
                0.7,
                ['board', 'thermostat', 'transformer'],
            ),
        ];
        yield 'a used module turns it backwards' => [
            new WorkshopJob(
                'right right right right',
                ['rotation' => 'backward', 'look-filter' => 'clean', 'look-wheel' => 'clean'],
                'rotation',
                0.2,
                ['thermostat', 'module'],
            ),
        ];
        yield 'trips the breaker, the windings to the case' => [
            new WorkshopJob(self::DEAD, ['fed-volts' => 0.0, 'case-ohms' => 1500.0], 'motor', 0.8, [
                'board',
                'thermostat',
                'transformer',
                'filter',
            ]),
        ];
    }
}
