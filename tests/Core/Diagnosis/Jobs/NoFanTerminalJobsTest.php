<?php

declare(strict_types=1);

namespace Tests\Core\Diagnosis\Jobs;

/**
 * Motors with mains electronics on boards without a terminal for the fan alone.
 */
final class NoFanTerminalJobsTest extends WorkshopJobs
{
    protected static function family(): string
    {
        return 'ecm-blower';
    }

    public static function jobs(): iterable
    {
        yield 'no fan terminal: heat alone dead, no call' => [
            new WorkshopJob(
                'right dead right',
                ['call-volts@heat' => 0.2, 'secondary' => 26.6],
                'thermostat',
                0.9,
                ['breaker', 'module', 'transformer', 'line-plug'],
                ['fanTerminal' => 'no'],
            ),
        ];
        yield 'no fan terminal: heat alone dead, called for and not sent' => [
            new WorkshopJob(
                'right dead right',
                ['call-volts@heat' => 26.3, 'sent-volts@heat' => 0.3],
                'board',
                0.9,
                ['breaker', 'thermostat', 'transformer', 'line-plug'],
                ['fanTerminal' => 'no'],
            ),
        ];
        yield 'no fan terminal: heat alone dead, sent and not at the motor' => [
            new WorkshopJob(
                'right dead right',
                ['sent-volts@heat' => 26.3, 'tap-volts@heat' => 0.2],
                'low-wires',
                0.85,
                ['breaker', 'thermostat', 'transformer', 'line-plug'],
                ['fanTerminal' => 'no'],
            ),
        ];
        yield 'no fan terminal: dead in both, line and call at the motor, even phases' => [
            new WorkshopJob(
                'right dead dead',
                [
                    'plug-volts' => 230.0,
                    'tap-volts@cool' => 26.2,
                    'phase-ab' => 6.2,
                    'phase-bc' => 6.2,
                    'phase-ca' => 6.1,
                    'spin' => 'free',
                ],
                'module',
                0.85,
                ['breaker', 'thermostat', 'transformer', 'line-plug'],
                ['fanTerminal' => 'no'],
            ),
        ];
        yield 'no fan terminal: dead in both, two of its phases open' => [
            new WorkshopJob(
                'right dead dead',
                ['plug-volts' => 229.0, 'phase-ab' => null, 'phase-bc' => null, 'phase-ca' => 6.2],
                'motor',
                0.9,
                ['breaker', 'thermostat', 'transformer', 'line-plug'],
                ['fanTerminal' => 'no'],
            ),
        ];
        yield 'no fan terminal: dead in both, nothing behind the door switch' => [
            new WorkshopJob(
                'right dead dead',
                ['fed-volts' => 230.0, 'live-volts' => 0.0],
                'door-switch',
                0.9,
                ['module', 'thermostat', 'motor', 'line-plug'],
                ['fanTerminal' => 'no'],
            ),
        ];
    }
}
