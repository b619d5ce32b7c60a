<?php

declare(strict_types=1);

namespace Tests\Core\Diagnosis\Jobs;

/**
 * Radiator fans behind relays: one fan with a dropping resistor, a pair in series on low, and a main fan with a second.
 */
final class RadiatorRelaysJobsTest extends WorkshopJobs
{
    protected static function family(): string
    {
        return 'radiator-fan';
    }

    public static function jobs(): iterable
    {
        yield 'low dead: the coil of its relay is open' => [
            new WorkshopJob(
                'right dead right',
                ['k-low-coil-ohms' => null, 'k-low-coil-volts' => 12.6],
                'k-low',
                0.9,
                ['fan-a', 'fuse', 'resistor'],
                ['control' => 'relays'],
            ),
        ];
        yield 'low dead: its relay is called and gives nothing' => [
            new WorkshopJob(
                'right dead right',
                ['k-low-coil-volts' => 12.5, 'k-low-out' => 0.0, 'k-low-coil-ohms' => 86.0],
                'k-low',
                0.9,
                ['fan-a', 'fuse', 'resistor'],
                ['control' => 'relays'],
            ),
        ];
        yield 'low dead: its relay gives all it has and the resistor is open' => [
            new WorkshopJob(
                'right dead right',
                ['k-low-out' => 12.5, 'resistor-ohms' => null],
                'resistor',
                0.9,
                ['fan-a', 'fuse', 'k-low'],
                ['control' => 'relays'],
            ),
        ];
        yield 'low dead: nobody calls its relay, which works when its request is grounded' => [
            new WorkshopJob(
                'right dead right',
                ['k-low-coil-volts' => 0.0, 'jump-low-a' => 'right', 'compressor' => 'engages'],
                'controller',
                0.6,
                ['fan-a', 'fuse', 'resistor'],
                ['control' => 'relays'],
            ),
        ];
        yield 'never off: the contact of the low relay is welded' => [
            new WorkshopJob(
                'runs right right',
                ['k-low-coil-ohms' => 86.0, 'k-low-out' => 12.4],
                'k-low',
                0.3,
                ['fan-a', 'fuse', 'resistor'],
                ['control' => 'relays'],
            ),
        ];
        yield 'high dead: its contact burnt' => [
            new WorkshopJob(
                'right right slow',
                ['k-high-coil-volts' => 12.6, 'k-high-out' => 8.3, 'k-high-coil-ohms' => 88.0],
                'k-high',
                0.6,
                ['fan-a', 'fuse', 'resistor'],
                ['control' => 'relays'],
            ),
        ];
        yield 'both dead behind a blown fuse' => [
            new WorkshopJob(
                'right dead dead',
                ['fuse-in' => 12.6, 'fuse-out' => 0.0, 'direct-a' => 'right'],
                'fuse',
                0.7,
                ['resistor', 'k-low', 'k-high'],
                ['control' => 'relays'],
            ),
        ];
        yield 'a pair: none on low, the second alone on high, its main fan open' => [
            new WorkshopJob(
                'right right dead dead dead right',
                ['fan-ohms-a' => null, 'spin' => 'free'],
                'fan-a',
                0.95,
                ['fan-b', 'fuse', 'k1'],
                ['arrangement' => 'pair'],
            ),
        ];
        yield 'a pair: none on low, the main alone on high, its second fan open' => [
            new WorkshopJob(
                'right right dead dead right dead',
                ['fan-ohms-b' => null, 'direct-a' => 'right'],
                'fan-b',
                0.95,
                ['fan-a', 'fuse', 'k1'],
                ['arrangement' => 'pair'],
            ),
        ];
        yield 'a pair: none on low, both on high, the rest contact of the second relay burnt' => [
            new WorkshopJob(
                'right right dead dead right right',
                ['feed-a@low' => 12.5, 'feed-b@low' => 0.0, 'a-return@low' => 12.5],
                'k2',
                0.8,
                ['fan-a', 'fan-b', 'fuse'],
                ['arrangement' => 'pair'],
            ),
        ];
        yield 'a pair: the first relay dead, the second fan alone on high' => [
            new WorkshopJob(
                'right right dead dead dead right',
                ['k1-coil-volts' => 12.6, 'k1-out' => 0.0, 'k1-coil-ohms' => null],
                'k1',
                0.9,
                ['fan-a', 'fan-b', 'fuse'],
                ['arrangement' => 'pair'],
            ),
        ];
        yield 'a pair: the second fan dead on high, its relay open' => [
            new WorkshopJob(
                'right right right right right dead',
                ['k3-coil-volts' => 12.5, 'k3-out' => 0.0, 'k3-coil-ohms' => null],
                'k3',
                0.9,
                ['fan-a', 'fan-b', 'fuse'],
                ['arrangement' => 'pair'],
            ),
        ];
        yield 'a pair: the main fan locked, the other too fast on low' => [
            new WorkshopJob(
                'right right dead fast dead right',
                ['spin' => 'locked', 'direct-amps-a' => 70.0],
                'fan-a',
                0.9,
                ['fan-b', 'k1', 'k3'],
                ['arrangement' => 'pair'],
            ),
        ];
        yield 'a main fan and a second: the second alone is dead, its plug burnt' => [
            new WorkshopJob(
                'right right right dead right dead',
                ['look-plug-b' => 'burnt', 'direct-b' => 'right', 'plug-drop-b' => 12.1],
                'plug-b',
                0.85,
                ['fan-a', 'fuse', 'thermal-switch'],
                ['arrangement' => 'master'],
            ),
        ];
        yield 'a main fan and a second: the second alone is dead, and dead by itself' => [
            new WorkshopJob(
                'right right right dead right dead',
                ['direct-b' => 'dead', 'direct-amps-b' => 0.0, 'spin-b' => 'free'],
                'fan-b',
                0.95,
                ['fan-a', 'fuse', 'thermal-switch'],
                ['arrangement' => 'master'],
            ),
        ];
        yield 'two inputs: only low works, the high pin of the fan corroded' => [
            new WorkshopJob(
                'right right dead',
                ['high-pin@high' => 12.6, 'direct-a' => 'right'],
                'plug-a',
                0.45,
                ['fuse', 'thermal-switch', 'ground-wire'],
                ['arrangement' => 'two-input'],
            ),
        ];
    }
}
