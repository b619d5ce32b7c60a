<?php

declare(strict_types=1);

namespace Ispira\Core\Planning\BenchSupply;

use Ispira\Core\Circuit\Element;
use Ispira\Core\Circuit\Netlist;
use Ispira\Core\Device\Drawing\Sheet;
use Ispira\Core\Device\Drawing\SheetBlock;
use Ispira\Core\Device\Drawing\SheetElement;

/**
 * The circuit of the supply: mains and bus on top, logic supply below, one common, five wires at the right.
 */
final class SupplyDrawing
{
    private function __construct() {}

    /** What the drawing connects; rectifiers stand as sources of their own direct voltage. */
    public static function netlist(SupplyDesign $design): Netlist
    {
        return new Netlist([
            Element::source('mains', 'L', 'N', $design->nominalBus()->peak(), 1.0),
            Element::resistor('fuse', 'L', 'fused', 0.1),
            Element::resistor('surge', 'fused', 'N', 1e9),
            Element::resistor('inrush', 'fused', 'limited', 10.0),
            Element::resistor('bridge', 'limited', 'bus', 1.0),
            Element::resistor('return', 'N', '0', 1.0),
            Element::resistor('bus-capacitor', 'bus', '0', 1e9),
            Element::resistor('bleeder', 'bus', '0', max(1.0, $design->bleederOhms())),
            Element::resistor('bus-fuse', 'bus', 'vm', 0.1),
            Element::source('secondary', 'raw', '0', $design->lowLogic()->peak(), 1.0),
            Element::resistor('reservoir', 'raw', '0', 1e9),
            Element::resistor('regulator', 'raw', 'vcc', 1.0),
            Element::resistor('fixed', 'vcc', 'pot-top', max(1.0, $design->of('fixed') * 1e3)),
            Element::resistor('pot', 'pot-top', 'wiper', 0.5e3 * $design->of('pot')),
            Element::resistor('pot-lower', 'wiper', '0', 0.5e3 * $design->of('pot')),
            Element::resistor('series', 'wiper', 'vsp', max(1.0, $design->of('series') * 1e3)),
            Element::resistor('lamp', 'vcc', 'fg', $design->of('lampOhms') * 1e3),
        ]);
    }

    public static function sheet(SupplyDesign $design): Sheet
    {
        $bottom = 440.0;

        return new Sheet(
            680.0,
            470.0,
            [
                'L' => [50.0, 60.0],
                'N' => [260.0, 130.0],
                'fused' => [150.0, 60.0],
                'limited' => [260.0, 60.0],
                'bus' => [320.0, 60.0],
                '0' => [340.0, $bottom],
                'vm' => [600.0, 60.0],
                'raw' => [120.0, 250.0],
                'vcc' => [340.0, 250.0],
                'pot-top' => [470.0, 250.0],
                'wiper' => [470.0, 320.0],
                'vsp' => [620.0, 320.0],
                'fg' => [600.0, 200.0],
            ],
            [
                'mains' => new SheetElement(
                    'mains',
                    'mains',
                    [[50.0, 165.0], [225.0, 165.0], [225.0, 130.0]],
                    side: 'right',
                ),
                'fuse' => new SheetElement('fuse', 'fuse'),
                'surge' => new SheetElement('resistor', 'surge', side: 'right', toAt: [150.0, 165.0]),
                'inrush' => new SheetElement('resistor', 'inrush'),
                'bus-capacitor' => new SheetElement(
                    'capacitor',
                    'bulk',
                    [[370.0, 60.0]],
                    1,
                    side: 'left',
                    groundAt: [370.0, 150.0],
                ),
                'bleeder' => new SheetElement(
                    'resistor',
                    'bleeder',
                    [[430.0, 60.0]],
                    1,
                    side: 'right',
                    groundAt: [430.0, 150.0],
                ),
                'bus-fuse' => new SheetElement('fuse', 'Vm', [[430.0, 60.0]], 1),
                'secondary' => new SheetElement('transformer', '', side: 'left', groundAt: [120.0, 380.0]),
                'reservoir' => new SheetElement(
                    'capacitor',
                    'reservoir',
                    [[200.0, 250.0]],
                    1,
                    side: 'right',
                    groundAt: [200.0, 380.0],
                ),
                'regulator' => new SheetElement('module', '15 V', [[200.0, 250.0]], 1, side: 'below'),
                'fixed' => new SheetElement('resistor', $design->trimmed ? 'trimmer' : 'fixed'),
                'pot' => new SheetElement('resistor', 'potentiometer', side: 'left'),
                'pot-lower' => new SheetElement('resistor', '', groundAt: [470.0, 395.0]),
                'series' => new SheetElement(
                    $design->of('series') > 0.0 ? 'resistor' : 'wire',
                    $design->of('series') > 0.0 ? 'series, to Vsp' : 'Vsp',
                ),
                'lamp' => new SheetElement('resistor', 'FG lamp', [[340.0, 200.0]], 1),
            ],
            ['bridge' => new SheetBlock('bridge', 260.0, 40.0, 60.0, 110.0, ['bridge', 'return'])],
        );
    }
}
