<?php

declare(strict_types=1);

namespace Ispira\Core\Families\FiveWireFan;

use Ispira\Core\Device\Drawing\Sheet;
use Ispira\Core\Device\Drawing\SheetElement;

/**
 * Board at the left, five wires across, motor with its electronics at the right.
 */
final class Drawing
{
    private function __construct() {}

    public static function sheet(): Sheet
    {
        $bottom = 440.0;

        return new Sheet(
            640.0,
            470.0,
            [
                '0' => [60.0, $bottom],
                'bus' => [60.0, 70.0],
                'board-vm' => [180.0, 70.0],
                'vm' => [310.0, 70.0],
                'guarded' => [380.0, 70.0],
                'allowed' => [450.0, 70.0],
                'inside' => [520.0, 70.0],
                'out' => [600.0, 130.0],
                'gnd' => [520.0, 390.0],
                'logic' => [100.0, 160.0],
                'board-vcc' => [180.0, 160.0],
                'vcc' => [310.0, 160.0],
                'command' => [140.0, 250.0],
                'board-vsp' => [180.0, 250.0],
                'vsp' => [310.0, 250.0],
                'vsp-in' => [350.0, 250.0],
                'pull-up' => [100.0, 350.0],
                'board-fg' => [180.0, 350.0],
                'fg' => [310.0, 350.0],
                'fg-inside' => [400.0, 350.0],
            ],
            [
                'bus' => new SheetElement('battery', 'bus', side: 'right', groundAt: [60.0, $bottom]),
                'bus-fuse' => new SheetElement('fuse', 'fuse'),
                'logic' => new SheetElement('battery', '', side: 'right', groundAt: [100.0, 200.0]),
                'logic-out' => new SheetElement('wire', 'logic'),
                'command' => new SheetElement('signal', 'command', side: 'left', groundAt: [140.0, 300.0]),
                'command-out' => new SheetElement('wire'),
                'pull-up' => new SheetElement('resistor', 'pull-up'),
                'wire-vm' => new SheetElement('wire', 'Vm'),
                'wire-vcc' => new SheetElement('wire', 'Vcc'),
                'wire-vsp' => new SheetElement('wire', 'Vsp'),
                'wire-fg' => new SheetElement('wire', 'FG'),
                'wire-gnd' => new SheetElement('wire', 'GND', side: 'left', groundAt: [520.0, $bottom]),
                'bus-contact' => new SheetElement('wire'),
                'logic-contact' => new SheetElement('relay', 'driver'),
                'retry-contact' => new SheetElement('wire'),
                'module' => new SheetElement('module', 'stage', side: 'right'),
                'stage' => new SheetElement('wire', '', [[520.0, 130.0]]),
                'motor' => new SheetElement('motor', 'fan', [[600.0, 390.0]], side: 'right'),
                'vcc-load' => new SheetElement('resistor', 'logic', [[460.0, 160.0], [460.0, 390.0]], 1, side: 'left'),
                'vsp-inside' => new SheetElement('wire'),
                'vsp-input' => new SheetElement(
                    'resistor',
                    'input',
                    [[350.0, 300.0], [430.0, 300.0], [430.0, 390.0]],
                    1,
                    side: 'below',
                ),
                'fg-transistor' => new SheetElement('relay', 'pulses'),
                'fg-pulses' => new SheetElement('wire', '', [[400.0, 390.0]]),
            ],
        );
    }
}
