<?php

declare(strict_types=1);

namespace Ispira\Core\Families\EcmBlower;

use Ispira\Core\Device\CauseCheck;
use Ispira\Core\Device\Contact;
use Ispira\Core\Device\Probe;
use Ispira\Core\Device\Test;
use Ispira\Core\Device\Trap;
use Ispira\Core\Families\Furnace\HeatRise;

/**
 * What is worth testing on a blower with a module: cheap looks first, then both supplies with their plugs on,
 * then the module off and the motor alone.
 */
final readonly class TestList
{
    /** Minutes of a reading that has to be held against a sound machine. */
    private const BESIDE_A_TWIN = 6.0;

    public const ACCESS_MINUTES = [
        'panel' => 2.0,
        'wheel' => 1.0,
        'motor-plugs' => 3.0,
        'module-off' => 18.0,
        'filter' => 1.0,
        'ducts' => 4.0,
    ];

    public function __construct(private Wiring $wiring, private HeatRise $rise) {}

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

        return [
            ...$tests,
            ...$this->looks(),
            ...$this->supply(),
            ...$this->signals(),
            ...$this->apart(),
            ...$this->heat(),
        ];
    }

    /**
     * @param list<string> $access
     * @param list<string> $tools
     */
    private static function look(
        string $key,
        float $minutes,
        array $access,
        Contact $contact = Contact::Hands,
        string $setUp = 'isolated',
        bool $again = false,
        array $tools = [],
    ): Test {
        return new Test(
            $key,
            $key,
            $setUp,
            Probe::observation($key),
            $minutes,
            $access,
            tools: $tools,
            repeatable: $again,
            contact: $contact,
        );
    }

    /** @return list<Test> */
    private function looks(): array
    {
        return [
            self::look('look-filter', 0.5, ['filter']),
            self::look('look-plugs', 0.7, ['panel', 'motor-plugs']),
            self::look('spin', 0.7, ['panel', 'wheel']),
            self::look('look-wheel', 0.7, ['panel', 'wheel']),
            self::look('start', 0.7, ['panel'], Contact::Eyes, 'cool'),
            self::look('rotation', 1.0, ['panel'], Contact::Eyes, 'cool'),
            ...$this->wiring->doubles() ? [self::look('jumper', 1.5, ['panel', 'motor-plugs'])] : [],
            self::look('wiggle-plugs', 1.5, ['panel', 'motor-plugs'], Contact::Stick, 'cool', true),
            self::look('wiggle-call', 1.5, ['panel'], Contact::SignalWires, 'cool', true),
            self::look('tap-board', 1.0, ['panel'], Contact::Stick, 'cool', true),
            self::look('warm', 15.0, [], Contact::Eyes, 'cool', true),
            self::look('tester', 5.0, ['panel', 'motor-plugs'], Contact::Probes, 'tester', tools: ['tester']),
        ];
    }

    /**
     * @param list<string>          $access
     * @param array<string, string> $words
     */
    private static function volts(
        string $key,
        string $text,
        string $setUp,
        string $plus,
        string $minus,
        array $access,
        array $words = [],
        ?Trap $trap = null,
        float $minutes = 1.0,
    ): Test {
        return new Test(
            $key,
            $text,
            $setUp,
            Probe::volts($plus, $minus),
            $minutes,
            $access,
            $setUp === 'off' ? [] : ['board-waits'],
            ['meter'],
            $words,
            trap: $trap,
        );
    }

    /** @return list<Test> */
    private function supply(): array
    {
        return [
            self::volts('fed-volts', 'fed-volts', 'off', 'fed', '0', ['panel']),
            self::volts('live-volts', 'live-volts', 'off', 'live', '0', ['panel']),
            self::volts('breaker-drop', 'breaker-drop', 'cool', 'L', 'fed', ['panel']),
            self::volts('door-drop', 'door-drop', 'cool', 'fed', 'live', ['panel']),
            self::volts('plug-volts', 'plug-volts', 'cool', 'module-line', 'module-neutral', ['panel', 'motor-plugs']),
            self::volts(
                'plug-volts-off',
                'plug-volts-off',
                'line-unplugged',
                'live',
                '0',
                ['panel', 'motor-plugs'],
                trap: Trap::NoLoad,
            ),
            self::volts('secondary', 'secondary', 'off', 'R', '0', ['panel']),
            new Test('amps', 'amps', 'cool', Probe::amps('line-plug'), 1.0, ['panel'], [], ['clamp']),
        ];
    }

    /** @return list<Test> */
    private function signals(): array
    {
        $tests = [];
        foreach ($this->wiring->calls() as $call) {
            $words = ['call' => $call, 'terminal' => Wiring::terminal($call)];
            $tests[] = self::volts(
                "call-volts@$call",
                'call-volts',
                $call,
                Wiring::terminal($call),
                '0',
                ['panel'],
                $words,
            );
            if (!$this->wiring->data) {
                $tests[] = self::volts("sent-volts@$call", 'sent-volts', $call, "sent-$call", '0', ['panel'], $words);
                $tests[] = self::volts(
                    "tap-volts@$call",
                    'tap-volts',
                    $call,
                    "tap-$call",
                    'module-common',
                    ['panel', 'motor-plugs'],
                    $words,
                );
                $tests[] = self::volts(
                    "tap-ground@$call",
                    'tap-ground',
                    $call,
                    "tap-$call",
                    '0',
                    ['panel', 'motor-plugs'],
                    $words,
                );
            }
        }
        if ($this->wiring->data) {
            return [
                ...$tests,
                // The mean of a serial or chopped demand says little without a sound twin: what is felt comes first.
                self::volts('data-sent', 'data-sent', 'cool', 'sent', '0', ['panel'], minutes: self::BESIDE_A_TWIN),
                self::volts(
                    'data-volts',
                    'data-volts',
                    'cool',
                    'data',
                    'module-common',
                    ['panel', 'motor-plugs'],
                    minutes: self::BESIDE_A_TWIN,
                ),
            ];
        }

        return [
            ...$tests,
            self::volts(
                'idle-volts',
                'idle-volts',
                'signal-unplugged',
                'tap-cool',
                '0',
                ['panel', 'motor-plugs'],
                trap: Trap::Ghost,
            ),
            self::volts('other-tap', 'other-tap', 'heat', 'tap-cool', 'module-common', ['panel', 'motor-plugs']),
        ];
    }

    /** @return list<Test> */
    private function apart(): array
    {
        $ohms = static fn(string $key, string $a, string $b, float $minutes, bool $off = true): Test => new Test(
            $key,
            $key,
            'dead',
            Probe::ohms($a, $b),
            $minutes,
            ['panel', 'motor-plugs', ...$off ? ['module-off'] : []],
            [],
            ['meter'],
        );

        return [
            self::look('look-module', 1.0, ['panel', 'motor-plugs', 'module-off']),
            self::look('spin-unplugged', 0.5, ['panel', 'motor-plugs', 'module-off'], setUp: 'dead'),
            self::look('bare-spin', 1.0, ['panel', 'wheel', 'wheel-off']),
            $ohms('inrush-ohms', 'module-line', 'bus', 1.0),
            // Tells a breaker that was tripped by a shorted module from one that is at fault itself.
            $ohms('line-ohms', 'module-line', 'module-neutral', 0.7, off: false),
            $ohms('phase-ab', 'pin-a', 'pin-b', 0.7),
            $ohms('phase-bc', 'pin-b', 'pin-c', 0.7),
            $ohms('phase-ca', 'pin-c', 'pin-a', 0.7),
            $ohms('case-ohms', 'pin-a', 'case', 0.7),
        ];
    }

    /** @return list<Test> */
    private function heat(): array
    {
        return $this->rise->tests('motor', $this->wiring->heatSpeed());
    }

    /** @return list<CauseCheck> */
    public function causeChecks(): array
    {
        return [
            new CauseCheck('module', 'phase-ab', 'motor'),
            new CauseCheck('module', 'case-ohms', 'case'),
            new CauseCheck('module', 'look-module', 'water'),
            new CauseCheck('breaker', 'case-ohms', 'case'),
            new CauseCheck('motor', 'look-filter', 'air'),
            new CauseCheck('rotation', 'rotation', 'rotation'),
            new CauseCheck('filter', 'look-wheel', 'wheel'),
        ];
    }
}
