<?php

declare(strict_types=1);

namespace Tests\Core\Diagnosis\Jobs;

/**
 * Radiator fans with a second one: beside an input of the main fan, before it, with inputs of its own, or side by side.
 */
final class SecondFanJobsTest extends WorkshopJobs
{
    protected static function family(): string
    {
        return 'radiator-fan';
    }

    public static function jobs(): iterable
    {
        yield 'second beside the low input: it alone is dead with supply at its plug, and dead on the battery' => [
            new WorkshopJob(
                'right right right dead right dead',
                ['feed-b@low' => 12.4, 'direct-b' => 'dead', 'spin-b' => 'free'],
                'fan-b',
                0.95,
                ['fuse', 'thermal-switch', 'fan-a'],
                ['arrangement' => 'second-with-low'],
            ),
        ];
        yield 'second beside the low input: it alone is dead, locked by hand, and what it draws slows the main one' => [
            new WorkshopJob(
                'right right slow dead slow dead',
                ['noise' => 'hum', 'spin-b' => 'locked'],
                'fan-b',
                0.95,
                ['fuse', 'thermal-switch', 'fan-a'],
                ['arrangement' => 'second-with-low'],
            ),
        ];
        yield 'second beside the low input: it alone is dead, nothing at its plug, good on the battery' => [
            new WorkshopJob(
                'right right right dead right dead',
                ['feed-b@low' => 0.0, 'direct-b' => 'right'],
                'line-wire',
                0.7,
                ['fuse', 'thermal-switch', 'fan-a', 'fan-b'],
                ['arrangement' => 'second-with-low'],
            ),
        ];
        yield 'second beside the low input: it alone is dead, and its plug is browned' => [
            new WorkshopJob(
                'right right right dead right dead',
                ['direct-b' => 'right', 'look-plug-b' => 'burnt', 'plug-drop-b' => 12.3],
                'plug-b',
                0.9,
                ['fuse', 'thermal-switch', 'fan-a'],
                ['arrangement' => 'second-with-low'],
            ),
        ];
        yield 'second beside the low input: everything dead behind a blown fuse' => [
            new WorkshopJob(
                'right right dead dead dead dead',
                ['fuse-in' => 12.6, 'fuse-out' => 0.0],
                'fuse',
                0.6,
                ['thermal-switch', 'ground-wire'],
                ['arrangement' => 'second-with-low'],
            ),
        ];
        yield 'second beside the low input: everything dead, no volts before the fuse' => [
            new WorkshopJob(
                'right right dead dead dead dead',
                ['battery-volts' => 12.7, 'fuse-in' => 0.0],
                'feed-wire',
                0.9,
                ['thermal-switch', 'fuse', 'fan-a', 'fan-b'],
                ['arrangement' => 'second-with-low'],
            ),
        ];
        yield 'second beside the low input: low does nothing, its stage open in hot water' => [
            new WorkshopJob(
                'right right dead dead right right',
                ['jump-low-a' => 'right', 'jump-low-b' => 'right', 'stage-1-ohms' => null],
                'thermal-switch',
                0.9,
                ['fuse', 'fan-a', 'fan-b'],
                ['arrangement' => 'second-with-low'],
            ),
        ];
        yield 'second beside the low input: both run with the engine cold, and the first stage conducts' => [
            new WorkshopJob(
                'runs runs right right right right',
                ['noise' => 'quiet', 'stage-1-cold-ohms' => 0.3],
                'thermal-switch',
                0.95,
                ['fuse', 'fan-a', 'fan-b'],
                ['arrangement' => 'second-with-low'],
            ),
        ];
        yield 'second beside the low input: the main fan is dead on low alone, dead there on the battery, good on its high pin' => [
            new WorkshopJob(
                'right right dead right right right',
                ['low-pin@low' => 12.3, 'direct-low' => 'dead', 'direct-a' => 'right'],
                'fan-a',
                0.9,
                ['fuse', 'thermal-switch', 'fan-b'],
                ['arrangement' => 'second-with-low'],
            ),
        ];
        yield 'second beside the low input: the main fan slow on both, volts lost in its ground' => [
            new WorkshopJob(
                'right right slow right slow right',
                ['ground-drop-a' => 3.4, 'direct-a' => 'right'],
                'ground-wire',
                0.9,
                ['fuse', 'thermal-switch', 'fan-b', 'fan-a'],
                ['arrangement' => 'second-with-low'],
            ),
        ];
        yield 'second beside the high input: it alone is dead and draws nothing with supply at its plug' => [
            new WorkshopJob(
                'right right right dead right dead',
                ['feed-b@high' => 12.5, 'current-b' => 0.0, 'direct-b' => 'dead'],
                'fan-b',
                0.95,
                ['fuse', 'thermal-switch', 'fan-a'],
                ['arrangement' => 'second-with-high'],
            ),
        ];
        yield 'second beside the high input: the main fan alone is dead, dead on the battery at both pins' => [
            new WorkshopJob(
                'right right dead dead dead right',
                ['direct-a' => 'dead', 'direct-low' => 'dead', 'spin' => 'free'],
                'fan-a',
                0.9,
                ['fuse', 'thermal-switch', 'fan-b'],
                ['arrangement' => 'second-with-high'],
            ),
        ];
        yield 'second beside the high input: high is no faster than low, the second stage open in hot water' => [
            new WorkshopJob(
                'right right right right slow slow',
                ['jump-high-a' => 'right', 'stage-2-ohms' => null],
                'thermal-switch',
                0.9,
                ['fuse', 'fan-a', 'fan-b'],
                ['arrangement' => 'second-with-high'],
            ),
        ];
        yield 'second beside the high input: both run with the engine cold, and the second stage conducts' => [
            new WorkshopJob(
                'runs runs right right right right',
                ['noise' => 'quiet', 'stage-1-cold-ohms' => null, 'stage-2-cold-ohms' => 0.2],
                'thermal-switch',
                0.8,
                ['fuse'],
                ['arrangement' => 'second-with-high'],
            ),
        ];
        yield 'second beside the high input: everything dead, no volts at the common pin behind a good fuse' => [
            new WorkshopJob(
                'right right dead dead dead dead',
                ['fuse-out' => 12.6, 'switch-supply' => 0.0],
                'switch-plug',
                0.4,
                ['fan-a', 'fan-b', 'fuse', 'feed-wire'],
                ['arrangement' => 'second-with-high'],
            ),
        ];
        yield 'second before the low input: it is dead, locked, and the main fan runs on high alone' => [
            new WorkshopJob(
                'right right dead dead right right',
                ['spin-b' => 'locked', 'feed-b@low' => 12.4, 'direct-b' => 'dead'],
                'fan-b',
                0.9,
                ['fuse', 'thermal-switch'],
                ['arrangement' => 'second-before-low'],
            ),
        ];
        yield 'second before the low input: on low neither turns, supply goes in and nothing comes out of the second' => [
            new WorkshopJob(
                'right right dead dead right right',
                ['feed-b@low' => 12.5, 'b-return@low' => 0.0, 'direct-b' => 'dead', 'direct-low' => 'right'],
                'fan-b',
                0.9,
                ['fuse', 'thermal-switch', 'fan-a'],
                ['arrangement' => 'second-before-low'],
            ),
        ];
        yield 'second before the low input: everything dead behind a blown fuse, both good on the battery' => [
            new WorkshopJob(
                'right right dead dead dead right',
                ['fuse-in' => 12.6, 'fuse-out' => 0.0, 'direct-a' => 'right', 'direct-b' => 'right'],
                'fuse',
                0.9,
                ['fan-a', 'fan-b', 'thermal-switch'],
                ['arrangement' => 'second-before-low'],
            ),
        ];
        yield 'two inputs each: the second fan is dead on low alone, dead there on the battery' => [
            new WorkshopJob(
                'right right right dead right right',
                ['low-pin-b@low' => 12.4, 'direct-low-b' => 'dead', 'direct-b' => 'right'],
                'fan-b',
                0.85,
                ['fuse', 'thermal-switch', 'fan-a'],
                ['arrangement' => 'two-inputs-each'],
            ),
        ];
        yield 'two inputs each: the second fan slow on both, stiff by hand, draws far too much' => [
            new WorkshopJob(
                'right right right slow right slow',
                ['spin-b' => 'gritty', 'current-b' => 27.0, 'noise' => 'squeal'],
                'fan-b',
                0.9,
                ['fuse', 'thermal-switch', 'fan-a'],
                ['arrangement' => 'two-inputs-each'],
            ),
        ];
        yield 'two inputs each: both fans dead on high alone, the second stage open in hot water' => [
            new WorkshopJob(
                'right right right right slow slow',
                ['jump-high-a' => 'right', 'jump-high-b' => 'right', 'stage-2-ohms' => null],
                'thermal-switch',
                0.9,
                ['fuse', 'fan-a', 'fan-b'],
                ['arrangement' => 'two-inputs-each'],
            ),
        ];
        yield 'two inputs each: the main fan alone dead on everything, its ground open' => [
            new WorkshopJob(
                'right right dead right dead right',
                ['ground-drop-a' => 12.4, 'direct-a' => 'right'],
                'ground-wire',
                0.9,
                ['fuse', 'thermal-switch', 'fan-a', 'fan-b'],
                ['arrangement' => 'two-inputs-each'],
            ),
        ];
        yield 'two fans side by side behind one resistor: low dead, the resistor open' => [
            new WorkshopJob(
                'right right dead dead right right',
                ['resistor-in@low' => 12.6, 'fan-volts@low' => 0.0, 'resistor-ohms' => null],
                'resistor',
                0.95,
                ['fuse', 'thermal-switch', 'fan-a', 'fan-b'],
                ['arrangement' => 'master'],
            ),
        ];
        yield 'two fans side by side behind one resistor: the second alone dead on the battery' => [
            new WorkshopJob(
                'right right right dead right dead',
                ['direct-b' => 'dead', 'direct-amps-b' => 0.0],
                'fan-b',
                0.95,
                ['fuse', 'thermal-switch', 'fan-a', 'resistor'],
                ['arrangement' => 'master'],
            ),
        ];
        yield 'two fans side by side behind one resistor: low as fast as high, hardly any ohms in the resistor' => [
            new WorkshopJob(
                'right right fast fast right right',
                ['resistor-ohms' => 0.0, 'fan-volts@low' => 12.3],
                'resistor',
                0.7,
                ['fuse', 'fan-a', 'fan-b'],
                ['arrangement' => 'master'],
            ),
        ];
        yield 'two fans side by side behind one resistor: both run with the engine cold, the first stage conducts' => [
            new WorkshopJob(
                'runs runs right right right right',
                ['noise' => 'quiet', 'stage-1-cold-ohms' => 0.2],
                'thermal-switch',
                0.95,
                ['fuse', 'fan-a', 'fan-b', 'resistor'],
                ['arrangement' => 'master'],
            ),
        ];
        yield 'two fans side by side behind one resistor: everything slow, volts lost in the plug of the switch' => [
            new WorkshopJob(
                'right right slow slow slow slow',
                ['battery-volts' => 12.9, 'fuse-out' => 12.7, 'switch-supply' => 9.1],
                'switch-plug',
                0.6,
                ['fan-a', 'fan-b', 'fuse', 'resistor'],
                ['arrangement' => 'master'],
            ),
        ];
    }
}
