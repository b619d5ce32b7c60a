<?php

declare(strict_types=1);

namespace Tests\Core\Diagnosis\Jobs;

/**
 * Doors of the air that engine vacuum moves: windscreen at rest, face, feet, fresh, and uphill.
 */
final class VacuumDoorsJobsTest extends WorkshopJobs
{
    protected static function family(): string
    {
        return 'air-door';
    }

    public static function jobs(): iterable
    {
        yield 'air to the windscreen whatever is chosen: no vacuum comes, the supply hose is off' => [
            new WorkshopJob(
                'right dead dead dead dead',
                ['manifold' => 62.0, 'tank' => 0.0, 'look-hoses' => 'off'],
                'supply-hose',
                0.8,
                ['control-valve', 'door-face', 'actuator-face'],
                ['kind' => 'vacuum'],
            ),
        ];
        yield 'all doors lazy and a hiss behind the dash: the control valve leaks' => [
            new WorkshopJob(
                'right dead dead dead dead',
                ['manifold' => 60.0, 'tank' => 14.0, 'tank@clamp-head' => 58.0, 'hiss' => 'dash'],
                'control-valve',
                0.3,
                ['engine', 'supply-hose', 'door-face'],
                ['kind' => 'vacuum'],
            ),
        ];
        yield 'no air to the face: its diaphragm is torn' => [
            new WorkshopJob(
                'right dead right right right',
                ['out@face' => 12.0, 'pump@face' => 0.0, 'pump-door@face' => 'dead'],
                'actuator-face',
                0.9,
                ['supply-hose', 'engine', 'actuator-feet'],
                ['kind' => 'vacuum'],
            ),
        ];
        yield 'no air to the face: its hose is off' => [
            new WorkshopJob(
                'right dead right right right',
                ['out@face' => 56.0, 'actuator@face' => 0.0, 'pump@face' => 58.0, 'pump-door@face' => 'right'],
                'dash-hose',
                0.9,
                ['supply-hose', 'engine', 'actuator-face'],
                ['kind' => 'vacuum'],
            ),
        ];
        yield 'no air to the feet: its door is jammed' => [
            new WorkshopJob(
                'right right dead right right',
                ['actuator@feet' => 56.0, 'by-hand-feet' => 'jammed', 'pump@feet' => 58.0],
                'door-feet',
                0.9,
                ['supply-hose', 'engine', 'control-valve'],
                ['kind' => 'vacuum'],
            ),
        ];
        yield 'no air to the feet: nothing leaves the control valve there' => [
            new WorkshopJob(
                'right right dead right right',
                ['head@feet' => 57.0, 'out@feet' => 0.0],
                'control-valve',
                0.8,
                ['supply-hose', 'engine', 'door-feet', 'actuator-feet'],
                ['kind' => 'vacuum'],
            ),
        ];
        yield 'doors fall back uphill: the check valve holds nothing' => [
            new WorkshopJob(
                'right right right right dead',
                ['tank@hill' => 12.0, 'tank' => 60.0, 'blow-check' => 'both-ways'],
                'check-valve',
                0.8,
                ['control-valve', 'door-face', 'actuator-face'],
                ['kind' => 'vacuum'],
            ),
        ];
    }
}
