<?php

declare(strict_types=1);

namespace Ispira\Core\Families\ElectronicBlower;

use Ispira\Core\Device\Drawing\Sheet;
use Ispira\Core\Device\Drawing\SheetElement;

/**
 * Power along the top, the command along the bottom, the module where they meet, the blower at the right.
 */
final readonly class Drawing
{
    private const BOTTOM = 440.0;

    public function __construct(private Variant $variant) {}

    public function sheet(): Sheet
    {
        $v = $this->variant;
        $nodes = [
            '0' => [40.0, self::BOTTOM],
            'battery' => [40.0, 60.0],
            'fuse-in' => [80.0, 60.0],
            'fused' => [150.0, 60.0],
            'feed-pin' => [230.0, 60.0],
            'supply' => [300.0, 60.0],
            'module-ground' => [300.0, 300.0],
            'ground-pin' => [300.0, 380.0],
            'out' => [380.0, 120.0],
            'motor-plus' => [470.0, 120.0],
            'motor-minus' => [470.0, 240.0],
            'sent' => [90.0, 220.0],
            'command-pin' => [170.0, 220.0],
            'command-in' => [240.0, 220.0],
        ];
        $elements = [
            'battery' => new SheetElement('battery', 'battery', side: 'right', groundAt: [40.0, self::BOTTOM]),
            'feed' => new SheetElement('wire'),
            'fuse' => new SheetElement('fuse', 'fuse'),
            'relay' => $v->relay ? new SheetElement('relay', 'relay') : new SheetElement('wire'),
            'plug-feed' => new SheetElement('plug', 'plug'),
            'stage' => new SheetElement(
                'wire',
                $v->external ? 'speed stage' : 'electronics',
                [[380.0, 300.0]],
                side: 'left',
            ),
            'plug-ground' => new SheetElement('plug'),
            'ground' => new SheetElement('wire', groundAt: [300.0, self::BOTTOM]),
            'plug-motor' => $v->external ? new SheetElement('plug', 'blower plug') : new SheetElement('wire'),
            'motor' => new SheetElement('motor', 'blower', side: 'left'),
            'motor-return' => new SheetElement('wire', '', [[470.0, 300.0]]),
            'command' => new SheetElement('signal', 'command', side: 'right', groundAt: [90.0, self::BOTTOM]),
            'command-wire' => new SheetElement('wire', 'command wire', side: 'above'),
            'command-plug' => new SheetElement('plug'),
            'input' => $v->pulse
                ? new SheetElement('resistor', 'input', side: 'left', groundAt: [240.0, self::BOTTOM])
                : new SheetElement('resistor', 'input', [[240.0, 300.0]], side: 'left'),
        ];
        if (!$v->external) {
            $nodes['inside'] = [300.0, 130.0];
            $elements['cut-out-contact'] = new SheetElement('relay', 'cut-out', side: 'left');
        }
        $elements['module'] = new SheetElement('module', $v->external ? 'module' : 'electronics', side: 'left');

        return new Sheet(530.0, 470.0, $nodes, $elements);
    }
}
