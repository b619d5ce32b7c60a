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
                $l->twoInputs($fan) ? 'direct-high' : 'direct',
                "direct-$fan",
                Probe::speed("fan-$fan"),
                2.0,
                $access,
                ['jumper'],
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
                ['jumper'],
                ['jumper', 'clamp'],
                $words,
            );
            $tests[] = new Test(
                "fan-ohms-$fan",
                $l->twoInputs($fan) ? 'fan-ohms-high' : 'fan-ohms',
                "out-$fan",
                Probe::ohms($l->plus($fan), "$fan-minus"),
                1.0,
                ["fan-plug-$fan"],
                [],
                ['meter'],
                $words,
            );
        }
        foreach (array_filter($l->fans(), $l->twoInputs(...)) as $fan) {
            $words = ['fan' => Layout::WORDS[$fan]];
            $tests[] = new Test(
                Layout::own('direct-low', $fan),
                'direct-low',
                Layout::own('direct-low', $fan),
                Probe::speed("fan-$fan"),
                2.0,
                ["fan-plug-$fan", 'battery'],
                ['jumper'],
                ['jumper'],
                $words,
            );
            $tests[] = new Test(
                Layout::own('fan-ohms-low', $fan),
                'fan-ohms-low',
                "out-$fan",
                Probe::ohms(Layout::own('low-in', $fan), "$fan-minus"),
                1.0,
                ["fan-plug-$fan"],
                [],
                ['meter'],
                $words,
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
                [],
                ['meter'],
            );
        }

        return $tests;
    }
}
