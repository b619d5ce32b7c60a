<?php

declare(strict_types=1);

namespace Tests\Core\Diagnosis\Jobs;

/**
 * Tapped blowers whose capacitor was read beside its own label, and others of three taps and on 120 V.
 */
final class CapacitorLabelJobsTest extends WorkshopJobs
{
    protected static function family(): string
    {
        return 'tapped-blower';
    }

    public static function jobs(): iterable
    {
        yield 'dead and humming in both, hardly a microfarad beside the label' => [
            new WorkshopJob(
                'right dead dead',
                ['noise' => 'hum', 'capacitor-label' => 'far-under', 'spin' => 'free'],
                'capacitor',
                0.9,
                ['board', 'breaker', 'thermostat', 'transformer'],
                [],
            ),
        ];
        yield 'slow in both, a good fifth under the label' => [
            new WorkshopJob(
                'right slow slow',
                ['capacitor-label' => 'under', 'spin' => 'free', 'bare-spin' => 'free'],
                'capacitor',
                0.8,
                ['board', 'breaker', 'thermostat', 'transformer'],
                [],
            ),
        ];
        yield 'slow in both, the capacitor as its label says, the shaft gritty' => [
            new WorkshopJob(
                'right slow slow',
                ['capacitor-label' => 'fits', 'spin' => 'gritty', 'bare-spin' => 'gritty'],
                'motor',
                0.75,
                ['board', 'breaker', 'thermostat', 'transformer'],
                [],
            ),
        ];
        yield 'dead in both, the label fits, no ohms through any tap: the protector is open' => [
            new WorkshopJob(
                'right dead dead',
                [
                    'capacitor-label' => 'fits',
                    'tap-ohms@high' => null,
                    'tap-ohms@low' => null,
                    'auxiliary-ohms' => null,
                ],
                'motor',
                0.9,
                ['board', 'breaker', 'capacitor', 'thermostat'],
                [],
            ),
        ];
        yield 'three taps: heat dead, the call comes and the board sends nothing' => [
            new WorkshopJob(
                'right dead right',
                ['call-volts@heat' => 26.1, 'terminal-volts@heat' => 0.4],
                'board',
                0.9,
                ['breaker', 'motor', 'capacitor', 'thermostat'],
                ['taps' => '3'],
            ),
        ];
        yield 'three taps: heat dead, sent by the board and not at the motor' => [
            new WorkshopJob(
                'right dead right',
                ['terminal-volts@heat' => 229.0, 'tap-volts@heat' => 0.6],
                'wires',
                0.9,
                ['breaker', 'motor', 'capacitor', 'thermostat'],
                ['taps' => '3'],
            ),
        ];
        yield 'three taps: heat dead, no call' => [
            new WorkshopJob(
                'right dead right',
                ['call-volts@heat' => 0.1, 'secondary' => 27.0],
                'thermostat',
                0.9,
                ['breaker', 'motor', 'capacitor', 'board'],
                ['taps' => '3'],
            ),
        ];
        yield 'three taps: heat dead, line stands at its tap' => [
            new WorkshopJob(
                'right dead right',
                ['tap-volts@heat' => 230.0, 'tap-ohms@medium' => null, 'tap-ohms@high' => 6.4],
                'motor',
                0.9,
                ['breaker', 'board', 'capacitor', 'thermostat'],
                ['taps' => '3'],
            ),
        ];
        yield 'dead, line before the door switch and nothing behind' => [
            new WorkshopJob(
                'right dead dead',
                ['line-volts' => 231.0, 'door-volts' => 0.3],
                'door-switch',
                0.9,
                ['motor', 'board', 'capacitor', 'thermostat'],
                [],
            ),
        ];
        yield 'dead, 230 V at the door and no 24 V' => [
            new WorkshopJob(
                'right dead dead',
                ['door-volts' => 230.0, 'secondary' => 0.1],
                'transformer',
                0.9,
                ['motor', 'breaker', 'capacitor', 'thermostat'],
                [],
            ),
        ];
        yield 'on 120 V: dead, nothing behind the breaker, a winding lies at the case' => [
            new WorkshopJob(
                'right dead dead',
                ['line-volts' => 0.2, 'case-ohms' => 40.0],
                'motor',
                0.6,
                ['board', 'capacitor', 'thermostat'],
                ['line' => '120'],
            ),
        ];
        yield 'on 120 V: slow, drops eleven volts in the door switch' => [
            new WorkshopJob(
                'right slow slow',
                ['door-drop' => 11.5, 'capacitor-label' => 'fits'],
                'door-switch',
                0.9,
                ['board', 'capacitor', 'thermostat', 'motor'],
                ['line' => '120'],
            ),
        ];
        yield 'fast in both, the filter clogged' => [
            new WorkshopJob(
                'right fast fast',
                ['look-filter' => 'clogged', 'amps@cool' => 3.1],
                'filter',
                0.8,
                ['board', 'capacitor', 'thermostat', 'breaker'],
                [],
            ),
        ];
        yield 'rumbles, the wheel turns on its shaft' => [
            new WorkshopJob(
                'right right right',
                ['noise' => 'rumble', 'wobble' => 'wobbles', 'set-screw' => 'loose'],
                'mounting',
                0.9,
                ['board', 'capacitor', 'thermostat', 'breaker'],
                [],
            ),
        ];
    }
}
