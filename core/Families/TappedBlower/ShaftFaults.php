<?php

declare(strict_types=1);

namespace Ispira\Core\Families\TappedBlower;

use Ispira\Core\Device\Adjustment;
use Ispira\Core\Device\Decoupling;
use Ispira\Core\Device\Fault;
use Ispira\Core\Device\Severity;
use Ispira\Core\Families\Furnace\HeatRise;
use Ispira\Core\Families\Mechanical\Mechanical;

/**
 * What can fail in a tapped blower from the motor's bearings to the air: what turns badly, or moves too little.
 */
final readonly class ShaftFaults
{
    /** @return list<Fault> */
    public static function all(): array
    {
        $spin = static fn(float $free, float $gritty, float $locked): array => [
            'spin' => ['free' => $free, 'gritty' => $gritty, 'locked' => $locked],
        ];

        return [
            new Fault(
                'bearing-dry',
                'bearing-dry',
                'motor',
                0.07,
                Severity::adding('main.frictionTorque', 0.08, 0.9, 5),
                $spin(0.08, 0.88, 0.04) + ['bare-spin' => ['free' => 0.06, 'gritty' => 0.94]] +
                    Mechanical::noise(['squeal' => 0.6, 'hum' => 0.1]),
                element: 'main',
            ),
            new Fault(
                'bearing-seized',
                'bearing-seized',
                'motor',
                0.04,
                Severity::only(Adjustment::set('main.frictionTorque', 50.0)),
                $spin(0.01, 0.05, 0.94) + ['bare-spin' => ['free' => 0.02, 'gritty' => 0.98]] +
                    Mechanical::noise(['hum' => 0.85]),
                element: 'main',
            ),
            new Fault(
                'wheel-fouled',
                'wheel-fouled',
                'wheel',
                0.07,
                Severity::joined(
                    Severity::scaling('main.fanTorque', 0.45, 0.9, 3),
                    Severity::scaling('main.air', 0.4, 0.88, 3),
                ),
                ['look-wheel' => ['clean' => 0.04, 'debris' => 0.02, 'clogged' => 0.94]],
                element: 'main',
            ),
            new Fault(
                'filter-clogged',
                'filter-clogged',
                'filter',
                0.09,
                Severity::joined(
                    Severity::scaling('main.fanTorque', 0.6, 0.95, 3),
                    Severity::scaling('main.air', 0.35, 0.88, 3),
                ),
                ['look-filter' => ['clean' => 0.03, 'clogged' => 0.97]] + HeatRise::throttled(),
                element: 'main',
            ),
            new Fault(
                'wheel-slips',
                'wheel-slips',
                'mounting',
                0.03,
                Severity::only(Adjustment::set('main.fanTorque', 0.05), Adjustment::set('main.air', 0.05)),
                Mechanical::noise(['rattle' => 0.5]) + ['set-screw' => ['tight' => 0.05, 'loose' => 0.95]],
                element: 'main',
                decouples: Decoupling::BehindTheDrive,
            ),
        ];
    }
}
