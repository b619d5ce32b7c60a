<?php

declare(strict_types=1);

namespace Ispira\Core\Families\AirDoor;

use Ispira\Core\Device\Drawing\Sheet;
use Ispira\Core\Device\Drawing\SheetBlock;
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
            'fuse-in' => [75.0, 60.0],
            'fed' => [130.0, 60.0],
            'head' => [190.0, 60.0],
            'head-ground' => [240.0, 380.0],
            'warm-out' => [310.0, 60.0],
            'cold-out' => [310.0, 190.0],
            'warm-pin' => [420.0, 60.0],
            'cold-pin' => [420.0, 190.0],
            'A' => [470.0, 60.0],
            'B' => [470.0, 190.0],
        ];
        $elements = [
            'battery' => new SheetElement('battery', 'battery', side: 'right', groundAt: [40.0, $bottom]),
            'supply-wire' => new SheetElement('wire'),
            'fuse' => new SheetElement('fuse', 'fuse'),
            'feed' => new SheetElement('wire', 'feed'),
            'ground' => new SheetElement('wire', groundAt: [240.0, $bottom]),
            'warm-wire' => new SheetElement('wire', 'warm wire'),
            'cold-wire' => new SheetElement('wire', 'cold wire', side: 'above'),
            'warm-plug' => new SheetElement('plug'),
            'cold-plug' => new SheetElement('plug'),
            'motor' => new SheetElement('motor', 'door', side: 'left'),
        ];
        foreach (['warm' => ['A', 'B'], 'cold' => ['B', 'A']] as $way => [$plus, $minus]) {
            [$plusY, $minusY] = [$nodes[$plus][1], $nodes[$minus][1]];
            $elements["direct-$way-plus"] = new SheetElement(
                'jumper',
                '',
                with: "direct-$way-plus",
                plusAt: [520.0, $plusY],
            );
            $elements["direct-$way-minus"] = new SheetElement(
                'jumper',
                '',
                [[520.0, $minusY]],
                groundAt: [520.0, $minusY + 45.0],
                with: "direct-$way-minus",
            );
        }
        $head = ['head-supply', 'warm-stage', 'cold-stage', 'warm-high', 'warm-low', 'cold-high', 'cold-low'];
        array_push($head, 'warm-joint', 'cold-joint', 'warm', 'cold', 'ask-warm', 'ask-cold', 'reference');
        if ($feedback) {
            array_push($head, 'decide-warm', 'decide-cold', 'sense-warm', 'sense-cold');
            $nodes += [
                'ref' => [310.0, 290.0],
                'ref-pin' => [420.0, 290.0],
                'track' => [470.0, 340.0],
                'low-pin' => [420.0, 400.0],
                'told' => [310.0, 340.0],
                'told-pin' => [400.0, 340.0],
            ];
            $elements += [
                'ref-wire' => new SheetElement('wire', '5 V wire', side: 'above'),
                'track-upper' => new SheetElement('resistor', '', [[470.0, 290.0]], 1),
                'track-lower' => new SheetElement('resistor', '', [[470.0, 400.0]], 0),
                'wiper' => new SheetElement('wire', 'wiper', side: 'above'),
                'told-wire' => new SheetElement('wire', 'report to head', side: 'below'),
                'low-wire' => new SheetElement('wire', 'low wire', side: 'below', toAt: [240.0, 400.0]),
            ];
        }

        return new Sheet(545.0, 470.0, $nodes, $elements, [
            'head' => new SheetBlock('climate head', 190.0, 35.0, 120.0, 345.0, $head),
        ]);
    }
}
