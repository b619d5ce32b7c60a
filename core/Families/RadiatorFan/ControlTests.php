<?php

declare(strict_types=1);

namespace Ispira\Core\Families\RadiatorFan;

use Ispira\Core\Device\Probe;
use Ispira\Core\Device\Test;

/**
 * Tests of what calls the fans.
 */
final readonly class ControlTests
{
    public function __construct(private Layout $layout) {}

    /** @return list<Test> */
    public function all(): array
    {
        return $this->layout->relays ? $this->relays() : $this->thermalSwitch();
    }

    /** @return list<Test> */
    private function thermalSwitch(): array
    {
        $high = $this->layout->cell('high', 'a');
        $tests = [
            VoltTests::measure('switch-supply', 'switch-supply', $high, 'switch-in', '0', ['control'], 'high'),
            VoltTests::measure(
                'switch-out-low',
                'switch-out',
                $this->layout->cell('low', 'a'),
                'low-line',
                '0',
                ['control'],
                'low',
            ),
            VoltTests::measure('switch-out-high', 'switch-out', $high, 'high-line', '0', ['control'], 'high'),
        ];
        foreach (['low' => 'stage-1', 'high' => 'stage-2'] as $line => $stage) {
            $across = Probe::ohms('switch-in', "$line-line");
            $words = ['line' => $line];
            $tests[] = new Test(
                "$stage-ohms",
                'stage-ohms',
                'switch-hot',
                $across,
                5.0,
                ['control'],
                ['hot-water'],
                ['meter', 'hot-water'],
                $words,
            );
            $tests[] = new Test(
                "$stage-cold-ohms",
                'stage-cold-ohms',
                'switch-cold',
                $across,
                1.0,
                ['control'],
                [],
                ['meter'],
                $words,
            );
        }

        return $tests;
    }

    /** @return list<Test> */
    private function relays(): array
    {
        $l = $this->layout;
        $tests = [];
        foreach ($l->relaysByRequest() as $relay => $request) {
            $name =
                $relay === 'k-low' ? 'low relay' : ($relay === 'k-high' ? 'high relay' : 'relay ' . strtoupper($relay));
            $setUp = $l->cell($request, 'a');
            $out = [
                'k-low' => 'low-line',
                'k-high' => 'high-line',
                'k1' => 'a-feed',
                'k2' => 'a-return',
                'k3' => 'b-feed',
            ];
            $tests[] = new Test(
                "$relay-coil-volts",
                'coil-volts',
                $setUp,
                Probe::volts('fed', "ask-$request"),
                0.8,
                ['fuse-box'],
                [],
                ['meter'],
                ['relay' => $name],
            );
            $tests[] = new Test(
                "$relay-out",
                'relay-out',
                $setUp,
                Probe::volts($out[$relay], '0'),
                0.8,
                ['fuse-box'],
                [],
                ['meter'],
                ['relay' => $name],
            );
            $tests[] = new Test(
                "$relay-coil-ohms",
                'coil-ohms',
                isset($l->besideEachOther()[$relay]) ? "$relay-out" : $l->cell('off', 'a'),
                Probe::ohms('fed', "ask-$request"),
                1.0,
                ['fuse-box'],
                [],
                ['meter'],
                ['relay' => $name],
            );
        }

        return $tests;
    }

    /** @return list<Test> */
    public function jumps(): array
    {
        $tests = [];
        foreach (['low', 'high'] as $line) {
            // On high, the low request stays on beside it.
            $grounded = $line === 'high' ? 'ground-requests' : 'ground-request';
            foreach ($this->layout->fans() as $fan) {
                if (!$this->layout->runs($line, $fan)) {
                    continue;
                }
                $tests[] = new Test(
                    "jump-$line-$fan",
                    $this->layout->relays ? $grounded : 'jump',
                    "jump-$line",
                    Probe::speed("fan-$fan"),
                    1.5,
                    ['control'],
                    $this->layout->relays ? ['never-supply'] : ['jumper', 'never-sensor'],
                    ['jumper'],
                    ['line' => $line, 'fan' => Layout::WORDS[$fan]],
                );
            }
        }

        return $tests;
    }
}
