<?php

declare(strict_types=1);

namespace Tests\Core\Diagnosis\Jobs;

/**
 * Mains electronics that get a demand as data, on 120 V.
 */
final class EcmDataJobsTest extends WorkshopJobs
{
    protected static function family(): string
    {
        return 'ecm-blower';
    }

    public static function jobs(): iterable
    {
        yield 'data: dead in all, line at the plug, the demand leaves the board and stands at the motor' => [
            new WorkshopJob(
                'right dead dead dead',
                [
                    'plug-volts' => 121.0,
                    'data-sent' => 20.5,
                    'data-volts' => 20.5,
                    'secondary' => 26.0,
                    'phase-ab' => 6.2,
                    'phase-bc' => 6.2,
                    'phase-ca' => 6.2,
                    'spin' => 'free',
                ],
                'module',
                0.7,
                ['breaker', 'board', 'thermostat', 'transformer'],
                ['control' => 'data', 'line' => '120'],
            ),
        ];
        yield 'data: dead in all, no line at its plug, whole at the door' => [
            new WorkshopJob(
                'right dead dead dead',
                ['live-volts' => 120.0, 'plug-volts' => 0.3],
                'line-plug',
                0.7,
                ['breaker', 'module', 'thermostat', 'transformer'],
                ['control' => 'data', 'line' => '120'],
            ),
        ];
        yield 'data: dead in all, no line behind the door' => [
            new WorkshopJob(
                'right dead dead dead',
                ['fed-volts' => 120.0, 'live-volts' => 0.0],
                'door-switch',
                0.9,
                ['breaker', 'module', 'thermostat', 'transformer'],
                ['control' => 'data', 'line' => '120'],
            ),
        ];
        yield 'data: dead in all, no 24 V though the line is there' => [
            new WorkshopJob(
                'right dead dead dead',
                ['live-volts' => 120.0, 'secondary' => 0.0],
                'transformer',
                0.9,
                ['breaker', 'module', 'thermostat', 'line-plug'],
                ['control' => 'data', 'line' => '120'],
            ),
        ];
        yield 'data: heat alone dead, no call comes' => [
            new WorkshopJob(
                'right right dead right',
                ['call-volts@heat' => 0.4, 'secondary' => 26.8],
                'thermostat',
                0.9,
                ['breaker', 'module', 'transformer', 'line-plug'],
                ['control' => 'data', 'line' => '120'],
            ),
        ];
        yield 'data: cool alone dead, no call comes, the wire moved and it changes' => [
            new WorkshopJob(
                'right right right dead',
                ['call-volts@cool' => 0.2, 'wiggle-call' => 'changes'],
                'thermostat',
                0.9,
                ['breaker', 'module', 'transformer', 'line-plug'],
                ['control' => 'data', 'line' => '120'],
            ),
        ];
        yield 'data: dead in all, shaft locked with the module off' => [
            new WorkshopJob(
                'right dead dead dead',
                ['spin' => 'locked', 'spin-unplugged' => 'locked', 'plug-volts' => 120.0],
                'motor',
                0.8,
                ['breaker', 'board', 'thermostat', 'transformer'],
                ['control' => 'data', 'line' => '120'],
            ),
        ];
        yield 'data: dead in all, the shaft freed when the module came off' => [
            new WorkshopJob(
                'right dead dead dead',
                ['spin' => 'gritty', 'spin-unplugged' => 'free', 'line-ohms' => 0.4],
                'module',
                0.8,
                ['breaker', 'board', 'thermostat', 'transformer'],
                ['control' => 'data', 'line' => '120'],
            ),
        ];
        yield 'data: dead in all, a phase over range to both others' => [
            new WorkshopJob(
                'right dead dead dead',
                ['phase-ab' => null, 'phase-bc' => 2.4, 'phase-ca' => null],
                'motor',
                0.9,
                ['breaker', 'board', 'thermostat', 'transformer'],
                ['control' => 'data', 'line' => '120'],
            ),
        ];
        yield 'data: dead in all, the inrush limiter is open' => [
            new WorkshopJob(
                'right dead dead dead',
                ['inrush-ohms' => null, 'plug-volts' => 120.0],
                'module',
                0.9,
                ['breaker', 'board', 'thermostat', 'motor'],
                ['control' => 'data', 'line' => '120'],
            ),
        ];
        yield 'data: fast in all, the filter clogged' => [
            new WorkshopJob(
                'right fast fast fast',
                ['look-filter' => 'clogged', 'look-wheel' => 'clean'],
                'filter',
                0.5,
                ['breaker', 'board', 'thermostat', 'line-plug'],
                ['control' => 'data', 'line' => '120'],
            ),
        ];
        yield 'data: all good but a rumble, the wheel has lost its weight' => [
            new WorkshopJob(
                'right right right right',
                ['noise' => 'rumble', 'wobble' => 'true', 'look-mounting' => 'weight'],
                'wheel',
                0.9,
                ['breaker', 'board', 'thermostat', 'module'],
                ['control' => 'data', 'line' => '120'],
            ),
        ];
    }
}
