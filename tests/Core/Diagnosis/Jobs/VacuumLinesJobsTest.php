<?php

declare(strict_types=1);

namespace Tests\Core\Diagnosis\Jobs;

/**
 * Doors moved by vacuum, from the engine to the rod.
 */
final class VacuumLinesJobsTest extends WorkshopJobs
{
    protected static function family(): string
    {
        return 'air-door';
    }

    public static function jobs(): iterable
    {
        yield 'vacuum: no face alone, the diaphragm torn' => [
            new WorkshopJob(
                'right dead right right right',
                ['pump@face' => 4.0, 'actuator@face' => 8.5],
                'actuator-face',
                0.8,
                ['engine', 'supply-hose', 'check-valve', 'door-feet'],
                ['kind' => 'vacuum'],
            ),
        ];
        yield 'vacuum: no face alone, vacuum at the diaphragm, which holds, and the door is jammed' => [
            new WorkshopJob(
                'right dead right right right',
                ['actuator@face' => 66.0, 'pump@face' => 67.0, 'by-hand-face' => 'jammed'],
                'door-face',
                0.85,
                ['engine', 'supply-hose', 'check-valve', 'control-valve'],
                ['kind' => 'vacuum'],
            ),
        ];
        yield 'vacuum: no face alone, none out of the valve though it is supplied' => [
            new WorkshopJob(
                'right dead right right right',
                ['head@face' => 67.0, 'out@face' => 1.0, 'pump@face' => 66.0],
                'control-valve',
                0.8,
                ['engine', 'supply-hose', 'check-valve', 'door-face'],
                ['kind' => 'vacuum'],
            ),
        ];
        yield 'vacuum: no feet alone, out of the valve and not at the diaphragm' => [
            new WorkshopJob(
                'right right dead right right',
                ['out@feet' => 67.0, 'actuator@feet' => 0.5],
                'dash-hose',
                0.9,
                ['engine', 'supply-hose', 'check-valve', 'door-feet'],
                ['kind' => 'vacuum'],
            ),
        ];
        yield 'vacuum: nothing moves, none at the manifold to speak of' => [
            new WorkshopJob(
                'right dead dead dead dead',
                ['manifold' => 12.0],
                'engine',
                0.9,
                ['supply-hose', 'dash-hose', 'control-valve', 'door-feet'],
                ['kind' => 'vacuum'],
            ),
        ];
        yield 'vacuum: nothing moves, manifold good, none at the tank: the hose is off' => [
            new WorkshopJob(
                'right dead dead dead dead',
                ['manifold' => 68.0, 'tank' => 0.5, 'look-hoses' => 'off'],
                'supply-hose',
                0.9,
                ['engine', 'dash-hose', 'control-valve', 'door-feet'],
                ['kind' => 'vacuum'],
            ),
        ];
        yield 'vacuum: good at idle, falls away on a hill: the check valve lets it back' => [
            new WorkshopJob(
                'right right right right dead',
                ['tank@hill' => 15.0, 'blow-check' => 'both-ways'],
                'check-valve',
                0.9,
                ['engine', 'dash-hose', 'door-face', 'door-feet'],
                ['kind' => 'vacuum'],
            ),
        ];
        yield 'vacuum: recirculation stays, its port never lets go' => [
            new WorkshopJob(
                'right right right right right',
                ['rest@fresh' => 'runs'],
                'control-valve',
                0.2,
                ['engine', 'supply-hose', 'check-valve', 'door-feet'],
                ['kind' => 'vacuum'],
            ),
        ];
        yield 'vacuum: no feet alone, the rod off its door' => [
            new WorkshopJob(
                'right right dead right right',
                ['rod@feet' => 'right', 'by-hand-feet' => 'rod-off'],
                'door-feet',
                0.9,
                ['engine', 'supply-hose', 'check-valve', 'control-valve'],
                ['kind' => 'vacuum'],
            ),
        ];
    }
}
