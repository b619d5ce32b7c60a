<?php

declare(strict_types=1);

namespace Ispira\Core\Families\Wiper;

use Ispira\Core\Device\Probe;
use Ispira\Core\Device\Test;
use Ispira\Core\Device\Trap;

/**
 * What is worth testing on a wiper motor with three brushes.
 */
final readonly class ThreeBrushTests
{
    public function __construct(private float $scale) {}

    /** @return list<Test> what only this motor offers */
    public function all(): array
    {
        $tests = [];
        foreach (
            [
                'low-pin' => 'low',
                'high-pin' => 'high',
                'park-pin' => 'park',
                'park-feed-pin' => 'park feed',
                'ground-pin' => 'ground',
            ]
            as $pin => $name
        ) {
            foreach (['off', 'low', 'high'] as $position) {
                $tests[] = TestList::volts(
                    "$pin@$position",
                    $position === 'off' ? 'pin-volts-parked' : 'pin-volts',
                    $position === 'off' ? 'parked' : $position,
                    $pin,
                    '0',
                    ['motor-plug'],
                    ['pin' => $name, 'position' => $position],
                );
            }
        }
        foreach (['low' => 'L', 'high' => 'H'] as $speed => $brush) {
            $tests[] = new Test(
                "bench-$speed",
                'bench-run',
                "bench-$speed",
                Probe::speed('motor'),
                3.0,
                ['motor-plug', 'battery'],
                ['jumper'],
                ['jumper'],
                ['speed' => $speed],
            );
            $tests[] = new Test(
                "bench-amps-$speed",
                'bench-amps',
                "bench-$speed",
                Probe::amps('brush-common'),
                3.0,
                ['motor-plug', 'battery'],
                ['jumper'],
                ['jumper', 'clamp'],
                ['speed' => $speed],
            );
            $tests[] = new Test(
                "bench-volts-$speed",
                'bench-volts',
                "bench-$speed",
                Probe::volts($brush, 'C'),
                1.0,
                ['motor-plug', 'battery'],
                ['jumper'],
                ['jumper', 'meter'],
                ['speed' => $speed],
            );
            $tests[] = new Test(
                "ohms-$speed",
                'ohms',
                'unplugged',
                Probe::ohms($brush, 'C'),
                1.0,
                ['motor-plug'],
                [],
                ['meter'],
                ['from' => $speed, 'to' => 'common'],
            );
            $tests[] = TestList::volts(
                "dash-$speed",
                'dash-out',
                $speed,
                "$speed-out",
                '0',
                ['dash'],
                ['speed' => $speed],
            );
        }
        $tests[] = TestList::volts('dash-park', 'dash-park', 'off', 'park-line', '0', ['dash'], []);
        $tests[] = TestList::volts('dash-feed', 'dash-in', 'low', 'dash', '0', ['dash'], []);
        $tests[] = new Test(
            'wires-ohms',
            'wires-ohms',
            'wires-alone',
            Probe::ohms('low-pin', 'high-pin'),
            1.0,
            ['motor-plug'],
            [],
            ['meter'],
        );
        $tests[] = new Test(
            'bench-park',
            'bench-park',
            'bench-park',
            Probe::speed('motor'),
            4.0,
            ['motor-plug', 'battery'],
            ['jumper'],
            ['jumper'],
        );
        $tests[] = new Test(
            'lamp-low',
            'lamp',
            'lamp-low',
            Probe::lamp('lamp', 12.6 * $this->scale),
            1.5,
            ['motor-plug'],
            [],
            ['lamp'],
            trap: Trap::Lamp,
        );

        return $tests;
    }
}
