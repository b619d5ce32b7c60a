<?php

declare(strict_types=1);

namespace Ispira\Core\Families\RadiatorFan;

use Ispira\Core\Device\CauseCheck;
use Ispira\Core\Device\Probe;
use Ispira\Core\Device\Test;
use Ispira\Core\Device\Trap;

/**
 * What is worth testing on radiator fans. They start by themselves: the caution stands before nearly every step.
 */
final readonly class TestList
{
    public const ACCESS_MINUTES = [
        'battery' => 0.5,
        'fuse-box' => 1.5,
        'fan-plug-a' => 3.0,
        'fan-plug-b' => 3.0,
        'control' => 4.0,
        'fans' => 2.0,
    ];

    private const STARTS = ['fan-starts'];
    private const RUNS = ['hands-clear'];

    public function __construct(private Layout $layout) {}

    /** @return list<Test> */
    public function all(): array
    {
        return [
            ...$this->speeds(),
            ...$this->looks(),
            ...$this->volts(),
            ...$this->jumps(),
            ...$this->alone(),
            ...$this->layout->relays ? $this->relays() : $this->thermalSwitch(),
        ];
    }

    /** @return list<CauseCheck> */
    public function causeChecks(): array
    {
        $checks = [];
        foreach (['fuse', 'plug-a', ...$this->layout->dropsInResistor() ? ['resistor'] : []] as $part) {
            $checks[] = new CauseCheck($part, 'spin', 'drag');
            $checks[] = new CauseCheck($part, 'current-a', 'draw');
        }

        return $checks;
    }

    /** @return list<Test> */
    private function speeds(): array
    {
        $tests = [];
        foreach (['off', 'low', 'high'] as $request) {
            foreach ($this->layout->fans() as $fan) {
                $cell = $this->layout->cell($request, $fan);
                $tests[] = new Test(
                    "speed@$cell",
                    'speed',
                    $cell,
                    Probe::speed("fan-$fan"),
                    0.4,
                    words: ['position' => $this->layout->label($request, $fan)],
                    offered: false,
                );
            }
        }

        return $tests;
    }

    /** @return list<Test> */
    private function looks(): array
    {
        $l = $this->layout;
        $off = $l->cell('off', 'a');
        $high = $l->cell('high', 'a');
        $tests = [
            $this->look('look-wheel', 'look-wheel', 0.7, ['fans'], self::STARTS, $off),
            $this->look('wiggle-control', 'wiggle-control', 1.0, ['control'], self::RUNS, $high),
            $this->look('wiggle-feed', 'wiggle-feed', 1.0, ['fuse-box'], self::RUNS, $high),
        ];
        if ($l->dropsInResistor()) {
            $tests[] = $this->look('look-resistor', 'look-resistor', 0.7, ['fans'], self::STARTS, $off);
            $tests[] = $this->look(
                'wiggle-resistor',
                'wiggle-resistor',
                1.0,
                ['fans'],
                self::RUNS,
                $l->cell('low', 'a'),
            );
        }
        if ($l->relays) {
            $tests[] = $this->look('compressor', 'compressor', 0.5, [], [], $l->cell('low', 'a'));
        }
        foreach ($l->fans() as $fan) {
            $words = ['fan' => Layout::WORDS[$fan]];
            $tests[] = $this->look($fan === 'a' ? 'spin' : 'spin-b', 'spin', 0.7, ['fans'], self::STARTS, $off, $words);
            $tests[] = $this->look("look-plug-$fan", 'look-plug', 0.7, ["fan-plug-$fan"], self::STARTS, $off, $words);
            $tests[] = $this->look(
                "wiggle-plug-$fan",
                'wiggle-plug',
                1.0,
                ["fan-plug-$fan"],
                self::RUNS,
                $l->cell('high', $fan),
                $words,
            );
            $tests[] = $this->look("knock-$fan", 'knock', 0.7, ['fans'], self::RUNS, $l->cell('high', $fan), $words);
        }

        return $tests;
    }

    /**
     * @param list<string>          $access
     * @param list<string>          $cautions
     * @param array<string, string> $words
     */
    private function look(
        string $key,
        string $text,
        float $minutes,
        array $access,
        array $cautions,
        string $setUp,
        array $words = [],
    ): Test {
        return new Test(
            $key,
            $text,
            $setUp,
            Probe::observation($key),
            $minutes,
            $access,
            $cautions,
            words: $words,
            repeatable: str_starts_with($key, 'wiggle'),
        );
    }

    /** @param list<string> $access */
    private function measure(
        string $key,
        string $text,
        string $setUp,
        string $plus,
        string $minus,
        array $access,
        string $word = '',
    ): Test {
        return new Test(
            $key,
            $text,
            $setUp,
            Probe::volts($plus, $minus),
            0.8,
            $access,
            self::RUNS,
            ['meter'],
            ['position' => $word],
        );
    }

    /** @return list<Test> */
    private function volts(): array
    {
        $l = $this->layout;
        $high = $l->cell('high', 'a');
        $tests = [
            $this->measure('battery-volts', 'battery-volts', $high, 'battery', '0', ['battery'], 'high'),
            $this->measure('fuse-in', 'fuse-in', $high, 'fuse-in', '0', ['fuse-box'], 'high'),
            $this->measure('fuse-out', 'fuse-out', $high, 'fed', '0', ['fuse-box'], 'high'),
        ];
        foreach (['low', 'high'] as $request) {
            if ($l->arrangement === 'two-input') {
                $tests[] = $this->measure(
                    "low-pin@$request",
                    'low-pin',
                    $request,
                    'low-pin',
                    'a-ground',
                    ['fan-plug-a'],
                    $request,
                );
                $tests[] = $this->measure(
                    "high-pin@$request",
                    'high-pin',
                    $request,
                    'high-pin',
                    'a-ground',
                    ['fan-plug-a'],
                    $request,
                );
            } elseif ($l->pair()) {
                foreach ($l->fans() as $fan) {
                    $tests[] = $this->measure(
                        "feed-$fan@$request",
                        "feed-$fan",
                        $l->cell($request, $fan),
                        "$fan-feed",
                        '0',
                        ["fan-plug-$fan"],
                        $request,
                    );
                }
                $tests[] = $this->measure(
                    "a-return@$request",
                    'a-return',
                    $l->cell($request, 'a'),
                    'a-return',
                    '0',
                    ['fan-plug-a'],
                    $request,
                );
            } else {
                $tests[] = $this->measure(
                    "fan-volts@$request",
                    'fan-volts',
                    $l->cell($request, 'a'),
                    'fan-feed',
                    '0',
                    ['fan-plug-a'],
                    $request,
                );
            }
        }
        if ($l->dropsInResistor()) {
            $tests[] = $this->measure(
                'resistor-in@low',
                'resistor-in',
                $l->cell('low', 'a'),
                'resistor-in',
                '0',
                ['fans'],
                'low',
            );
        }
        foreach ($l->fans() as $fan) {
            if (!($l->pair() && $fan === 'a')) {
                $tests[] = $this->measure(
                    "ground-drop-$fan",
                    'ground-drop',
                    $l->cell('high', $fan),
                    "$fan-ground",
                    '0',
                    ["fan-plug-$fan"],
                    Layout::WORDS[$fan],
                );
            }
            $return = $l->pair() && $fan === 'a' ? 'a-return' : "$fan-ground";
            $tests[] = $this->measure(
                "plug-drop-$fan",
                'plug-drop',
                $l->cell('high', $fan),
                "$fan-minus",
                $return,
                ["fan-plug-$fan"],
                Layout::WORDS[$fan],
            );
            $tests[] = new Test(
                "current-$fan",
                'current',
                $l->cell('high', $fan),
                Probe::amps("fan-$fan"),
                1.0,
                ["fan-plug-$fan"],
                self::RUNS,
                ['clamp'],
                ['fan' => Layout::WORDS[$fan]],
            );
        }
        foreach ($l->arrangement === 'two-input' ? ['low'] : ['low', 'high'] as $request) {
            $tests[] = new Test(
                "lamp@$request",
                'lamp',
                "lamp-$request",
                Probe::lamp('lamp', 12.6),
                1.5,
                ['fan-plug-a'],
                self::STARTS,
                ['lamp'],
                ['position' => $request],
                trap: Trap::Lamp,
            );
            $tests[] = new Test(
                "lamp-volts@$request",
                'lamp-volts',
                "lamp-$request",
                Probe::volts(
                    $l->arrangement === 'two-input' ? 'low-pin' : ($l->pair() ? 'a-feed' : 'fan-feed'),
                    $l->pair() ? '0' : 'a-ground',
                ),
                2.0,
                ['fan-plug-a'],
                self::STARTS,
                ['lamp', 'meter'],
                ['position' => $request],
            );
        }

        return $tests;
    }

    /** @return list<Test> */
    private function jumps(): array
    {
        $text = $this->layout->relays ? 'ground-request' : 'jump';
        $tests = [];
        foreach (['low', 'high'] as $line) {
            foreach ($this->layout->fans() as $fan) {
                $tests[] = new Test(
                    "jump-$line-$fan",
                    $text,
                    "jump-$line",
                    Probe::speed("fan-$fan"),
                    1.5,
                    ['control'],
                    $this->layout->relays ? ['hands-clear', 'never-supply'] : ['hands-clear', 'jumper', 'never-sensor'],
                    ['jumper'],
                    ['line' => $line, 'fan' => Layout::WORDS[$fan]],
                );
            }
        }

        return $tests;
    }

    /** @return list<Test> fans tested by themselves */
    private function alone(): array
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

    /** @return list<Test> */
    private function thermalSwitch(): array
    {
        $high = $this->layout->cell('high', 'a');
        $tests = [
            $this->measure('switch-supply', 'switch-supply', $high, 'switch-in', '0', ['control'], 'high'),
            $this->measure(
                'switch-out-low',
                'switch-out',
                $this->layout->cell('low', 'a'),
                'low-line',
                '0',
                ['control'],
                'low',
            ),
            $this->measure('switch-out-high', 'switch-out', $high, 'high-line', '0', ['control'], 'high'),
        ];
        foreach (['low' => 'stage-1', 'high' => 'stage-2'] as $line => $stage) {
            $tests[] = new Test(
                "$stage-ohms",
                'stage-ohms',
                'switch-hot',
                Probe::ohms('switch-in', "$line-line"),
                5.0,
                ['control'],
                ['hot-water', 'ohms-dead'],
                ['meter', 'hot-water'],
                ['line' => $line],
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
                self::RUNS,
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
                self::RUNS,
                ['meter'],
                ['relay' => $name],
            );
            $tests[] = new Test(
                "$relay-coil-ohms",
                'coil-ohms',
                $l->cell('off', 'a'),
                Probe::ohms('fed', "ask-$request"),
                1.0,
                ['fuse-box'],
                ['fan-starts', 'ohms-dead'],
                ['meter'],
                ['relay' => $name],
            );
        }

        return $tests;
    }
}
