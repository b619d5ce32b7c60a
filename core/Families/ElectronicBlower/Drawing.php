<?php

declare(strict_types=1);

namespace Ispira\Core\Families\ElectronicBlower;

use Ispira\Core\Device\Drawing\Sheet;
use Ispira\Core\Device\Drawing\SheetBlock;
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
            'supply' => [310.0, 110.0],
            'module-ground' => [310.0, 290.0],
            'ground-pin' => [310.0, 385.0],
            'out' => [365.0, 140.0],
            'motor-plus' => [470.0, 140.0],
            'motor-minus' => [470.0, 250.0],
            'sent' => [90.0, 220.0],
            'command-pin' => [175.0, 220.0],
            'command-in' => [255.0, 220.0],
            'generated' => [205.0, 330.0],
        ];
        $elements =
            [
                'battery' => new SheetElement('battery', 'battery', side: 'right', groundAt: [40.0, self::BOTTOM]),
                'feed' => new SheetElement('wire'),
                'fuse' => new SheetElement('fuse', 'fuse'),
                $v->behindFuse() => $v->relay ? new SheetElement('relay', 'relay') : new SheetElement('wire'),
                'plug-feed' => new SheetElement('plug', 'plug', [[310.0, 60.0]]),
                'plug-ground' => new SheetElement('plug', side: 'right'),
                'ground' => new SheetElement('wire', groundAt: [310.0, self::BOTTOM]),
                'command' => new SheetElement('signal', 'command', side: 'right', groundAt: [90.0, self::BOTTOM]),
                'command-wire' => new SheetElement('wire', 'command wire', side: 'above'),
                'command-plug' => new SheetElement('plug'),
            ] + self::laid();
        $inside = ['stage', 'module', 'input', 'leg'];
        if ($v->external) {
            $elements += [
                'direct-plus' => new SheetElement(
                    'jumper',
                    'fused jumper',
                    with: 'direct-plus',
                    plusAt: [520.0, 140.0],
                ),
                'direct-minus' => new SheetElement(
                    'jumper',
                    '',
                    [[520.0, 250.0]],
                    groundAt: [520.0, self::BOTTOM],
                    with: 'direct-minus',
                ),
            ];
            $elements['plug-motor'] = new SheetElement('plug', 'blower plug');
            $elements['motor'] = new SheetElement('motor', 'blower', side: 'right');
            $elements['motor-return'] = new SheetElement('wire', '', [[470.0, 310.0]], toAt: [310.0, 310.0]);

            return new Sheet(545.0, 470.0, $nodes, $elements, [
                'module' => new SheetBlock('module', 255.0, 110.0, 110.0, 180.0, $inside),
            ]);
        }
        unset($nodes['out'], $nodes['motor-plus'], $nodes['motor-minus']);
        array_push($inside, 'cut-out', 'cut-out-contact', 'plug-motor', 'motor', 'motor-return');

        return new Sheet(545.0, 470.0, $nodes, $elements, [
            'motor' => new SheetBlock('blower motor', 255.0, 110.0, 200.0, 180.0, $inside),
        ]);
    }

    /** @return array<string, SheetElement> what a test lays: lamps in place of the module, a command of its own */
    private static function laid(): array
    {
        return [
            'lamp' => new SheetElement(
                'lamp',
                'test lamp',
                [[230.0, 24.0], [520.0, 24.0], [520.0, 385.0]],
                2,
                side: 'left',
                with: 'lamp',
            ),
            'lamp-feed' => new SheetElement(
                'lamp',
                'test lamp',
                [[230.0, 24.0], [520.0, 24.0]],
                2,
                side: 'left',
                groundAt: [520.0, self::BOTTOM],
                with: 'lamp-feed',
            ),
            'lamp-ground' => new SheetElement(
                'lamp',
                'test lamp',
                [[520.0, 385.0]],
                0,
                side: 'left',
                with: 'lamp-ground',
                plusAt: [520.0, 40.0],
            ),
            'generator' => new SheetElement(
                'signal',
                'known command',
                side: 'right',
                groundAt: [205.0, self::BOTTOM],
                with: 'inject',
            ),
            'inject' => new SheetElement(
                'jumper',
                '',
                [[205.0, 262.0], [240.0, 262.0]],
                with: 'inject',
                toAt: [240.0, 220.0],
            ),
        ];
    }
}
