<?php

declare(strict_types=1);

namespace Tests\Core\Diagnosis\Jobs;

/**
 * Mains electronics: one call missing, no line, and what is not electric at all.
 */
final class EcmCallsJobsTest extends WorkshopJobs
{
    protected static function family(): string
    {
        return 'ecm-blower';
    }

    public static function jobs(): iterable
    {
        yield 'heat alone dead: no call comes from the thermostat' => [
            new WorkshopJob(
                'right right dead right',
                ['call-volts@heat' => 0.3, 'secondary' => 26.5],
                'thermostat',
                0.9,
                ['breaker', 'motor', 'module', 'line-plug'],
                [],
            ),
        ];
        yield 'heat alone dead: the call reaches the board and leaves it not' => [
            new WorkshopJob(
                'right right dead right',
                ['call-volts@heat' => 26.2, 'sent-volts@heat' => 0.2],
                'board',
                0.9,
                ['breaker', 'motor', 'module', 'thermostat'],
                [],
            ),
        ];
        yield 'heat alone dead: the call leaves the board and never arrives' => [
            new WorkshopJob(
                'right right dead right',
                ['sent-volts@heat' => 26.0, 'tap-volts@heat' => 0.4],
                'low-wires',
                0.8,
                ['breaker', 'motor', 'module', 'thermostat'],
                [],
            ),
        ];
        yield 'heat alone dead: the call stands at the motor' => [
            new WorkshopJob(
                'right right dead right',
                ['tap-volts@heat' => 25.9],
                'module',
                0.9,
                ['breaker', 'board', 'thermostat', 'motor'],
                [],
            ),
        ];
        yield 'dead, nothing behind the breaker' => [
            new WorkshopJob(
                'right dead dead dead',
                [
                    'fed-volts' => 0.0,
                    'line-ohms' => null,
                    'case-ohms' => null,
                    'phase-ab' => 4.8,
                    'phase-bc' => 4.8,
                    'phase-ca' => 4.8,
                ],
                'breaker',
                0.8,
                ['motor', 'module', 'board', 'thermostat'],
                [],
            ),
        ];
        yield 'dead, line at the plug and calls at the motor, phases equal, module damp' => [
            new WorkshopJob(
                'right dead dead dead',
                [
                    'plug-volts' => 231.0,
                    'tap-volts@cool' => 25.8,
                    'phase-ab' => 4.8,
                    'phase-bc' => 4.8,
                    'phase-ca' => 4.8,
                    'look-module' => 'wet',
                ],
                'module',
                0.9,
                ['breaker', 'motor', 'board', 'thermostat'],
                [],
            ),
        ];
        yield 'dead, line at the plug, a phase to the case' => [
            new WorkshopJob(
                'right dead dead dead',
                ['plug-volts' => 230.0, 'case-ohms' => 900.0],
                'motor',
                0.7,
                ['breaker', 'board', 'thermostat'],
                [],
            ),
        ];
        yield 'hunts fast in all, a clogged filter' => [
            new WorkshopJob(
                'right fast fast fast',
                ['look-filter' => 'clogged'],
                'filter',
                0.5,
                ['breaker', 'board', 'thermostat', 'line-plug'],
                [],
            ),
        ];
        yield 'rumbles and shakes, the wheel loose on its shaft' => [
            new WorkshopJob(
                'right right right right',
                ['noise' => 'rumble', 'wobble' => 'wobbles', 'set-screw' => 'loose'],
                'mounting',
                0.9,
                ['breaker', 'board', 'motor', 'module'],
                [],
            ),
        ];
        yield 'a 24 V transformer that gives nothing' => [
            new WorkshopJob(
                'right dead dead dead',
                ['secondary' => 0.0, 'live-volts' => 230.0, 'plug-volts' => 230.0],
                'transformer',
                0.9,
                ['breaker', 'motor', 'module', 'board'],
                [],
            ),
        ];
        yield 'dead, line before the door switch and none behind' => [
            new WorkshopJob(
                'right dead dead dead',
                ['fed-volts' => 231.0, 'live-volts' => 0.0, 'door-drop' => 230.0],
                'door-switch',
                0.9,
                ['breaker', 'motor', 'module', 'board'],
                [],
            ),
        ];
    }
}
