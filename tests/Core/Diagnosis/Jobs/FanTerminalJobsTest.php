<?php

declare(strict_types=1);

namespace Tests\Core\Diagnosis\Jobs;

/**
 * Tapped motors with a terminal for the fan alone, on 120 V.
 */
final class FanTerminalJobsTest extends WorkshopJobs
{
    protected static function family(): string
    {
        return 'tapped-blower';
    }

    public static function jobs(): iterable
    {
        yield 'fan terminal, 120 V: fan alone dead, no call' => [
            new WorkshopJob(
                'right dead right right',
                ['call-volts@fan' => 0.3, 'secondary' => 26.5],
                'thermostat',
                0.9,
                ['breaker', 'motor', 'transformer', 'capacitor'],
                ['fanTerminal' => 'yes', 'line' => '120'],
            ),
        ];
        yield 'fan terminal, 120 V: fan alone dead, called for and not sent' => [
            new WorkshopJob(
                'right dead right right',
                ['call-volts@fan' => 26.4, 'terminal-volts@fan' => 0.2],
                'board',
                0.9,
                ['breaker', 'thermostat', 'transformer', 'capacitor'],
                ['fanTerminal' => 'yes', 'line' => '120'],
            ),
        ];
        yield 'fan terminal, 120 V: heat alone dead, sent and not come to its tap' => [
            new WorkshopJob(
                'right right dead right',
                ['terminal-volts@heat' => 120.0, 'tap-volts@heat' => 0.3],
                'wires',
                0.8,
                ['breaker', 'thermostat', 'transformer', 'capacitor'],
                ['fanTerminal' => 'yes', 'line' => '120'],
            ),
        ];
        yield 'fan terminal, 120 V: cool alone dead, called for and not sent' => [
            new WorkshopJob(
                'right right right dead',
                ['call-volts@cool' => 26.2, 'terminal-volts@cool' => 0.1],
                'board',
                0.9,
                ['breaker', 'thermostat', 'transformer', 'capacitor'],
                ['fanTerminal' => 'yes', 'line' => '120'],
            ),
        ];
        yield 'fan terminal, 120 V: dead in all, nothing behind the door switch' => [
            new WorkshopJob(
                'right dead dead dead',
                ['line-volts' => 120.0, 'door-volts' => 0.2],
                'door-switch',
                0.85,
                ['motor', 'thermostat', 'transformer', 'capacitor'],
                ['fanTerminal' => 'yes', 'line' => '120'],
            ),
        ];
        yield 'fan terminal, 120 V: dead in all, no 24 V beside a line that is there' => [
            new WorkshopJob(
                'right dead dead dead',
                ['door-volts' => 120.0, 'secondary' => 0.1],
                'transformer',
                0.9,
                ['motor', 'thermostat', 'breaker', 'capacitor'],
                ['fanTerminal' => 'yes', 'line' => '120'],
            ),
        ];
        yield 'fan terminal, 120 V: dead in all, line at a tap, its ways to common all open and it is cold' => [
            new WorkshopJob(
                'right dead dead dead',
                ['tap-volts@cool' => 120.0, 'tap-ohms@high' => null, 'tap-ohms@low' => null],
                'motor',
                0.8,
                ['board', 'thermostat', 'transformer', 'breaker'],
                ['fanTerminal' => 'yes', 'line' => '120'],
            ),
        ];
    }
}
