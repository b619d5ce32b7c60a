<?php

declare(strict_types=1);

namespace Ispira\Core\Families\WiperInterval;

use Ispira\Core\Device\CauseCheck;
use Ispira\Core\Device\Contact;
use Ispira\Core\Device\Probe;
use Ispira\Core\Device\Test;
use Ispira\Core\Device\Trap;

/**
 * What is worth testing on an interval wiper. The stalk and the module are also tested apart:
 * together, each can hide behind the other.
 */
final readonly class TestList
{
    public const ACCESS_MINUTES = [
        'battery' => 0.5,
        'fuse-box' => 1.5,
        'module-plug' => 4.0,
        'stalk' => 8.0,
        'module-off' => 6.0,
    ];

    public function __construct(private Wiring $wiring) {}

    /** @return list<Test> */
    public function all(): array
    {
        $tests = [];
        foreach ($this->wiring->positions() as $p) {
            $tests[] = new Test(
                "speed@$p->key",
                'speed',
                $p->key,
                Probe::speed('motor'),
                0.5,
                words: ['position' => $p->label],
                offered: false,
            );
        }
        foreach (
            [
                'look-module' => [2.0, ['module-off'], 'dead'],
                'arms' => [1.0, [], 'dead'],
                'knock' => [0.7, ['module-plug'], 'low'],
                'wiggle-stalk' => [0.7, [], 'int-1'],
                'wiggle-plug' => [1.0, ['module-plug'], 'low'],
            ]
            as $key => [$minutes, $access, $setUp]
        ) {
            $tests[] = new Test(
                $key,
                $key,
                $setUp,
                Probe::observation($key),
                $minutes,
                $access,
                repeatable: str_starts_with($key, 'wiggle'),
                contact: $setUp === 'dead' ? Contact::Hands : Contact::Wires,
            );
        }

        return [...$tests, ...$this->signals(), ...$this->apart(), ...$this->power()];
    }

    /**
     * @param list<string>          $access
     * @param array<string, string> $words
     */
    private function volts(
        string $key,
        string $text,
        string $setUp,
        string $plus,
        string $minus,
        array $access,
        array $words = [],
    ): Test {
        return new Test($key, $text, $setUp, Probe::volts($plus, $minus), 0.8, $access, ['no-lamp'], ['meter'], $words);
    }

    /** @return array<string, string> label by position that sends on the speed wire */
    private function sending(): array
    {
        $labels = [];
        foreach ($this->wiring->positions() as $p) {
            if ($p->key === 'low' || str_starts_with($p->key, 'int-')) {
                $labels[$p->key] = $p->label;
            }
        }

        return $labels;
    }

    /** @return list<Test> */
    private function signals(): array
    {
        $tests = [];
        foreach ([...$this->sending(), 'high' => 'high'] as $key => $label) {
            $tests[] = new Test(
                "speed-volts@$key",
                'speed-volts',
                $key,
                Probe::volts('speed-pin', '0'),
                0.8,
                ['module-plug'],
                ['no-lamp'],
                ['meter'],
                ['position' => $label],
                trap: $key === 'low' || $key === 'high' ? null : Trap::Together,
            );
        }
        foreach (['low', 'high'] as $position) {
            $tests[] = $this->volts(
                "high-volts@$position",
                'high-volts',
                $position,
                'high-pin',
                '0',
                ['module-plug'],
                ['position' => $position],
            );
        }

        return $tests;
    }

    /** @return list<Test> */
    private function apart(): array
    {
        $tests = [];
        foreach ($this->sending() as $key => $label) {
            $words = ['position' => $label];
            $tests[] = new Test(
                "unloaded@$key",
                'unloaded',
                "unloaded-$key",
                Probe::volts('speed-pin', '0'),
                0.8,
                ['module-plug'],
                ['no-lamp'],
                ['meter'],
                $words,
                trap: Trap::NoLoad,
            );
            $tests[] = new Test(
                "loaded@$key",
                'loaded',
                "loaded-$key",
                Probe::volts('speed-pin', '0'),
                1.2,
                ['module-plug'],
                ['no-lamp'],
                ['meter', 'known-resistor'],
                $words,
            );
            $tests[] = new Test(
                "stalk-ohms@$key",
                'stalk-ohms',
                "stalk-out-$key",
                Probe::ohms('stalk-in', 'speed-out'),
                1.0,
                ['stalk'],
                ['column'],
                ['meter'],
                $words,
            );
        }
        foreach (['half' => '6.3 V', 'full' => '12.6 V'] as $name => $volts) {
            $tests[] = new Test(
                "alone-$name",
                'alone',
                "alone-$name",
                Probe::speed('motor'),
                3.0,
                ['module-plug'],
                [],
                ['supply'],
                ['volts' => $volts],
            );
        }
        $tests[] = new Test(
            'alone-high',
            'alone-high',
            'alone-high',
            Probe::speed('motor'),
            3.0,
            ['module-plug'],
            [],
            ['supply'],
        );
        foreach (['speed', 'high'] as $wire) {
            // Whatever is on a wire that ends at its plug was not sent by the stalk.
            $tests[] = new Test(
                "$wire-stray",
                'stray-volts',
                'stalk-off',
                Probe::volts("$wire-pin", '0'),
                1.5,
                ['module-plug', 'stalk'],
                ['column', 'no-lamp'],
                ['meter'],
                ['wire' => $wire],
            );
        }
        $tests[] = new Test(
            'wire-ohms',
            'wire-ohms',
            'wire-out',
            Probe::ohms('speed-pin', '0'),
            1.5,
            ['module-plug'],
            [],
            ['meter'],
        );
        $tests[] = new Test(
            'input-ohms',
            'input-ohms',
            'module-out',
            Probe::ohms('speed-in', 'module-ground'),
            1.0,
            ['module-plug'],
            [],
            ['meter'],
        );

        return $tests;
    }

    /** @return list<Test> */
    private function power(): array
    {
        $tests = [
            $this->volts('battery-volts', 'battery-volts', 'low', 'battery', '0', ['battery']),
            $this->volts('fuse-in', 'fuse-in', 'low', 'fuse-in', '0', ['fuse-box']),
            $this->volts('fuse-out', 'fuse-out', 'low', 'fed', '0', ['fuse-box']),
            $this->volts('supply-volts', 'supply-volts', 'low', 'supply', '0', ['module-plug']),
            $this->volts('ground-drop', 'ground-drop', 'low', 'module-ground', '0', ['module-plug']),
            $this->volts('stalk-feed', 'stalk-in', 'low', 'stalk-in', '0', ['stalk']),
            $this->volts('speed-out', 'speed-out', 'low', 'speed-out', '0', ['stalk']),
            $this->volts('high-out', 'high-out', 'high', 'high-out', '0', ['stalk']),
            $this->volts('low-brush', 'brush-volts', 'low', 'L', 'C', ['module-off'], ['speed' => 'low']),
            $this->volts('high-brush', 'brush-volts', 'high', 'H', 'C', ['module-off'], ['speed' => 'high']),
            new Test('current-low', 'current', 'low', Probe::amps('module-feed'), 1.0, ['module-plug'], [], ['clamp']),
        ];
        foreach (['low', 'high'] as $speed) {
            $tests[] = new Test(
                "direct-$speed",
                'direct',
                "direct-$speed",
                Probe::speed('motor'),
                3.0,
                ['module-off', 'battery'],
                ['jumper'],
                ['jumper'],
                ['speed' => $speed],
            );
        }

        return $tests;
    }

    /** @return list<CauseCheck> */
    public static function causeChecks(): array
    {
        return [
            new CauseCheck('module', 'current-low', 'draw'),
            new CauseCheck('module', 'arms', 'linkage'),
            new CauseCheck('fuse', 'arms', 'linkage'),
        ];
    }
}
