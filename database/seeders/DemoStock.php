<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\Models\User;
use App\Models\Workshop;
use Illuminate\Support\Str;
use Ispira\Core\Planning\BenchSupply\BenchRun as Run;
use Ispira\Core\Planning\BenchSupply\BenchRunVerdict;

/**
 * What lies on the shelf and on the bench of the workshop of Halvmark: what it buys, and two motors that it ran.
 */
final class DemoStock
{
    /** What the workshop buys. */
    public static function catalogue(Workshop $workshop): void
    {
        foreach (
            [
                [
                    'OV-0087',
                    'Resistor pack (coils)',
                    'pack',
                    'original',
                    ['stepped-blower:pack'],
                    ['OV-0086'],
                    40.0,
                    4.0,
                    62.0,
                    1,
                    24,
                    10.0,
                    0.03,
                    6.0,
                    [
                        'depth' => '41',
                        'amps' => '20',
                        'speeds' => '4',
                        'pins' => '5',
                        'connectorSex' => 'pins',
                        'mount' => 'two ears, M5',
                        'cooling' => 'coils to the duct',
                    ],
                ],
                [
                    'UV-4C',
                    'Resistor pack, copy',
                    'pack',
                    'aftermarket',
                    ['stepped-blower:pack'],
                    [],
                    19.0,
                    3.0,
                    38.0,
                    0,
                    12,
                    5.0,
                    0.1,
                    3.0,
                    [
                        'depth' => '48',
                        'amps' => '16',
                        'speeds' => '4',
                        'pins' => '5',
                        'connectorSex' => 'sockets',
                        'mount' => 'two ears, M5',
                    ],
                ],
                [
                    'TN-7130',
                    'Speed module, two-wire command',
                    'module',
                    'original',
                    ['electronic-blower:module'],
                    [],
                    71.0,
                    4.0,
                    110.0,
                    3,
                    24,
                    10.0,
                    0.03,
                    11.0,
                    [
                        'voltage' => '12',
                        'control' => 'pwm-high',
                        'controlHertz' => '100',
                        'amps' => '30',
                        'depth' => '52',
                        'pins' => '5',
                        'connectorSex' => 'pins',
                        'cooling' => 'fins to the duct',
                        'software' => 'none',
                    ],
                ],
                [
                    'KD-M12',
                    'Blower motor, four taps',
                    'motor',
                    'original',
                    ['tapped-blower:motor'],
                    ['KD-M11'],
                    238.0,
                    18.0,
                    340.0,
                    6,
                    24,
                    12.0,
                    0.03,
                    36.0,
                    [
                        'voltage' => '230',
                        'supplyType' => 'ac50',
                        'control' => 'line-taps',
                        'rotation' => 'reversible',
                        'depth' => '128',
                        'bodyDiameter' => '140',
                        'shaftDiameter' => '12.7',
                        'shaftLength' => '115',
                        'shaftForm' => 'flat',
                        'power' => '370',
                        'amps' => '2.7',
                        'speeds' => '4',
                        'microfarads' => '9',
                        'thermalClass' => 'b',
                        'mount' => 'belly band',
                    ],
                ],
                [
                    'SD-F8',
                    'Fan motor, five wires',
                    'motor',
                    'original',
                    ['five-wire-fan:motor'],
                    [],
                    122.0,
                    9.0,
                    190.0,
                    null,
                    24,
                    10.0,
                    0.03,
                    20.0,
                    [
                        'voltage' => '310',
                        'supplyType' => 'rectified',
                        'control' => 'analogue',
                        'rotation' => 'ccw',
                        'depth' => '92',
                        'shaftDiameter' => '8',
                        'pins' => '5',
                        'connectorSex' => 'pins',
                        'pinFunctions' => '1 Vm, 4 GND, 5 Vcc, 6 Vsp, 7 FG',
                    ],
                ],
            ]
            as [
                $number,
                $name,
                $type,
                $make,
                $fits,
                $supersedes,
                $price,
                $freight,
                $selling,
                $leadDays,
                $warranty,
                $life,
                $comeBack,
                $lost,
                $attributes,
            ]
        ) {
            $workshop->parts()->create([
                'number' => $number,
                'part' => [
                    'number' => $number,
                    'name' => $name,
                    'type' => $type,
                    'make' => $make,
                    'fits' => $fits,
                    'supersedes' => $supersedes,
                    'price' => $price,
                    'freight' => $freight,
                    'selling' => $selling,
                    'leadDays' => $leadDays,
                    'warrantyMonths' => $warranty,
                    'lifeYears' => $life,
                    'comeBack' => $comeBack,
                    'lost' => $lost,
                    'attributes' => $attributes,
                ],
            ]);
        }
    }

    /** A good motor, and one that is slow and rough, on the bench supply. */
    public static function benchRuns(Workshop $workshop, User $technician): void
    {
        foreach (
            [
                [
                    40,
                    2.1,
                    [[3.0, 342.0], [4.0, 598.0], [5.0, 842.0], [5.8, 1036.0]],
                    true,
                    0.06,
                    'New one, before it was fitted.',
                ],
                [
                    2,
                    2.7,
                    [[3.0, 176.0], [4.0, 431.0], [5.0, 655.0]],
                    false,
                    0.11,
                    'Harbour office, grit in both bearings.',
                ],
            ]
            as [$daysAgo, $starts, $points, $smooth, $amps, $note]
        ) {
            $run = new Run($starts, $points, true, $smooth, false);
            $reference = $workshop->benchRuns()->first()?->run();
            $verdict = BenchRunVerdict::of($run, $reference);
            $workshop->benchRuns()->create([
                'id' => (string) Str::ulid(),
                'user_id' => $technician->id,
                'model' => 'SD-F8',
                'pulses' => 8,
                'starts_at' => $starts,
                'points' => $points,
                'steady' => true,
                'smooth' => $smooth,
                'loaded' => false,
                'amps' => $amps,
                'note' => $note,
                'against' => $verdict->against,
                'compared' => $verdict->compared,
                'ran_at' => now()->subDays($daysAgo),
            ]);
        }
    }
}
