<?php

declare(strict_types=1);

namespace Ispira\Core\Families\ElectronicBlower;

use Ispira\Core\Device\Probe;
use Ispira\Core\Device\Test;
use Ispira\Core\Device\Trap;

/**
 * What feed and ground of a speed module do under a load: lamps in its place, seen and read in volts.
 */
final class LoadTests
{
    private function __construct() {}

    /** @return list<Test> */
    public static function all(): array
    {
        $tests = [
            self::lamp('probe-light', 1.0, 'lamp', 'probe-light'),
            self::lamp('lamp', 1.5, 'lamp', 'lamp'),
            self::lamp('lamp-feed', 1.5, 'lamp-feed', 'lamp'),
            self::lamp('lamp-ground', 1.5, 'lamp-ground', 'lamp'),
            new Test(
                'unplugged-volts',
                'unplugged-volts',
                'unplugged',
                Probe::volts('feed-pin', 'ground-pin'),
                0.8,
                ['module-plug'],
                ['run-on', 'terminals'],
                ['meter'],
                trap: Trap::NoLoad,
            ),
        ];
        $tests[] = new Test(
            'module-ohms',
            'module-ohms',
            'unplugged',
            Probe::ohmsOfElectronics('supply', 'module-ground'),
            1.0,
            ['module-plug'],
            TestList::PLUG,
            ['meter'],
        );
        foreach (
            [
                'lamp' => ['feed-pin', 'ground-pin'],
                'two-lamps' => ['feed-pin', 'ground-pin'],
                'lamp-feed' => ['feed-pin', '0'],
                'lamp-ground' => ['battery', 'ground-pin'],
            ]
            as $load => [$plus, $minus]
        ) {
            $tests[] = new Test(
                "$load-volts",
                "$load-volts",
                $load,
                Probe::volts($plus, $minus),
                2.0,
                ['module-plug'],
                ['run-on', 'terminals'],
                ['lamp', 'meter'],
            );
        }

        return $tests;
    }

    private static function lamp(string $key, float $minutes, string $element, string $tool): Test
    {
        return new Test(
            $key,
            $key,
            $key,
            Probe::lamp($element, 12.6),
            $minutes,
            ['module-plug'],
            ['run-on', 'terminals'],
            [$tool],
            trap: $tool === 'probe-light' ? Trap::SmallLamp : Trap::Lamp,
        );
    }
}
