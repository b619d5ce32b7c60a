<?php

declare(strict_types=1);

namespace Ispira\Core\Families\ElectronicBlower;

use Ispira\Core\Device\CauseCheck;
use Ispira\Core\Device\Contact;
use Ispira\Core\Device\Probe;
use Ispira\Core\Device\Test;
use Ispira\Core\Families\Mechanical\FusePulled;

/**
 * What is worth testing on a blower with electronic speed control.
 */
final readonly class TestList
{
    public const ACCESS_MINUTES = [
        'battery' => 0.5,
        'fuse-box' => 1.5,
        'module-plug' => 4.0,
        'motor-plug' => 3.0,
        'wheel' => 4.0,
        'controller' => 8.0,
        'diagnostic-plug' => 0.5,
    ];

    public const PLUG = ['run-on'];

    public function __construct(private Variant $variant) {}

    /** @return list<Test> */
    public function all(): array
    {
        return [
            ...$this->speeds(),
            ...$this->looks(),
            ...LoadTests::all(),
            ...$this->volts(),
            ...$this->commands(),
            ...$this->currents(),
        ];
    }

    /** @return list<CauseCheck> */
    public function causeChecks(): array
    {
        $top = $this->variant->steps;
        $checks = [];
        foreach (['module-plug', 'fuse', ...$this->variant->external ? ['module', 'motor-plug'] : []] as $part) {
            $checks[] = new CauseCheck($part, "current@$top", 'draw');
            $checks[] = new CauseCheck($part, 'spin', 'drag');
        }
        if ($this->variant->external) {
            $checks[] = new CauseCheck('module', 'air', 'cooling');
        }

        return $checks;
    }

    /** @return list<Test> */
    private function speeds(): array
    {
        $tests = [];
        foreach (['key-off' => 'key off', 'off' => '0'] as $position => $label) {
            $tests[] = new Test(
                "speed@$position",
                'speed',
                $position,
                Probe::speed('motor'),
                0.3,
                words: ['position' => $label],
                offered: false,
            );
        }
        foreach (range(1, $this->variant->steps) as $step) {
            $tests[] = new Test(
                "speed@$step",
                'speed',
                (string) $step,
                Probe::speed('motor'),
                0.3,
                words: ['position' => (string) $step],
                offered: false,
            );
        }

        return $tests;
    }

    /**
     * @param list<string> $access
     * @param list<string> $cautions
     * @param list<string> $tools
     */
    private function look(
        string $key,
        float $minutes,
        array $access,
        array $cautions,
        string $setUp = 'off',
        array $tools = [],
        Contact $contact = Contact::Eyes,
    ): Test {
        return new Test(
            $key,
            $key,
            $setUp,
            Probe::observation($key),
            $minutes,
            $access,
            $cautions,
            $tools,
            repeatable: str_starts_with($key, 'wiggle') || $key === 'warm',
            contact: $contact,
        );
    }

    /**
     * @param list<string> $access
     * @param list<string> $cautions
     */
    private function handsOn(string $key, float $minutes, array $access, array $cautions = []): Test
    {
        return $this->look($key, $minutes, $access, $cautions, 'dead', contact: Contact::Hands);
    }

    /** @param list<string> $access */
    private function moved(string $key, float $minutes, array $access): Test
    {
        $top = (string) $this->variant->steps;

        return $this->look($key, $minutes, $access, [], $top, contact: Contact::Wires);
    }

    /** @return list<Test> */
    private function looks(): array
    {
        $v = $this->variant;
        $top = (string) $v->steps;
        $tests = [
            $this->handsOn('look-module-plug', 0.7, ['module-plug'], ['terminals']),
            $this->handsOn('look-module', 1.0, ['module-plug']),
            $this->handsOn('spin', 0.7, ['wheel']),
            $this->handsOn('look-wheel', 0.7, ['wheel']),
            new Test('air', 'air', $top, Probe::observation('air'), 0.5, asked: true),
            $this->handsOn('look-water', 1.0, ['module-plug']),
            $this->look('reader', 2.0, ['diagnostic-plug'], [], 'off', ['reader']),
            FusePulled::test($top),
            $this->moved('wiggle-module-plug', 1.0, ['module-plug']),
            $this->moved('wiggle-feed', 1.5, ['fuse-box']),
            $this->moved('wiggle-ground', 1.5, ['module-plug']),
            $this->moved('wiggle-command', 1.5, ['module-plug']),
            $this->look('warm', 12.0, [], [], $top),
        ];
        if ($v->external) {
            $tests[] = $this->handsOn('look-motor-plug', 0.7, ['motor-plug']);
        }

        return $tests;
    }

    /** @param list<string> $access */
    private function measure(string $name, string $position, string $plus, string $minus, array $access): Test
    {
        $label = ['off' => '0', 'key-off' => 'key off'][$position] ?? $position;

        return new Test(
            "$name@$position",
            $name,
            $position,
            Probe::volts($plus, $minus),
            0.8,
            $access,
            self::PLUG,
            ['meter'],
            ['position' => $label],
        );
    }

    /** @return list<Test> */
    private function volts(): array
    {
        $v = $this->variant;
        $top = (string) $v->steps;
        $middle = (string) intdiv($v->steps + 1, 2);
        $tests = [
            $this->measure('battery-volts', $top, 'battery', '0', ['battery']),
            $this->measure('fuse-in', $top, 'fuse-in', '0', ['fuse-box']),
            $this->measure('fuse-out', $top, 'fused', '0', ['fuse-box']),
            $this->measure('feed-volts', $top, 'feed-pin', '0', ['module-plug']),
            $this->measure('ground-drop', $top, 'ground-pin', '0', ['module-plug']),
            $this->measure('plug-drop', $top, 'feed-pin', 'supply', ['module-plug']),
        ];
        if ($v->external) {
            foreach (['key-off', '1', $middle, $top] as $position) {
                $tests[] = $this->measure('motor-volts', $position, 'motor-plus', 'motor-minus', ['motor-plug']);
            }
            $tests[] = $this->measure('motor-plug-drop', $top, 'out', 'motor-plus', ['motor-plug']);
            $tests[] = new Test(
                'motor-ohms',
                'motor-ohms',
                'motor-out',
                Probe::ohms('motor-plus', 'motor-minus'),
                1.0,
                ['motor-plug'],
                self::PLUG,
                ['meter'],
            );
            $tests[] = new Test(
                'speed@direct',
                'direct',
                'direct',
                Probe::speed('motor'),
                3.0,
                ['motor-plug', 'battery'],
                ['jumper'],
                ['jumper'],
            );
            $tests[] = new Test(
                'amps@direct',
                'direct-amps',
                'direct',
                Probe::amps('motor'),
                3.0,
                ['motor-plug', 'battery'],
                ['jumper'],
                ['jumper', 'clamp'],
            );
        }

        return $tests;
    }

    /** @return list<Test> */
    private function commands(): array
    {
        $v = $this->variant;
        $tests = [];
        $positions = ['key-off', 'off', ...array_map(strval(...), range(1, $v->steps))];
        foreach ($positions as $position) {
            $label = ['off' => '0', 'key-off' => 'key off'][$position] ?? $position;
            $tests[] = $v->pulse
                ? new Test(
                    "command@$position",
                    'command-duty',
                    $position,
                    Probe::duty('command-pin', '0', Variant::LEVEL, 'level'),
                    0.8,
                    ['module-plug'],
                    ['no-lamp'],
                    ['scope'],
                    ['position' => $label],
                )
                : new Test(
                    "command@$position",
                    'command-volts',
                    $position,
                    Probe::volts('command-pin', '0'),
                    0.8,
                    ['module-plug'],
                    ['no-lamp'],
                    ['meter'],
                    ['position' => $label],
                );
        }
        $tests[] = new Test(
            'sent',
            'sent',
            (string) intdiv($v->steps + 1, 2),
            Probe::volts('sent', '0'),
            1.0,
            ['controller'],
            ['no-lamp'],
            ['meter'],
            ['position' => (string) intdiv($v->steps + 1, 2)],
        );
        $tests[] = new Test(
            'sent-alone',
            'sent-alone',
            'wire-off',
            Probe::volts('sent', '0'),
            1.5,
            ['controller'],
            ['no-lamp'],
            ['meter'],
            ['position' => (string) intdiv($v->steps + 1, 2)],
        );
        $tests[] = $this->look('steps', 2.5, ['module-plug'], ['no-lamp'], 'off', [$v->pulse ? 'scope' : 'meter']);
        $tests[] = new Test(
            'command-off',
            'command-off',
            'command-off',
            Probe::speed('motor'),
            1.0,
            ['module-plug'],
            self::PLUG,
            [],
            ['position' => (string) $v->steps],
        );
        foreach (['half', 'full'] as $share) {
            $tests[] = new Test(
                "inject-$share",
                'inject',
                "inject-$share",
                Probe::speed('motor'),
                3.0,
                ['module-plug'],
                self::PLUG,
                ['generator'],
                ['share' => $share === 'half' ? '50 %' : ($this->variant->activeLow ? '10 %' : '90 %')],
            );
        }

        return $tests;
    }

    /** @return list<Test> */
    private function currents(): array
    {
        $tests = [];
        foreach (['key-off', '1', (string) $this->variant->steps] as $position) {
            $tests[] = new Test(
                "current@$position",
                $position === 'key-off' ? 'current-off' : 'current',
                $position,
                Probe::amps('feed'),
                1.0,
                ['fuse-box'],
                [],
                ['clamp'],
                ['position' => $position],
            );
        }

        return $tests;
    }
}
