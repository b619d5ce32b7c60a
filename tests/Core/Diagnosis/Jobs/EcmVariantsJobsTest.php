<?php

declare(strict_types=1);

namespace Tests\Core\Diagnosis\Jobs;

/**
 * Blowers with mains electronics that take data, or run on 120 V.
 */
final class EcmVariantsJobsTest extends WorkshopJobs
{
    protected static function family(): string
    {
        return 'ecm-blower';
    }

    public static function jobs(): iterable
    {
        yield 'data: dead, the board sends none' => [
            new WorkshopJob(
                'right dead dead dead',
                ['plug-volts' => 231.0, 'data-sent' => 0.0, 'tester' => 'runs'],
                'board',
                0.8,
                ['motor', 'module', 'breaker'],
                ['control' => 'data'],
            ),
        ];
        yield 'data: dead, it is sent and never comes' => [
            new WorkshopJob(
                'right dead dead dead',
                ['plug-volts' => 231.0, 'data-sent' => 20.4, 'data-volts' => 0.2, 'tester' => 'runs'],
                'low-wires',
                0.8,
                ['motor', 'module', 'breaker', 'transformer'],
                ['control' => 'data'],
            ),
        ];
        yield 'data: dead, it comes, and a tester does not run it either' => [
            new WorkshopJob(
                'right dead dead dead',
                [
                    'plug-volts' => 231.0,
                    'data-volts' => 20.4,
                    'tester' => 'stands',
                    'spin' => 'free',
                    'phase-ab' => 4.8,
                    'phase-bc' => 4.9,
                    'phase-ca' => 4.8,
                ],
                'module',
                0.9,
                ['motor', 'board', 'breaker', 'transformer'],
                ['control' => 'data'],
            ),
        ];
        yield '120 V: dead, the inrush limiter open' => [
            new WorkshopJob(
                'right dead dead dead',
                ['plug-volts' => 121.0, 'tap-volts@heat' => 25.0, 'inrush-ohms' => null],
                'module',
                0.9,
                ['motor', 'board', 'breaker', 'thermostat'],
                ['line' => '120'],
            ),
        ];
        yield '120 V: dead, the jumper of the plug is missing' => [
            new WorkshopJob(
                'right dead dead dead',
                ['plug-volts' => 121.0, 'tap-volts@heat' => 25.0, 'jumper' => 'wrong'],
                'jumper',
                0.5,
                ['board', 'breaker', 'thermostat'],
                ['line' => '120'],
            ),
        ];
        yield 'a filter like felt: it runs, faster, with little air' => [
            new WorkshopJob(
                'right fast fast fast',
                ['look-filter' => 'clogged', 'look-wheel' => 'clean'],
                'filter',
                0.8,
                ['board', 'breaker', 'thermostat', 'module'],
            ),
        ];
        yield 'starts and stops when the board is tapped' => [
            new WorkshopJob(
                'right cuts-out cuts-out cuts-out',
                ['look-module' => 'wet', 'wiggle-plugs' => 'steady', 'tap-board' => 'steady'],
                'module',
                0.6,
                ['breaker', 'transformer', 'filter'],
            ),
        ];
        yield 'rumbles and wobbles, a weight is gone from the wheel' => [
            new WorkshopJob(
                'right right right right',
                [
                    'noise' => 'rumble',
                    'wobble' => 'wobbles',
                    'look-mounting' => 'weight',
                    'set-screw' => 'tight',
                    'bare-shaft' => 'true',
                ],
                'wheel',
                0.8,
                ['board', 'breaker', 'thermostat'],
            ),
        ];
    }
}
