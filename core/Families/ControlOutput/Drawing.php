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
                '0' => [90.0, $bottom],
                'R' => [90.0, 90.0],
                'fused' => [185.0, 90.0],
                'call' => [185.0, 280.0],
                'out' => [305.0, 90.0],
                'lead' => [360.0, 90.0],
                'coil-in' => [470.0, 90.0],
                'coil-out' => [470.0, 300.0],
                'known' => [390.0, 300.0],
            ],
            [
                'transformer' => new SheetElement(
                    'transformer',
                    'transformer',
                    side: 'right',
                    groundAt: [90.0, $bottom],
                ),
                'board-load' => new SheetElement(
                    'resistor',
                    'board',
                    [[30.0, 90.0]],
                    1,
                    side: 'right',
                    groundAt: [30.0, $bottom],
                ),
                'fuse' => new SheetElement('fuse', 'board fuse'),
                'thermostat' => new SheetElement('relay', 'thermostat', side: 'right'),
                'call-input' => new SheetElement('resistor', 'input', side: 'right', groundAt: [185.0, $bottom]),
                'contact' => new SheetElement('relay', 'board relay'),
                'terminal' => new SheetElement('plug'),
                'wire' => new SheetElement('wire', 'field wire'),
                'contactor' => new SheetElement('coil', 'contactor', side: 'left'),
                'common' => new SheetElement('wire', 'common', side: 'left', groundAt: [470.0, $bottom]),
                'test-load' => new SheetElement(
                    'resistor',
                    'test load',
                    side: 'right',
                    groundAt: [305.0, $bottom],
                    with: 'test-load',
                ),
                'other-loads' => new SheetElement(
                    'resistor',
                    'other loads',
                    [[90.0, 40.0], [270.0, 40.0]],
                    2,
                    side: 'right',
                    groundAt: [270.0, 210.0],
                    with: 'other-loads',
                ),
                'known-lead' => new SheetElement('jumper', '', [[305.0, 145.0], [390.0, 145.0]], 1, with: 'known-lead'),
                'known-coil' => new SheetElement(
                    'coil',
                    'known good',
                    side: 'left',
                    groundAt: [390.0, $bottom],
                    with: 'known-lead',
                ),
            ],
        );
    }
}
