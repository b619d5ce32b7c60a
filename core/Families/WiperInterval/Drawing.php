<?php

declare(strict_types=1);

namespace Ispira\Core\Families\WiperInterval;

use Ispira\Core\Device\Drawing\Sheet;
use Ispira\Core\Device\Drawing\SheetElement;

/**
 * Stalk at the left, its two wires across, module and motor at the right.
 */
final class Drawing
{
    private function __construct() {}

    public static function sheet(): Sheet
    {
        $bottom = 440.0;

        return new Sheet(
            530.0,
            470.0,
            [
                '0' => [30.0, $bottom],
                'battery' => [30.0, 50.0],
                'fuse-in' => [70.0, 50.0],
                'fed' => [130.0, 50.0],
                'stalk-in' => [90.0, 140.0],
                'track' => [90.0, 230.0],
                'speed-out' => [180.0, 230.0],
                'high-out' => [180.0, 320.0],
                'speed-pin' => [250.0, 230.0],
                'high-pin' => [250.0, 320.0],
                'speed-in' => [285.0, 230.0],
                'high-in' => [285.0, 320.0],
                'supply' => [310.0, 50.0],
                'module-ground' => [352.0, 395.0],
                'out' => [400.0, 130.0],
                'low-side' => [440.0, 130.0],
                'L' => [440.0, 200.0],
                'high-side' => [500.0, 50.0],
                'H' => [500.0, 200.0],
                'l' => [440.0, 240.0],
                'h' => [500.0, 240.0],
                'c' => [440.0, 330.0],
                'C' => [440.0, 365.0],
            ],
            [
                'battery' => new SheetElement('battery', 'battery', side: 'right', groundAt: [30.0, $bottom]),
                'feed' => new SheetElement('wire'),
                'fuse' => new SheetElement('fuse', 'fuse'),
                'stalk-feed' => new SheetElement('wire', '', [[130.0, 140.0]]),
                'interval-contact' => new SheetElement('relay', 'interval', side: 'right'),
                'setting' => new SheetElement('resistor', 'setting', side: 'below'),
                'low-contact' => new SheetElement('relay', 'low', [[180.0, 140.0]], 1, side: 'right'),
                'high-contact' => new SheetElement('relay', 'high', [[60.0, 140.0], [60.0, 320.0]], 2, side: 'below'),
                'speed-wire' => new SheetElement('wire', 'speed wire', side: 'above'),
                'high-wire' => new SheetElement('wire', 'high wire', side: 'above'),
                'speed-plug' => new SheetElement('plug'),
                'high-plug' => new SheetElement('plug'),
                'speed-input' => new SheetElement(
                    'resistor',
                    'input',
                    [[335.0, 230.0], [335.0, 395.0]],
                    0,
                    side: 'above',
                ),
                'high-input' => new SheetElement('coil', '', [[335.0, 320.0], [335.0, 395.0]], side: 'above'),
                'module-feed' => new SheetElement('wire', 'module feed', side: 'above'),
                'module' => new SheetElement('wire', '', [[310.0, 130.0], [352.0, 130.0]]),
                'stage' => new SheetElement('module', '', [[400.0, 395.0]], side: 'left'),
                'low-gate' => new SheetElement('relay', 'low path'),
                'low-joint' => new SheetElement('wire'),
                'high-gate' => new SheetElement('relay', 'high path'),
                'high-joint' => new SheetElement('wire'),
                'brush-low' => new SheetElement('wire'),
                'brush-high' => new SheetElement('wire', 'high', side: 'left'),
                'motor' => new SheetElement('motor', 'wiper', side: 'right'),
                'upper' => new SheetElement('wire', '', [[500.0, 330.0]]),
                'brush-common' => new SheetElement('wire'),
                'motor-return' => new SheetElement('wire', '', [[440.0, 395.0]]),
                'ground' => new SheetElement('wire', groundAt: [352.0, $bottom]),
            ],
        );
    }
}
