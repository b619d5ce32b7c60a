<?php

declare(strict_types=1);

namespace Ispira\Core\Families\AirDoor;

use Ispira\Core\Device\Drawing\Sheet;
use Ispira\Core\Device\Drawing\SheetElement;

/**
 * Supply at the left, the head's two outputs in the middle, the geared motor at the right, what it reports below.
 */
final class ElectricDrawing
{
    private function __construct() {}

    public static function sheet(bool $feedback): Sheet
    {
        $bottom = 440.0;
        $nodes = [
            '0' => [40.0, $bottom],
            'battery' => [40.0, 60.0],
            'fed' => [110.0, 60.0],
            'head' => [180.0, 60.0],
            'head-ground' => [180.0, 250.0],
            'warm-top' => [220.0, 60.0],
            'warm-side' => [270.0, 60.0],
            'cold-top' => [220.0, 190.0],
            'cold-side' => [270.0, 190.0],
            'warm-out' => [310.0, 60.0],
            'cold-out' => [310.0, 190.0],
            'warm-pin' => [420.0, 60.0],
            'cold-pin' => [420.0, 190.0],
            'A' => [470.0, 60.0],
            'B' => [470.0, 190.0],
        ];
        $elements = [
            'battery' => new SheetElement('battery', 'battery', side: 'right', groundAt: [40.0, $bottom]),
            'fuse' => new SheetElement('fuse', 'fuse'),
            'feed' => new SheetElement('wire', 'feed'),
            'ground' => new SheetElement('wire', groundAt: [180.0, $bottom]),
            'head-supply' => new SheetElement('resistor', 'head', side: 'left'),
            'warm-stage' => new SheetElement('wire'),
            'cold-stage' => new SheetElement('wire', '', [[200.0, 60.0], [200.0, 190.0]]),
            'warm-high' => new SheetElement('relay', 'warm +', side: 'above'),
            'warm-low' => new SheetElement(
                'relay',
                'warm −',
                [[270.0, 120.0], [240.0, 120.0], [240.0, 250.0]],
                0,
                side: 'right',
            ),
            'cold-high' => new SheetElement('relay', 'cold +', side: 'above'),
            'cold-low' => new SheetElement('relay', 'cold −', [[270.0, 250.0]], 0, side: 'right'),
            'warm-joint' => new SheetElement('wire'),
            'cold-joint' => new SheetElement('wire'),
            'warm-wire' => new SheetElement('wire', 'warm wire'),
            'cold-wire' => new SheetElement('wire', 'cold wire', side: 'above'),
            'warm-plug' => new SheetElement('plug'),
            'cold-plug' => new SheetElement('plug'),
            'motor' => new SheetElement('motor', 'door', side: 'left'),
        ];
        if ($feedback) {
            $nodes += [
                'ref' => [250.0, 310.0],
                'ref-pin' => [420.0, 310.0],
                'track' => [470.0, 345.0],
                'low-pin' => [420.0, 405.0],
                'told' => [250.0, 345.0],
                'told-pin' => [370.0, 345.0],
            ];
            $elements += [
                'reference' => new SheetElement('battery', '5 V', [[215.0, 310.0], [215.0, 250.0]], 0, side: 'below'),
                'ref-wire' => new SheetElement('wire', '5 V wire', side: 'above'),
                'track-upper' => new SheetElement('resistor', '', [[470.0, 310.0]], 1),
                'track-lower' => new SheetElement('resistor', '', [[470.0, 405.0]], 0),
                'wiper' => new SheetElement('wire', 'wiper', side: 'above'),
                'told-wire' => new SheetElement('wire', 'report to head', side: 'below'),
                'low-wire' => new SheetElement('wire', 'low wire', [[180.0, 405.0]], 0, side: 'below'),
            ];
        }

        return new Sheet(530.0, 470.0, $nodes, $elements);
    }
}
