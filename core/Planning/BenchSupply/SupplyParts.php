<?php

declare(strict_types=1);

namespace Ispira\Core\Planning\BenchSupply;

use Ispira\Core\Device\Texts;
use Ispira\Core\Planning\PlanTable;

/**
 * What has to be bought.
 */
final readonly class SupplyParts
{
    public function __construct(private SupplyDesign $design, private Texts $texts) {}

    public function table(): PlanTable
    {
        $d = $this->design;
        $n = static fn(string $key, int $decimals = 0): string => number_format($d->of($key), $decimals);
        $pieces = (int) $d->of('bleederPieces');
        $rows = [
            ['fuse-mains', $n('fuse', 2) . ' A'],
            ['surge', $n('surge') . ' V AC'],
            ['inrush', '10 Ω'],
            ['bridge', '600 V, 2 A'],
            ['bus-capacitor', $n('busMicrofarads') . ' µF, ' . $n('busRating') . ' V'],
            [
                'bleeder',
                $pieces .
                ' × ' .
                number_format($d->of('bleeder') / $pieces, 1) .
                ' kΩ, ' .
                $n('bleederWatts', 1) .
                ' W, ' .
                $n('bleederVolts') .
                ' V',
            ],
            ['fuse-bus', $n('fuse', 2) . ' A DC, ' . $n('busRating') . ' V'],
            [
                'transformer',
                $n('secondary', 1) .
                ' V, ' .
                number_format(max(2.0, 1.6 * $d->of('secondary') * $d->logicAmps()), 1) .
                ' VA',
            ],
            ['bridge', '100 V, 1 A'],
            [
                'reservoir',
                $n('reservoir') . ' µF, ' . number_format(ceil((1.2 * $d->highLogic()->peak()) / 5.0) * 5.0) . ' V',
            ],
            ['regulator', '15 V, ' . $n('regulatorMost') . ' V'],
            ['fusible', '1 Ω'],
            $d->trimmed ? ['trimmer', $n('fixed', 1) . ' kΩ'] : ['fixed', $n('fixed', 1) . ' kΩ, 5 %'],
            ['pot', $n('pot', 1) . ' kΩ'],
            ...$d->of('series') > 0.0 ? [['series', $n('series', 1) . ' kΩ, 5 %']] : [],
            ['lamp', $n('lampOhms', 1) . ' kΩ'],
            ['meter', ''],
            ['box', ''],
        ];

        return new PlanTable(
            $this->texts->get('parts.title'),
            [$this->texts->get('parts.part'), $this->texts->get('parts.value')],
            array_map(fn(array $row): array => [$this->texts->get("parts.$row[0]"), $row[1]], $rows),
        );
    }
}
