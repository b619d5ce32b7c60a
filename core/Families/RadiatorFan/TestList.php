<?php

declare(strict_types=1);

namespace Ispira\Core\Families\RadiatorFan;

use Ispira\Core\Device\CauseCheck;
use Ispira\Core\Device\Probe;
use Ispira\Core\Device\Test;

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

    public const STARTS = ['fan-starts'];
    public const RUNS = ['hands-clear'];

    public function __construct(private Layout $layout) {}

    /** @return list<Test> */
    public function all(): array
    {
        $control = new ControlTests($this->layout);

        return [
            ...$this->speeds(),
            ...$this->looks(),
            ...(new VoltTests($this->layout))->all(),
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
                $l->cell($l->running($fan), $fan),
                $words,
            );
            $tests[] = $this->look(
                "knock-$fan",
                'knock',
                0.7,
                ['fans'],
                self::RUNS,
                $l->cell($l->running($fan), $fan),
                $words,
            );
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
}
