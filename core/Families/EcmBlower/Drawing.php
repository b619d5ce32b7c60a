<?php

declare(strict_types=1);

namespace Ispira\Core\Families\EcmBlower;

use Ispira\Core\Device\Drawing\Sheet;
use Ispira\Core\Device\Drawing\SheetElement;

/**
 * Line along the top, the calls below it, the module and its motor at the right.
 */
final readonly class Drawing
{
    private const BOTTOM = 470.0;

    public function __construct(private Wiring $wiring) {}

    public function sheet(): Sheet
    {
        $nodes = [
            '0' => [50.0, self::BOTTOM],
            'L' => [50.0, 60.0],
            'fed' => [120.0, 60.0],
            'live' => [210.0, 60.0],
            'module-line' => [310.0, 60.0],
            'bus' => [430.0, 60.0],
            'module-neutral' => [430.0, 200.0],
            'R' => [150.0, 240.0],
            'module-common' => [400.0, 410.0],
            'pin-a' => [500.0, 110.0],
            'pin-b' => [535.0, 110.0],
            'pin-c' => [570.0, 110.0],
            'star' => [535.0, 210.0],
        ];
        $elements = [
            'line' => new SheetElement('mains', 'line', side: 'right', groundAt: [50.0, 200.0]),
            'breaker' => new SheetElement('fuse', 'breaker'),
            'door' => new SheetElement('relay', 'door'),
            'line-plug' => new SheetElement('plug', 'line plug'),
            'inrush' => new SheetElement('resistor', 'inrush limiter'),
            'motor' => new SheetElement('module', 'electronics', side: 'left'),
            'neutral-plug' => new SheetElement('plug', 'neutral', side: 'right', groundAt: [430.0, 255.0]),
            'transformer' => new SheetElement(
                'transformer',
                '24 V',
                [[60.0, 240.0]],
                1,
                side: 'right',
                groundAt: [60.0, self::BOTTOM],
            ),
            'common-wire' => new SheetElement('wire', 'C', side: 'left', groundAt: [400.0, self::BOTTOM]),
            'phase-a' => new SheetElement('winding', '', [[500.0, 210.0]]),
            'phase-b' => new SheetElement('winding'),
            'phase-c' => new SheetElement('winding', '', [[570.0, 210.0]]),
        ];
        if ($this->wiring->data) {
            $nodes += ['sent' => [250.0, 300.0], 'data' => [400.0, 300.0]];
            $elements['output'] = new SheetElement('signal', 'demand', [[150.0, 300.0]], 1);
            $elements['data-wire'] = new SheetElement('wire', 'data');
            $elements['input-cool'] = new SheetElement('resistor', 'input', side: 'left');
        }
        foreach ($this->wiring->data ? [] : $this->wiring->calls() as $number => $call) {
            $y = 290.0 + 45.0 * $number;
            $nodes["sent-$call"] = [240.0, $y];
            $nodes["tap-$call"] = [310.0, $y];
            $elements["output-$call"] = new SheetElement('relay', $call, [[150.0, $y]], 1);
            $elements["wire-$call"] = new SheetElement('wire');
            $elements["input-$call"] = new SheetElement('resistor', 'tap', [[400.0, $y]]);
        }

        return new Sheet(620.0, 500.0, $nodes, $elements);
    }
}
