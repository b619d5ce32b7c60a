<?php

declare(strict_types=1);

namespace Ispira\Core\Families\SteppedBlower;

use Ispira\Core\Device\Probe;
use Ispira\Core\Device\Test;

/**
 * Ohms of a stepped blower, with power off and something unplugged.
 */
final readonly class ApartTests
{
    public function __construct(private Variant $variant) {}

    /** @return list<Test> */
    public function unplugged(): array
    {
        $v = $this->variant;
        $tests = [
            new Test(
                'common-ohms',
                $v->thermalFuse ? 'thermal-fuse-ohms' : 'common-ohms',
                'pack-out',
                Probe::ohms('pack-end', 'pack-common'),
                1.0,
                ['pack'],
                ['pack-hot'],
                ['meter'],
            ),
        ];
        $tests[] = new Test(
            'pack-plug-ohms',
            'pack-plug-ohms',
            'dead',
            Probe::ohms(TestList::packSide($this->variant), 'drive'),
            1.0,
            ['pack-plug'],
            ['pack-hot'],
            ['meter'],
        );
        $tests[] = new Test(
            'taps-body-ohms',
            'taps-body-ohms',
            'taps-joined',
            Probe::ohms('wire-1', '0'),
            1.5,
            ['pack-plug'],
            [],
            ['meter'],
        );
        foreach ($v->lowPositions() as $k) {
            $tests[] = new Test(
                "pack-ohms-$k",
                'pack-ohms',
                'pack-out',
                Probe::ohms("pack-$k", 'pack-common'),
                1.0,
                ['pack'],
                ['pack-hot'],
                ['meter'],
                ['k' => (string) $k],
            );
            if ($v->chain && $k + 1 < $v->top) {
                $tests[] = new Test(
                    "pack-pair-$k",
                    'pack-pair',
                    'pack-out',
                    Probe::ohms("pack-$k", 'pack-' . ($k + 1)),
                    1.0,
                    ['pack'],
                    ['pack-hot'],
                    ['meter'],
                    ['k' => (string) $k, 'next' => (string) ($k + 1)],
                );
            }
        }
        if (!$v->electronic) {
            foreach (range(1, $v->top) as $position) {
                $tests[] = new Test(
                    "contact-ohms@$position",
                    'contact-ohms',
                    "selector-out-$position",
                    Probe::ohms('wiper', "tap-$position"),
                    1.0,
                    ['selector', 'selector-unplugged'],
                    [],
                    ['meter'],
                    ['position' => (string) $position],
                );
            }
            $tests[] = new Test(
                'contacts-off-ohms',
                'contacts-off-ohms',
                'selector-joined',
                Probe::ohms('wiper', 'tap-1'),
                1.5,
                ['selector', 'selector-unplugged'],
                [],
                ['meter'],
            );
        }

        return [...$tests, ...$this->neighbours()];
    }

    /** @return list<Test> whether a wire or an output touches the next one, each by itself */
    private function neighbours(): array
    {
        $v = $this->variant;
        $tests = [];
        foreach ($v->lowPositions() as $k) {
            $between = ['k' => (string) $k, 'next' => (string) ($k + 1)];
            if (!$v->packInHead) {
                $tests[] = new Test(
                    "wires-ohms-$k",
                    'wires-ohms',
                    'wires-alone',
                    Probe::ohms("wire-$k", 'wire-' . ($k + 1)),
                    1.0,
                    ['pack-plug', 'selector', 'selector-unplugged'],
                    [],
                    ['meter'],
                    $between,
                );
            }
            if (!$v->electronic) {
                $tests[] = new Test(
                    "contacts-ohms-$k",
                    'contacts-ohms',
                    'selector-out-off',
                    Probe::ohms("tap-$k", 'tap-' . ($k + 1)),
                    1.0,
                    ['selector', 'selector-unplugged'],
                    [],
                    ['meter'],
                    $between,
                );
            }
        }

        return $tests;
    }
}
