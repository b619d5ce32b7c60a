<?php

declare(strict_types=1);

namespace Ispira\Core\Families\Wiper;

use Ispira\Core\Device\Contact;
use Ispira\Core\Device\Probe;
use Ispira\Core\Device\Test;
use Ispira\Core\Device\Trap;

/**
 * What is worth testing on a wiper motor with a compound field.
 */
final readonly class CompoundTests
{
    public function __construct(private float $scale) {}

    /** @return list<Test> */
    public function all(): array
    {
        $tests = [];
        foreach (
            ['feed-pin' => 'feed', 'run-pin' => 'RUN', 'field-pin' => 'FIELD', 'body' => 'body']
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
        foreach (['bench-high' => 'RUN to ground', 'bench-low' => 'RUN and FIELD to ground'] as $key => $clips) {
            $tests[] = new Test(
                $key,
                'bench-clips',
                $key,
                Probe::speed('motor'),
                3.0,
                ['motor-plug', 'battery'],
                ['jumper'],
                ['jumper'],
                ['clips' => $clips],
            );
        }
        foreach (
            ['bench-park' => 'FIELD alone to ground', 'bench-none' => 'neither to ground, away from rest']
            as $key => $clips
        ) {
            $tests[] = new Test(
                $key,
                $key === 'bench-park' ? 'bench-clips-park' : 'bench-clips',
                $key,
                Probe::speed('motor'),
                3.0,
                ['motor-plug', 'battery'],
                ['jumper'],
                ['jumper'],
                ['clips' => $clips],
            );
        }
        $tests[] = new Test(
            'bench-amps-low',
            'bench-amps',
            'bench-low',
            Probe::amps('series'),
            3.0,
            ['motor-plug', 'battery'],
            ['jumper'],
            ['jumper', 'clamp'],
            ['speed' => 'low'],
        );
        $tests[] = new Test(
            'bench-amps-high',
            'bench-amps',
            'bench-high',
            Probe::amps('series'),
            3.0,
            ['motor-plug', 'battery'],
            ['jumper'],
            ['jumper', 'clamp'],
            ['speed' => 'high'],
        );
        $tests[] = new Test(
            'ohms-run',
            'ohms',
            'unplugged',
            Probe::ohms('feed-pin', 'run-in'),
            1.0,
            ['motor-plug'],
            [],
            ['meter'],
            ['from' => 'feed', 'to' => 'RUN'],
        );
        $tests[] = new Test(
            'ohms-field',
            'ohms',
            'unplugged',
            Probe::ohms('feed-pin', 'field-in'),
            1.0,
            ['motor-plug'],
            [],
            ['meter'],
            ['from' => 'feed', 'to' => 'FIELD'],
        );
        $tests[] = new Test(
            'ohms-run-body',
            'ohms',
            'unplugged',
            Probe::ohms('run-in', '0'),
            1.0,
            ['motor-plug'],
            [],
            ['meter'],
            ['from' => 'RUN', 'to' => 'body, at rest'],
        );
        $tests[] = new Test(
            'ohms-run-body-away',
            'ohms-away',
            'unplugged-away',
            Probe::ohms('run-in', 'body'),
            1.5,
            ['motor-plug', 'linkage-off'],
            [],
            ['meter'],
        );
        $tests[] = new Test(
            'wires-ohms',
            'compound-wires-ohms',
            'wires-alone',
            Probe::ohms('run-pin', 'field-pin'),
            1.5,
            ['motor-plug', 'dash'],
            [],
            ['meter'],
        );
        $tests[] = new Test(
            'bench-feed-volts',
            'bench-feed-volts',
            'bench-high',
            Probe::volts('feed-pin', '0'),
            1.0,
            ['motor-plug', 'battery'],
            ['jumper'],
            ['jumper', 'meter'],
        );
        foreach (['run' => ['RUN', 'high'], 'field' => ['FIELD', 'low']] as $line => [$terminal, $position]) {
            $tests[] = TestList::volts(
                "dash-$line",
                'dash-terminal',
                $position,
                "$line-end",
                '0',
                ['dash'],
                ['terminal' => $terminal, 'position' => $position],
            );
        }
        foreach (['run' => ['RUN', 'off'], 'field' => ['FIELD', 'high']] as $line => [$terminal, $position]) {
            $tests[] = new Test(
                "switch-ohms-$line",
                'switch-ohms',
                "switch-out-$position",
                Probe::ohms("$line-end", 'dash-ground'),
                1.5,
                ['dash'],
                [],
                ['meter'],
                ['terminal' => $terminal, 'position' => $position],
            );
        }
        $tests[] = TestList::volts(
            'feed-end@low',
            'feed-end',
            'low',
            'feed-end',
            '0',
            ['motor-plug'],
            ['position' => 'low'],
        );
        $tests[] = TestList::volts('strap-drop', 'strap-drop', 'off', 'body', '0', ['motor-plug'], []);
        $tests[] = new Test(
            'look-strap',
            'look-strap',
            'dead',
            Probe::observation('look-strap'),
            0.7,
            ['motor-plug'],
            contact: Contact::Hands,
        );
        $tests[] = new Test('warm', 'warm', 'low', Probe::observation('warm'), 10.0, repeatable: true);
        $tests[] = TestList::volts('dash-ground-drop', 'dash-ground-drop', 'low', 'dash-ground', '0', ['dash'], []);
        $tests[] = new Test(
            'lamp-feed',
            'lamp-feed',
            'lamp-feed',
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
