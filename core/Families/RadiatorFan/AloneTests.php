<?php

declare(strict_types=1);

namespace Ispira\Core\Families\RadiatorFan;

use Ispira\Core\Device\Probe;
use Ispira\Core\Device\Test;

/**
 * Tests of a fan, or of its resistor, by itself.
 */
final readonly class AloneTests
{
    public function __construct(private Layout $layout) {}

    /** @return list<Test> */
    public function all(): array
    {
        $l = $this->layout;
        $tests = [];
        foreach ($l->fans() as $fan) {
            $words = ['fan' => Layout::WORDS[$fan]];
            $access = ["fan-plug-$fan", 'battery'];
            $tests[] = new Test(
                "direct-$fan",
                $l->arrangement === 'two-input' ? 'direct-high' : 'direct',
                "direct-$fan",
                Probe::speed("fan-$fan"),
                2.0,
                $access,
                ['jumper', 'hands-clear'],
                ['jumper'],
                $words,
            );
            $tests[] = new Test(
                "direct-amps-$fan",
                'direct-amps',
                "direct-$fan",
                Probe::amps("fan-$fan"),
                2.5,
                $access,
                ['jumper', 'hands-clear'],
                ['jumper', 'clamp'],
                $words,
            );
            $tests[] = new Test(
                "fan-ohms-$fan",
                $l->arrangement === 'two-input' ? 'fan-ohms-high' : 'fan-ohms',
                "out-$fan",
                Probe::ohms($l->arrangement === 'two-input' ? 'inner' : "$fan-plus", "$fan-minus"),
                1.0,
                ["fan-plug-$fan"],
                ['fan-starts', 'ohms-dead'],
                ['meter'],
                $words,
            );
        }
        if ($l->arrangement === 'two-input') {
            $tests[] = new Test(
                'direct-low',
                'direct-low',
                'direct-low',
                Probe::speed('fan-a'),
                2.0,
                ['fan-plug-a', 'battery'],
                ['jumper', 'hands-clear'],
                ['jumper'],
            );
            $tests[] = new Test(
                'fan-ohms-low',
                'fan-ohms-low',
                'out-a',
                Probe::ohms('low-in', 'a-minus'),
                1.0,
                ['fan-plug-a'],
                ['fan-starts', 'ohms-dead'],
                ['meter'],
            );
        }
        if ($l->dropsInResistor()) {
            $tests[] = new Test(
                'resistor-ohms',
                'resistor-ohms',
                'out-a',
                Probe::ohms('resistor-in', 'fan-feed'),
                1.5,
                ['fans'],
                ['fan-starts', 'ohms-dead'],
                ['meter'],
            );
        }

        return $tests;
    }
}
