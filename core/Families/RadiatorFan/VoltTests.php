<?php

declare(strict_types=1);

namespace Ispira\Core\Families\RadiatorFan;

use Ispira\Core\Device\Probe;
use Ispira\Core\Device\Test;
use Ispira\Core\Device\Trap;

/**
 * Volts and amps under power, from the battery to the fans' grounds.
 */
final readonly class VoltTests
{
    public function __construct(private Layout $layout) {}

    /** @return list<Test> */
    public function all(): array
    {
        $high = $this->layout->cell('high', 'a');
        $tests = [
            self::measure('battery-volts', 'battery-volts', $high, 'battery', '0', ['battery'], 'high'),
            self::measure('fuse-in', 'fuse-in', $high, 'fuse-in', '0', ['fuse-box'], 'high'),
            self::measure('fuse-out', 'fuse-out', $high, 'fed', '0', ['fuse-box'], 'high'),
        ];
        foreach (['low', 'high'] as $request) {
            array_push($tests, ...$this->atPlugs($request));
        }
        if ($this->layout->dropsInResistor()) {
            $low = $this->layout->cell('low', 'a');
            $tests[] = self::measure('resistor-in@low', 'resistor-in', $low, 'resistor-in', '0', ['fans'], 'low');
        }
        foreach ($this->layout->fans() as $fan) {
            array_push($tests, ...$this->behind($fan));
        }

        return [...$tests, ...$this->lamp()];
    }

    /** @return list<Test> what arrives at the fans */
    private function atPlugs(string $request): array
    {
        $l = $this->layout;
        $cell = $l->cell($request, 'a');
        if ($l->dropsInResistor()) {
            return [self::measure("fan-volts@$request", 'fan-volts', $cell, 'fan-feed', '0', ['fan-plug-a'], $request)];
        }
        $tests = [];
        foreach ($l->fans() as $fan) {
            $at = ["fan-plug-$fan"];
            $cell = $l->cell($request, $fan);
            if (!$l->twoInputs($fan)) {
                $tests[] = self::measure("feed-$fan@$request", 'feed', $cell, "$fan-feed", '0', $at, $request, $fan);
                continue;
            }
            foreach (['low-pin', 'high-pin'] as $pin) {
                $tests[] = self::measure(
                    Layout::own($pin, $fan) . "@$request",
                    $pin,
                    $cell,
                    Layout::own($pin, $fan),
                    "$fan-ground",
                    $at,
                    $request,
                    $fan,
                );
            }
        }
        foreach ($l->fans() as $fan) {
            if (!$l->hasGround($fan)) {
                $node = $l->return($fan);
                $cell = $l->cell($request, $fan);
                $at = ["fan-plug-$fan"];
                $tests[] = self::measure("$node@$request", 'return', $cell, $node, '0', $at, $request, $fan);
            }
        }

        return $tests;
    }

    /** @return list<Test> what is lost behind a fan, and what it draws */
    private function behind(string $fan): array
    {
        $l = $this->layout;
        $at = ["fan-plug-$fan"];
        $request = $l->running($fan);
        $runs = $l->cell($request, $fan);
        $return = $l->return($fan);
        $tests = [];
        if ($l->hasGround($fan)) {
            $tests[] = self::measure("ground-drop-$fan", 'ground-drop', $runs, $return, '0', $at, $request, $fan);
        }
        $tests[] = self::measure("plug-drop-$fan", 'plug-drop', $runs, "$fan-minus", $return, $at, $request, $fan);
        $tests[] = new Test(
            "current-$fan",
            'current',
            $runs,
            Probe::amps("fan-$fan"),
            1.0,
            $at,
            [],
            ['clamp'],
            ['fan' => Layout::WORDS[$fan], 'position' => $request],
        );

        return $tests;
    }

    /** @return list<Test> */
    private function lamp(): array
    {
        $l = $this->layout;
        [$plus, $minus] = match (true) {
            $l->twoInputs('a') => ['low-pin', 'a-ground'],
            $l->pair() => ['a-feed', '0'],
            default => ['fan-feed', 'a-ground'],
        };
        $tests = [];
        foreach ($l->twoInputs('a') ? ['low'] : ['low', 'high'] as $request) {
            $tests[] = new Test(
                "lamp@$request",
                $l->lampText(),
                "lamp-$request",
                Probe::lamp('lamp', 12.6),
                1.5,
                ['fan-plug-a'],
                [],
                ['lamp'],
                ['position' => $request],
                trap: Trap::Lamp,
            );
            $tests[] = new Test(
                "lamp-volts@$request",
                $l->lampText() . '-volts',
                "lamp-$request",
                Probe::volts($plus, $minus),
                2.0,
                ['fan-plug-a'],
                [],
                ['lamp', 'meter'],
                ['position' => $request],
            );
        }

        return $tests;
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
        string $fan = 'a',
    ): Test {
        return new Test(
            $key,
            $text,
            $setUp,
            Probe::volts($plus, $minus),
            0.8,
            $access,
            [],
            ['meter'],
            ['position' => $word, 'fan' => Layout::WORDS[$fan]],
        );
    }
}
