<?php

declare(strict_types=1);

namespace Ispira\Core\Families\SteppedBlower;

use Ispira\Core\Device\CauseCheck;
use Ispira\Core\Device\Contact;
use Ispira\Core\Device\Position;
use Ispira\Core\Device\Probe;
use Ispira\Core\Device\Test;
use Ispira\Core\Families\Mechanical\FusePulled;

/**
 * What is worth testing on a stepped-resistor blower, with ordinary minutes, access and cautions.
 */
final readonly class TestList
{
    /** Ordinary minutes to reach a place; they count once a job. */
    public const ACCESS_MINUTES = [
        'battery' => 0.5,
        'fuse-box' => 1.5,
        'motor-plug' => 3.0,
        'pack-plug' => 3.0,
        'pack' => 5.0,
        'selector' => 8.0,
        'selector-unplugged' => 2.0,
        'wheel' => 4.0,
        'wheel-off' => 10.0,
        'high-relay' => 2.0,
        'diagnostic-plug' => 0.5,
    ];

    private const METER = ['meter'];

    public function __construct(private Variant $variant) {}

    /**
     * @param list<Position> $positions
     *
     * @return list<Test>
     */
    public function all(array $positions): array
    {
        $tests = [];
        foreach ($positions as $p) {
            $tests[] = new Test(
                "speed@$p->key",
                'speed',
                $p->key,
                Probe::speed('motor'),
                0.3,
                words: ['position' => $p->label],
                offered: false,
            );
        }

        return [
            ...$tests,
            ...$this->looks(),
            ...$this->voltsPerPosition(),
            ...$this->feedAndGround(),
            ...$this->currents(),
            ...$this->loaded(),
            ...(new ApartTests($this->variant))->unplugged(),
            ...$this->highRelay(),
        ];
    }

    /** @return list<CauseCheck> */
    public function causeChecks(): array
    {
        $v = $this->variant;
        $checks = [];
        foreach ([$v->packPart(), 'pack-plug', 'motor-plug'] as $part) {
            $checks[] = new CauseCheck($part, "current@$v->top", 'draw');
            $checks[] = new CauseCheck($part, 'spin', 'drag');
            $checks[] = new CauseCheck($part, 'look-wheel', 'airflow');
        }
        $checks[] = new CauseCheck($v->packPart(), 'look-pack-plug', 'pins');
        foreach (['fuse', 'relay'] as $part) {
            $checks[] = new CauseCheck($part, 'spin', 'spin');
        }
        $checks[] = new CauseCheck('fuse', 'taps-body-ohms', 'chafed');

        return $checks;
    }

    /** @return list<Test> */
    private function looks(): array
    {
        $v = $this->variant;
        $top = (string) $v->top;
        $tests = [
            $this->handsOn('look-pack', 1.0, ['pack'], ['pack-hot', 'sheet-metal']),
            $this->handsOn('look-pack-plug', 0.7, ['pack-plug'], ['pack-hot']),
            $this->handsOn('look-motor-plug', 0.7, ['motor-plug']),
            $this->handsOn('spin', 0.7, ['wheel']),
            $this->handsOn('spin-bare', 0.7, ['wheel', 'wheel-off'], ['sheet-metal']),
            $this->handsOn('look-wheel', 0.7, ['wheel']),
            $this->look('air', $top, 0.5, [], asked: true),
            $this->handsOn('look-water', 1.0, ['pack'], ['sheet-metal']),
            $this->handsOn('motor-warmth', 7.0, ['wheel'], ['motor-hot']),
            $this->look('neighbours', 'off', 1.0, []),
            $this->moved('wiggle-pack-plug', (string) ($v->top - 1), 1.0, ['pack-plug'], ['pack-glows']),
            $this->moved('wiggle-motor-plug', $top, 1.0, ['motor-plug']),
            $this->moved('wiggle-pack', (string) ($v->top - 1), 1.0, ['pack'], ['pack-glows']),
            $this->moved('wiggle-wires', (string) ($v->top - 1), 1.5, ['pack-plug'], ['pack-glows']),
            $this->moved('wiggle-relay', $top, 0.7, ['fuse-box']),
            $this->moved('wiggle-feed', $top, 1.5, ['fuse-box']),
            $this->moved('wiggle-ground', $top, 1.5, [$v->feedSide ? 'motor-plug' : 'selector']),
            $this->moved('knock', $top, 0.7, ['wheel']),
        ];
        $tests[] = FusePulled::test((string) ($v->top - 1));
        $tests[] = $v->electronic
            ? new Test(
                'reader',
                'reader',
                'off',
                Probe::observation('reader'),
                2.0,
                ['diagnostic-plug'],
                [],
                ['reader'],
            )
            : $this->moved('wiggle-selector', $top, 0.8, []);
        if ($v->modeContact()) {
            $tests[] = $this->moved('wiggle-mode', $top, 0.8, []);
        }
        if ($v->highRelay()) {
            $tests[] = $this->moved('wiggle-high', $top, 0.8, ['high-relay']);
            $tests[] = $this->moved('wiggle-high-wire', $top, 1.0, ['high-relay']);
        }

        return $tests;
    }

    /**
     * @param list<string> $access
     * @param list<string> $cautions
     */
    private function look(
        string $key,
        string $setUp,
        float $minutes,
        array $access,
        array $cautions = [],
        Contact $contact = Contact::Eyes,
        bool $asked = false,
    ): Test {
        $position = is_numeric($setUp) ? $setUp : (string) $this->variant->top;

        return new Test(
            $key,
            $key,
            $setUp,
            Probe::observation($key),
            $minutes,
            $access,
            $cautions,
            words: ['position' => $position],
            repeatable: \in_array($key, FaultList::WIGGLES, true),
            asked: $asked,
            contact: $contact,
        );
    }

    /**
     * @param list<string> $access
     * @param list<string> $cautions
     */
    private function handsOn(string $key, float $minutes, array $access, array $cautions = []): Test
    {
        return $this->look($key, 'dead', $minutes, $access, $cautions, Contact::Hands);
    }

    /**
     * @param list<string> $access
     * @param list<string> $cautions
     */
    private function moved(string $key, string $position, float $minutes, array $access, array $cautions = []): Test
    {
        return $this->look($key, $position, $minutes, $access, $cautions, Contact::Wires);
    }

    /** @return list<Test> */
    private function voltsPerPosition(): array
    {
        $v = $this->variant;
        $tests = [];
        foreach (['off', 'key-off'] as $position) {
            $tests[] = $this->volts('motor-volts', $position, $v->plusNode(), $v->minusNode(), ['motor-plug']);
        }
        foreach (range(1, $v->top) as $position) {
            $tests[] = $this->volts('motor-volts', (string) $position, $v->plusNode(), $v->minusNode(), ['motor-plug']);
            $tests[] = $this->volts('selector-out', (string) $position, "tap-$position", '0', ['selector']);
        }
        foreach ($v->lowPositions() as $position) {
            $tests[] = $this->volts('tap-volts', (string) $position, "pack-$position", '0', ['pack-plug']);
            $tests[] = $this->volts('common-volts', (string) $position, 'pack-common', '0', ['pack-plug']);
        }

        return $tests;
    }

    /** @return list<Test> */
    private function feedAndGround(): array
    {
        $v = $this->variant;
        $top = (string) $v->top;
        $low = (string) ($v->top - 1);
        $tests = [
            $this->volts('battery-volts', $top, 'battery', '0', ['battery']),
            $this->volts('fuse-in', $top, 'fuse-in', '0', ['fuse-box']),
            $this->volts('fuse-out', $top, 'fuse-out', '0', ['fuse-box']),
            $this->volts('relay-out', $top, $v->mode === 'feed' ? 'relay-out' : 'fed', '0', ['fuse-box']),
            $this->volts('selector-feed', $top, $v->selectorNode(), '0', ['selector']),
            $this->volts('plus-volts', $top, $v->plusNode(), '0', ['motor-plug']),
            $this->volts('minus-volts', $top, $v->minusNode(), '0', ['motor-plug']),
            $this->volts('feed-drop', $top, 'battery', 'fed', [$v->feedSide ? 'selector' : 'motor-plug', 'battery']),
            $this->volts('ground-drop', $top, 'return', '0', [$v->feedSide ? 'motor-plug' : 'selector']),
            $this->volts('motor-plug-drop', $top, $v->plusNode(), 'motor-plus', ['motor-plug']),
            $this->volts(
                'pack-plug-drop',
                $low,
                $v->feedSide ? self::packSide($this->variant) : 'drive',
                $v->feedSide ? 'drive' : self::packSide($this->variant),
                ['pack-plug'],
            ),
        ];
        if ($v->modeContact()) {
            $tests[] = new Test(
                'speed@other-mode',
                'speed-other-mode',
                'other-mode',
                Probe::speed('motor'),
                0.7,
                words: ['position' => $top],
            );
            $tests[] = $this->volts('mode-drop', $top, $v->modeNodes()[0], $v->modeNodes()[1], ['selector']);
        }

        return $tests;
    }

    public static function packSide(Variant $variant): string
    {
        return $variant->high === 'changeover' ? 'pack-out' : 'pack-common';
    }

    /** @return list<Test> */
    private function currents(): array
    {
        $tests = [];
        foreach ([1, $this->variant->top] as $position) {
            $tests[] = new Test(
                "current@$position",
                'current',
                (string) $position,
                Probe::amps('motor'),
                1.0,
                ['motor-plug'],
                [],
                ['clamp'],
                ['position' => (string) $position],
            );
        }
        $tests[] = new Test(
            'current@direct',
            'current-direct',
            'direct',
            Probe::amps('motor'),
            3.0,
            ['motor-plug', 'battery'],
            ['jumper'],
            ['clamp', 'jumper'],
        );
        $tests[] = new Test(
            'speed@direct',
            'speed-direct',
            'direct',
            Probe::speed('motor'),
            3.0,
            ['motor-plug', 'battery'],
            ['jumper'],
            ['jumper'],
            ['position' => (string) $this->variant->top],
        );

        return $tests;
    }

    /** @return list<Test> */
    private function loaded(): array
    {
        $v = $this->variant;

        return array_map(
            fn(int $position): Test => new Test(
                "lamp-volts@$position",
                'lamp-volts',
                "lamp-$position",
                Probe::volts($v->plusNode(), $v->minusNode()),
                2.0,
                ['motor-plug'],
                [],
                ['meter', 'lamp'],
                ['position' => (string) $position],
            ),
            [$v->top - 1, $v->top],
        );
    }

    /** @return list<Test> */
    private function highRelay(): array
    {
        $v = $this->variant;
        if (!$v->highRelay()) {
            return [];
        }
        $top = (string) $v->top;
        $coil = $v->feedSide ? ["wire-$top", '0'] : ['fed', "wire-$top"];
        $tests = [
            $this->volts('high-coil-volts', $top, $coil[0], $coil[1], ['high-relay']),
            $this->volts('high-supply', $top, 'high-fused', '0', ['high-relay']),
            $this->volts('high-out', $top, 'high-out', '0', ['high-relay']),
        ];
        if ($v->feedSide) {
            $tests[] = $this->volts('high-fuse-in', $top, 'high-in', '0', ['fuse-box']);
        }
        if ($v->high === 'changeover') {
            $low = (string) ($v->top - 1);
            $tests[] = $this->volts(
                'rest-drop',
                $low,
                $v->feedSide ? 'pack-common' : 'pack-out',
                $v->feedSide ? 'pack-out' : 'pack-common',
                ['high-relay'],
            );
        }

        return $tests;
    }

    /** @param list<string> $access */
    private function volts(string $name, string $position, string $plus, string $minus, array $access): Test
    {
        $words = [
            'position' => match ($position) {
                'off' => '0',
                'key-off' => 'key off',
                default => $position,
            },
        ];
        $cautions = \in_array('pack-plug', $access, true) ? ['pack-glows'] : [];

        return new Test(
            "$name@$position",
            $name,
            $position,
            Probe::volts($plus, $minus),
            0.8,
            $access,
            $cautions,
            self::METER,
            $words,
        );
    }
}
