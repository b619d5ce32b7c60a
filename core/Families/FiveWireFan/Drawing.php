<?php

declare(strict_types=1);

namespace Ispira\Core\Families\FiveWireFan;

use Ispira\Core\Device\Drawing\Sheet;
use Ispira\Core\Device\Drawing\SheetBlock;
use Ispira\Core\Device\Drawing\SheetElement;

/**
 * Board at the left, five wires across, motor with its electronics at the right.
 */
final class Drawing
{
    private const BOTTOM = 440.0;

    /** What the motor's own electronics are made of. */
    private const INSIDE = [
        'vm-leak',
        'vm-short',
        'bus-there',
        'bus-contact',
        'vcc-load',
        'vcc-short',
        'logic-there',
        'logic-contact',
        'retry-contact',
        'retry-feed',
        'retry',
        'module',
        'stage',
        'motor',
        'vsp-inside',
        'vsp-leak',
        'vsp-input',
        'turning',
        'fg-transistor',
        'fg-pulses',
        'fg-still',
        'fg-rest',
        'hall',
        'hall-fed',
    ];

    private function __construct() {}

    public static function sheet(): Sheet
    {
        return new Sheet(
            560.0,
            470.0,
            [
                '0' => [60.0, self::BOTTOM],
                'bus' => [60.0, 70.0],
                'board-vm' => [180.0, 70.0],
                'vm' => [330.0, 70.0],
                'gnd' => [430.0, 390.0],
                'logic' => [110.0, 160.0],
                'board-vcc' => [180.0, 160.0],
                'vcc' => [330.0, 160.0],
                'command' => [145.0, 250.0],
                'board-vsp' => [180.0, 250.0],
                'vsp' => [330.0, 250.0],
                'pull-up' => [110.0, 350.0],
                'board-fg' => [180.0, 350.0],
                'fg' => [330.0, 350.0],
                'bench-vm' => [280.0, 105.0],
                'bench-vcc' => [280.0, 195.0],
                'bench-vsp' => [280.0, 278.0],
            ],
            [
                'bus' => new SheetElement('battery', 'bus', side: 'right', groundAt: [60.0, self::BOTTOM]),
                'bus-fuse' => new SheetElement('fuse', 'fuse'),
                'logic' => new SheetElement('battery', 'logic', side: 'right', groundAt: [110.0, 200.0]),
                'logic-out' => new SheetElement('wire'),
                'command' => new SheetElement('signal', 'command', side: 'left', groundAt: [145.0, 305.0]),
                'command-out' => new SheetElement('wire'),
                'pull-up-source' => new SheetElement('battery', '', groundAt: [110.0, 395.0]),
                'pull-up' => new SheetElement('resistor', 'pull-up'),
                'wire-vm' => new SheetElement('wire', 'Vm'),
                'wire-vcc' => new SheetElement('wire', 'Vcc'),
                'wire-vsp' => new SheetElement('wire', 'Vsp'),
                'wire-fg' => new SheetElement('wire', 'FG'),
                'wire-gnd' => new SheetElement('wire', 'GND', side: 'left', groundAt: [430.0, self::BOTTOM]),
            ] + self::bench(),
            ['motor' => new SheetBlock('fan motor', 330.0, 40.0, 200.0, 350.0, self::INSIDE)],
        );
    }

    /** @return array<string, SheetElement> supplies of the bench in place of the board */
    private static function bench(): array
    {
        $supply = static fn(string $label, float $bottom): SheetElement => new SheetElement(
            'battery',
            $label,
            side: 'left',
            groundAt: [280.0, $bottom],
            with: 'bench-vm',
        );
        $lead = static fn(float $from, float $to): SheetElement => new SheetElement(
            'jumper',
            '',
            [[305.0, $from]],
            1,
            with: 'bench-vm',
            toAt: [305.0, $to],
        );

        return [
            'bench-bus' => $supply('bench', 132.0),
            'bench-logic' => $supply('bench', 222.0),
            'bench-command' => $supply('bench', 304.0),
            'bench-vm' => $lead(105.0, 70.0),
            'bench-vcc' => $lead(195.0, 160.0),
            'bench-vsp' => $lead(278.0, 250.0),
            'bench-fg' => new SheetElement(
                'resistor',
                '',
                [[225.0, 195.0], [225.0, 328.0], [305.0, 328.0]],
                2,
                with: 'bench-fg',
                toAt: [305.0, 350.0],
            ),
            'bench-gnd' => new SheetElement(
                'jumper',
                '',
                [[430.0, 408.0], [470.0, 408.0]],
                1,
                groundAt: [470.0, self::BOTTOM],
                with: 'bench-gnd',
            ),
        ];
    }
}
