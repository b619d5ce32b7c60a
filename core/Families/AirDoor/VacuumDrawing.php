<?php

declare(strict_types=1);

namespace Ispira\Core\Families\AirDoor;

use Ispira\Core\Device\Drawing\Sheet;
use Ispira\Core\Device\Drawing\SheetBlock;
use Ispira\Core\Device\Drawing\SheetElement;

/**
 * Engine and tank at the left, the control valve's ports in the middle, a diaphragm for each door at the right.
 */
final class VacuumDrawing
{
    private function __construct() {}

    public static function sheet(): Sheet
    {
        $bottom = 440.0;
        $nodes = [
            '0' => [40.0, $bottom],
            'manifold' => [40.0, 200.0],
            'check' => [115.0, 200.0],
            'tank' => [205.0, 200.0],
            'head' => [290.0, 200.0],
            'pump' => [510.0, 390.0],
        ];
        $blocks = [];
        $pumped = array_map(static fn(string $door): string => "pump-$door", VacuumDoors::DOORS);
        $elements = [
            'engine' => new SheetElement('vacuum', 'engine', side: 'right', groundAt: [40.0, $bottom]),
            'supply-hose' => new SheetElement('wire', 'supply'),
            'check-valve' => new SheetElement('one-way', 'check'),
            'reserve' => new SheetElement('tank', 'tank', side: 'right', groundAt: [205.0, $bottom]),
            'tank-hose' => new SheetElement('wire', 'to control'),
        ];
        foreach (VacuumDoors::DOORS as $n => $door) {
            $y = 70.0 + 130.0 * $n;
            $nodes["out-$door"] = [370.0, $y];
            $nodes[$door] = [460.0, $y];
            $elements["port-$door"] = new SheetElement(
                'relay',
                VacuumDoors::LABELS[$door],
                $n === 1 ? [] : [[290.0, $y]],
                $n === 1 ? 0 : 1,
            );
            $elements["hose-$door"] = new SheetElement('wire', 'hose');
            $elements["rod-$door"] = new SheetElement('diaphragm', 'door', [], 0, 'left', [460.0, $y + 75.0]);
            $elements["pump-$door"] = new SheetElement('jumper', '', [[510.0, $y]], 1, with: "pump-$door");
            // The door hangs on the rod of the diaphragm: two of the netlist, one sign.
            $blocks["door-$door"] = new SheetBlock('', 460.0, $y, 0.0, 0.0, ["door-$door"], 'pad');
        }
        $elements['hand-pump'] = new SheetElement(
            'vacuum',
            'hand pump',
            side: 'left',
            groundAt: [510.0, $bottom],
            with: $pumped,
        );

        return new Sheet(540.0, 470.0, $nodes, $elements, $blocks);
    }
}
