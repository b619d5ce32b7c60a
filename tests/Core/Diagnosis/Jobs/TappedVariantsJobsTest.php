<?php

declare(strict_types=1);

namespace Tests\Core\Diagnosis\Jobs;

/**
 * Tapped blowers of 120 V and 60 Hz, with five taps, and with a terminal for the fan alone.
 */
final class TappedVariantsJobsTest extends WorkshopJobs
{
    protected static function family(): string
    {
        return 'tapped-blower';
    }

    public static function jobs(): iterable
    {
        yield '120 V: hums, the capacitor open' => [
            new WorkshopJob(
                'right dead dead',
                ['microfarads' => 0.0, 'spin' => 'free'],
                'capacitor',
                0.95,
                ['board', 'breaker', 'thermostat'],
                ['line' => '120', 'hertz' => '60', 'capacitor' => '7.5'],
            ),
        ];
        yield '120 V: a little slow, four of seven and a half microfarads' => [
            new WorkshopJob(
                'right slow slow',
                ['microfarads' => 4.2, 'spin' => 'free', 'look-wheel' => 'clean', 'look-filter' => 'clean'],
                'capacitor',
                0.85,
                ['board', 'breaker', 'thermostat'],
                ['line' => '120', 'hertz' => '60', 'capacitor' => '7.5'],
            ),
        ];
        yield '120 V: cool dead, line comes to its tap, the winding open between taps' => [
            new WorkshopJob(
                'right right dead',
                ['tap-volts@cool' => 121.0, 'tap-ohms@high' => null],
                'motor',
                0.8,
                ['board', 'breaker', 'thermostat', 'transformer'],
                ['line' => '120', 'hertz' => '60'],
            ),
        ];
        yield '120 V: cool dead, nothing leaves the board on a call' => [
            new WorkshopJob(
                'right right dead',
                ['call-volts@cool' => 25.2, 'lifted-volts@cool' => 0.2],
                'board',
                0.85,
                ['motor', 'breaker', 'thermostat', 'transformer'],
                ['line' => '120', 'hertz' => '60'],
            ),
        ];
        yield '120 V: all dead, the door switch' => [
            new WorkshopJob(
                'right dead dead',
                ['line-volts' => 121.0, 'door-volts' => 0.3, 'door-drop' => 120.0],
                'door-switch',
                0.9,
                ['motor', 'breaker', 'thermostat', 'capacitor'],
                ['line' => '120', 'hertz' => '60'],
            ),
        ];
        yield '120 V: stops when it is hot and comes back' => [
            new WorkshopJob(
                'right cuts-out cuts-out',
                ['stops-hot' => 'stops', 'microfarads' => 7.4],
                'motor',
                0.5,
                ['breaker', 'transformer', 'thermostat'],
                ['line' => '120', 'hertz' => '60', 'capacitor' => '7.5'],
            ),
        ];
        yield 'five taps: heat dead, no call' => [
            new WorkshopJob(
                'right dead right',
                ['call-volts@heat' => 0.3, 'secondary' => 25.8],
                'thermostat',
                0.9,
                ['motor', 'breaker', 'board', 'capacitor'],
                ['taps' => '5'],
            ),
        ];
        yield 'five taps: the wheel full of felt' => [
            new WorkshopJob(
                'right right right',
                ['look-wheel' => 'clogged', 'look-filter' => 'clean', 'amps@cool' => 3.0],
                'wheel',
                0.4,
                ['board', 'breaker', 'thermostat', 'transformer'],
                ['taps' => '5'],
            ),
        ];
        yield 'dry bearings that squeal' => [
            new WorkshopJob(
                'right slow slow',
                ['spin' => 'gritty', 'bare-spin' => 'gritty', 'noise' => 'squeal', 'microfarads' => 9.8],
                'motor',
                0.9,
                ['board', 'breaker', 'thermostat', 'filter'],
                ['capacitor' => '10'],
            ),
        ];
    }
}
