<?php

declare(strict_types=1);

namespace Ispira\Core\Families\ControlOutput;

use Ispira\Core\Device\Drawing\Sheet;
use Ispira\Core\Device\Drawing\SheetElement;

/**
 * Transformer at the left, board in the middle, the coil that it holds at the right.
 */
final class Drawing
{
    private function __construct() {}

    public static function sheet(): Sheet
    {
        $bottom = 400.0;

        return new Sheet(
            530.0,
            440.0,
            [
                '0' => [60.0, $bottom],
                'R' => [60.0, 90.0],
                'fused' => [170.0, 90.0],
                'call' => [170.0, 280.0],
                'out' => [300.0, 90.0],
                'lead' => [350.0, 90.0],
                'coil-in' => [450.0, 90.0],
                'coil-out' => [450.0, 300.0],
                'known' => [380.0, 300.0],
            ],
            [
                'transformer' => new SheetElement(
                    'transformer',
                    'transformer',
                    side: 'right',
                    groundAt: [60.0, $bottom],
                ),
                'fuse' => new SheetElement('fuse', 'board fuse'),
                'thermostat' => new SheetElement('relay', 'thermostat', side: 'right'),
                'call-input' => new SheetElement('resistor', 'input', side: 'right', groundAt: [170.0, $bottom]),
                'contact' => new SheetElement('relay', 'board relay'),
                'test-load' => new SheetElement('resistor', 'test load', side: 'right', groundAt: [300.0, $bottom]),
                'terminal' => new SheetElement('plug'),
                'wire' => new SheetElement('wire', 'field wire'),
                'contactor' => new SheetElement('coil', 'contactor', side: 'left'),
                'common' => new SheetElement('wire', 'common', side: 'left', groundAt: [450.0, $bottom]),
            ],
        );
    }
}
