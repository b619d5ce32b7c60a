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
    public const RUNS = ['hands-clear'];

    public function __construct(private Layout $layout) {}

    /** @return list<Test> */
    public function all(): array
    {
        $control = new ControlTests($this->layout);

        return [
            ...$this->speeds(),
            ...$this->looks(),
            ...$this->volts(),
            ...$control->jumps(),
            ...(new AloneTests($this->layout))->all(),
            ...$control->all(),
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
    public static function measure(
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
            self::measure('battery-volts', 'battery-volts', $high, 'battery', '0', ['battery'], 'high'),
            self::measure('fuse-in', 'fuse-in', $high, 'fuse-in', '0', ['fuse-box'], 'high'),
            self::measure('fuse-out', 'fuse-out', $high, 'fed', '0', ['fuse-box'], 'high'),
        ];
        foreach (['low', 'high'] as $request) {
            if ($l->arrangement === 'two-input') {
                $tests[] = self::measure(
                    "low-pin@$request",
                    'low-pin',
                    $request,
                    'low-pin',
                    'a-ground',
                    ['fan-plug-a'],
                    $request,
                );
                $tests[] = self::measure(
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
                    $tests[] = self::measure(
                        "feed-$fan@$request",
                        "feed-$fan",
                        $l->cell($request, $fan),
                        "$fan-feed",
                        '0',
                        ["fan-plug-$fan"],
                        $request,
                    );
                }
                $tests[] = self::measure(
                    "a-return@$request",
                    'a-return',
                    $l->cell($request, 'a'),
                    'a-return',
                    '0',
                    ['fan-plug-a'],
                    $request,
                );
            } else {
                $tests[] = self::measure(
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
            $tests[] = self::measure(
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
                $tests[] = self::measure(
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
            $tests[] = self::measure(
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
}
