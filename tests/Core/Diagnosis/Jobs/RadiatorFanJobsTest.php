<?php

declare(strict_types=1);

namespace Tests\Core\Diagnosis\Jobs;

/**
 * Radiator fans: off, low and high, by a dropping resistor and a thermal switch where nothing else is said.
 */
final class RadiatorFanJobsTest extends WorkshopJobs
{
    protected static function family(): string
    {
        return 'radiator-fan';
    }

    public static function jobs(): iterable
    {
        yield 'only high works, the resistor open' => [
            new WorkshopJob(
                'right dead right',
                ['resistor-in@low' => 12.6, 'fan-volts@low' => 0.0, 'resistor-ohms' => null],
                'resistor',
                0.95,
                ['fan-a', 'fuse', 'thermal-switch'],
            ),
        ];
        yield 'only high works, the first stage of the switch open in hot water' => [
            new WorkshopJob(
                'right dead right',
                ['jump-low-a' => 'right', 'stage-1-ohms' => null, 'switch-supply' => 12.7],
                'thermal-switch',
                0.95,
                ['fan-a', 'fuse', 'resistor'],
            ),
        ];
        yield 'runs with the engine cold, and the first stage of the switch conducts' => [
            new WorkshopJob(
                'runs right right',
                ['noise' => 'quiet', 'stage-1-cold-ohms' => 0.2],
                'thermal-switch',
                0.95,
                ['fan-a', 'fuse', 'resistor'],
            ),
        ];
        yield 'runs with the engine cold, and it is the second stage that conducts' => [
            new WorkshopJob(
                'runs right right',
                ['noise' => 'quiet', 'stage-1-cold-ohms' => null, 'stage-2-cold-ohms' => 0.3],
                'thermal-switch',
                0.85,
                ['fan-a', 'fuse', 'resistor'],
            ),
        ];
        yield 'runs with the engine cold, and no stage conducts: it is fed past its switch' => [
            new WorkshopJob(
                'runs right right',
                [
                    'noise' => 'quiet',
                    'stage-1-cold-ohms' => null,
                    'stage-2-cold-ohms' => null,
                    'jump-high-a' => 'right',
                    'speed@off' => 'runs',
                ],
                'something-else',
                0.3,
                ['fuse', 'resistor', 'switch-plug'],
            ),
        ];
        yield 'high is no faster than low, whose stage stays closed: the second stage open' => [
            new WorkshopJob(
                'right right slow',
                ['jump-high-a' => 'right', 'stage-2-ohms' => null],
                'thermal-switch',
                0.95,
                ['fan-a', 'fuse', 'resistor'],
            ),
        ];
        yield 'both dead with supply at the fan: the motor' => [
            new WorkshopJob(
                'right dead dead',
                ['fan-volts@high' => 12.5, 'direct-a' => 'dead', 'direct-amps-a' => 0.0, 'spin' => 'free'],
                'fan-a',
                0.95,
                ['fuse', 'thermal-switch', 'resistor'],
            ),
        ];
        yield 'both dead, a seized fan that draws as much as it can' => [
            new WorkshopJob(
                'right dead dead',
                ['spin' => 'locked', 'direct-a' => 'dead', 'direct-amps-a' => 68.0],
                'fan-a',
                0.9,
                ['thermal-switch', 'resistor', 'ground-wire'],
            ),
        ];
        yield 'both dead behind a blown fuse, the fan runs by itself' => [
            new WorkshopJob(
                'right dead dead',
                ['fuse-in' => 12.6, 'fuse-out' => 0.0, 'direct-a' => 'right'],
                'fuse',
                0.7,
                ['thermal-switch', 'resistor', 'ground-wire'],
            ),
        ];
        yield 'both dead, no supply at the plug of the switch behind a good fuse' => [
            new WorkshopJob(
                'right dead dead',
                ['fuse-out' => 12.6, 'switch-supply' => 0.0, 'direct-a' => 'right'],
                'switch-plug',
                0.8,
                ['thermal-switch', 'resistor', 'fuse', 'fan-a'],
            ),
        ];
        yield 'both weak, two volts in the ground' => [
            new WorkshopJob(
                'right slow slow',
                ['ground-drop-a' => 2.2, 'look-plug-a' => 'fine', 'direct-a' => 'right'],
                'ground-wire',
                0.7,
                ['thermal-switch', 'fuse'],
            ),
        ];
        yield 'weak on high, the plug of the fan burnt' => [
            new WorkshopJob('right right slow', ['plug-drop-a' => 1.9, 'look-plug-a' => 'burnt'], 'plug-a', 0.9, [
                'thermal-switch',
                'fuse',
                'resistor',
            ]),
        ];
        yield 'runs with the key out, the first stage closed in the cold' => [
            new WorkshopJob(
                'runs right right',
                ['stage-1-ohms' => 0.1, 'switch-out-low' => 12.6],
                'thermal-switch',
                0.8,
                ['fan-a', 'fuse', 'resistor'],
            ),
        ];
        yield 'dragging: weak, half as much current again, gritty' => [
            new WorkshopJob(
                'right slow slow',
                ['spin' => 'gritty', 'direct-a' => 'slow', 'direct-amps-a' => 21.0, 'ground-drop-a' => 0.1],
                'fan-a',
                0.9,
                ['thermal-switch', 'fuse', 'resistor'],
                ['motorAmps' => '14'],
            ),
        ];
        yield 'two inputs: only high, the low brush open by its ohms' => [
            new WorkshopJob(
                'right dead right',
                ['fan-ohms-low' => null, 'direct-low' => 'dead', 'low-pin@low' => 12.4],
                'fan-a',
                0.95,
                ['thermal-switch', 'fuse'],
                ['arrangement' => 'two-input'],
            ),
        ];
        yield 'a pair in series on low: one fan open stops both there' => [
            new WorkshopJob(
                'right right dead dead dead right',
                ['direct-a' => 'dead', 'direct-b' => 'right', 'direct-amps-a' => 0.0],
                'fan-a',
                0.9,
                ['fuse', 'fan-b'],
                ['arrangement' => 'pair'],
            ),
        ];
        yield 'a fan that runs as it should and a rub at its shroud' => [
            new WorkshopJob(
                'right right right',
                ['noise' => 'rub', 'gaps' => 'uneven', 'bare-shaft' => 'true', 'look-mounting' => 'grommet'],
                'mounting',
                0.7,
                ['fuse', 'thermal-switch'],
            ),
        ];
    }
}
