<?php

declare(strict_types=1);

namespace Ispira\Core\Families\EcmBlower;

use Ispira\Core\Device\Drawing\Sheet;
use Ispira\Core\Device\Drawing\SheetBlock;
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
            'live' => [220.0, 60.0],
            'module-line' => [330.0, 60.0],
            'bus' => [330.0, 85.0],
            'module-neutral' => [330.0, 120.0],
            'R' => [205.0, 235.0],
            'module-common' => [385.0, 435.0],
            'pin-a' => [440.0, 95.0],
            'pin-b' => [440.0, 130.0],
            'pin-c' => [440.0, 165.0],
            'case' => [500.0, 195.0],
        ];
        $elements = [
            'line' => new SheetElement('mains', 'line', side: 'right', groundAt: [50.0, 165.0]),
            'breaker' => new SheetElement('fuse', 'breaker'),
            'door' => new SheetElement('relay', 'door'),
            'line-plug' => new SheetElement('plug', 'line plug'),
            'neutral-plug' => new SheetElement('plug', 'neutral', [[270.0, 120.0]], 0, groundAt: [270.0, 165.0]),
            'transformer' => new SheetElement(
                'transformer',
                '24 V',
                [[205.0, 205.0], [50.0, 205.0]],
                2,
                side: 'right',
                groundAt: [50.0, self::BOTTOM],
            ),
            'common-wire' => new SheetElement('wire', 'C', side: 'right', groundAt: [385.0, self::BOTTOM]),
        ];
        $board = ['transformer-load'];
        $electronics = ['inrush', 'motor'];
        foreach ($this->wiring->calls() as $number => $call) {
            $y = 290.0 + 45.0 * $number;
            $terminal = $this->wiring->terminal($call);
            $nodes[$terminal] = [170.0, $y];
            $elements["call-$call"] = new SheetElement(
                'relay',
                "$call call",
                [[205.0, 205.0], [82.0, 205.0], [82.0, $y]],
                3,
                side: 'above',
            );
            $board[] = "call-input-$call";
            $electronics[] = "input-$call";
            if (!$this->wiring->data) {
                $nodes["sent-$call"] = [240.0, $y];
                $nodes["tap-$call"] = [330.0, $y];
                $elements["wire-$call"] = new SheetElement('wire', "$call tap");
                $board[] = "output-$call";
            }
        }
        if ($this->wiring->data) {
            $nodes += ['sent' => [240.0, 290.0], 'data' => [330.0, 290.0]];
            $elements['data-wire'] = new SheetElement('wire', 'data');
            $board[] = 'output';
        }
        $bottom = 330.0 + 45.0 * (\count($this->wiring->calls()) - 1);

        return new Sheet(620.0, 500.0, $nodes, $elements, [
            'board' => new SheetBlock('board', 170.0, 235.0, 70.0, $bottom - 235.0, $board),
            'module' => new SheetBlock('electronics', 330.0, 35.0, 110.0, 400.0, $electronics),
            'motor' => new SheetBlock('windings', 440.0, 75.0, 130.0, 120.0, [
                'phase-a',
                'phase-b',
                'phase-c',
                'between-ab',
                'between-bc',
                'between-ca',
                'case-leak',
            ]),
        ]);
    }
}
