<?php

declare(strict_types=1);

namespace Ispira\Core\Families\WiperInterval;

use Ispira\Core\Device\Drawing\Sheet;
use Ispira\Core\Device\Drawing\SheetBlock;
use Ispira\Core\Device\Drawing\SheetElement;

/**
 * Stalk at the left, its two wires across, module and motor at the right.
 */
final class Drawing
{
    private const BOTTOM = 440.0;

    private function __construct() {}

    public static function sheet(): Sheet
    {
        return new Sheet(
            545.0,
            470.0,
            [
                '0' => [30.0, self::BOTTOM],
                'battery' => [30.0, 50.0],
                'fuse-in' => [70.0, 50.0],
                'fed' => [130.0, 50.0],
                'stalk-in' => [90.0, 140.0],
                'track' => [90.0, 230.0],
                'speed-out' => [180.0, 230.0],
                'high-out' => [180.0, 320.0],
                'speed-pin' => [250.0, 230.0],
                'high-pin' => [250.0, 320.0],
                'speed-in' => [310.0, 230.0],
                'high-in' => [310.0, 320.0],
                'supply' => [355.0, 110.0],
                'module-ground' => [355.0, 370.0],
                'high-side' => [400.0, 150.0],
                'low-side' => [400.0, 205.0],
                'H' => [460.0, 150.0],
                'L' => [460.0, 205.0],
                'C' => [495.0, 240.0],
                'bench' => [296.0, 370.0],
            ],
            [
                'battery' => new SheetElement(
                    'battery',
                    'battery',
                    [[30.0, 340.0]],
                    1,
                    side: 'right',
                    groundAt: [30.0, self::BOTTOM],
                ),
                'feed' => new SheetElement('wire'),
                'fuse' => new SheetElement('fuse', 'fuse'),
                'stalk-feed' => new SheetElement('wire', '', [[130.0, 140.0]]),
                'interval-contact' => new SheetElement('relay', 'interval', side: 'right'),
                'setting' => new SheetElement('resistor', 'setting', side: 'below'),
                'low-contact' => new SheetElement('relay', 'low', [[180.0, 140.0]], 1, side: 'right'),
                'high-contact' => new SheetElement('relay', 'high', [[60.0, 140.0], [60.0, 320.0]], 2, side: 'below'),
                'speed-wire' => new SheetElement('wire', 'speed wire', side: 'above'),
                'high-wire' => new SheetElement('wire', 'high wire', side: 'below'),
                'speed-plug' => new SheetElement('plug'),
                'high-plug' => new SheetElement('plug'),
                'module-feed' => new SheetElement('wire', 'module feed', [[355.0, 50.0]], side: 'above'),
                'ground' => new SheetElement('wire', groundAt: [355.0, self::BOTTOM]),
                'low-joint' => new SheetElement('wire', 'low', side: 'above'),
                'high-joint' => new SheetElement('wire', 'high', side: 'above'),
                'motor-return' => new SheetElement('wire', '', [[495.0, 388.0]], toAt: [355.0, 388.0]),
            ] + self::laid(),
            [
                'module' => new SheetBlock('module', 310.0, 110.0, 90.0, 260.0, [
                    'speed-input',
                    'high-input',
                    'module',
                    'stage',
                    'low-gate',
                    'high-gate',
                ]),
                'motor' => new SheetBlock(
                    'wiper',
                    460.0,
                    130.0,
                    70.0,
                    110.0,
                    ['brush-low', 'brush-high', 'brush-common', 'motor', 'upper', 'between'],
                    'motor',
                ),
            ],
        );
    }

    /** @return array<string, SheetElement> what a test lays: a load, a supply of the bench, jumpers to the motor */
    private static function laid(): array
    {
        return [
            'known-load' => new SheetElement(
                'resistor',
                'known load',
                [[250.0, 255.0], [215.0, 255.0]],
                2,
                side: 'left',
                groundAt: [215.0, 302.0],
                with: 'known-load',
            ),
            'bench-supply' => new SheetElement(
                'battery',
                'bench supply',
                side: 'left',
                groundAt: [296.0, self::BOTTOM],
                with: 'bench-lead',
            ),
            'bench-lead' => new SheetElement('jumper', with: 'bench-lead', toAt: [296.0, 230.0]),
            'bench-high' => new SheetElement(
                'jumper',
                '',
                [[303.0, 370.0]],
                1,
                with: 'bench-high',
                toAt: [303.0, 320.0],
            ),
            'direct-low' => new SheetElement(
                'jumper',
                'fused jumper',
                side: 'below',
                with: 'direct-low',
                plusAt: [450.0, 275.0],
                toAt: [450.0, 205.0],
            ),
            'direct-high' => new SheetElement(
                'jumper',
                'fused jumper',
                with: 'direct-high',
                plusAt: [450.0, 85.0],
                toAt: [450.0, 150.0],
            ),
            'direct-common' => new SheetElement(
                'jumper',
                '',
                [[495.0, 265.0], [528.0, 265.0]],
                1,
                groundAt: [528.0, 310.0],
                with: 'direct-common',
            ),
        ];
    }
}
