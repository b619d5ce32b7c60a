<?php

declare(strict_types=1);

namespace Ispira\Core\Families\FlueFan;

use Ispira\Core\Device\Drawing\Sheet;
use Ispira\Core\Device\Drawing\SheetElement;

/**
 * Line and limit at the left, the control's outputs in the middle, the fan at the right.
 */
final readonly class Drawing
{
    private const BOTTOM = 380.0;

    public function __construct(private bool $twoSpeeds) {}

    public function sheet(): Sheet
    {
        $nodes = [
            '0' => [50.0, self::BOTTOM],
            'L' => [50.0, 230.0],
            'fed' => [50.0, 130.0],
            'safe' => [150.0, 70.0],
            'plug-neutral' => [450.0, 310.0],
        ];
        $elements = [
            'line' => new SheetElement('mains', 'line', side: 'right', groundAt: [50.0, self::BOTTOM]),
            'fuse' => new SheetElement('fuse', 'fuse', side: 'right'),
            'limit' => new SheetElement('relay', 'limits', [[50.0, 70.0]], 1),
            'neutral' => new SheetElement('wire', 'neutral', side: 'left', groundAt: [450.0, self::BOTTOM]),
        ];
        foreach ($this->twoSpeeds ? ['slow' => 150.0, 'fast' => 70.0] : ['fast' => 70.0] as $speed => $y) {
            $nodes["sent-$speed"] = [270.0, $y];
            $nodes["plug-$speed"] = [$speed === 'slow' ? 370.0 : 450.0, $y];
            $elements["output-$speed"] = new SheetElement(
                'relay',
                $this->twoSpeeds ? "output $speed" : 'output',
                $y > 70.0 ? [[150.0, $y]] : [],
                $y > 70.0 ? 1 : 0,
            );
            $elements["wire-$speed"] = new SheetElement('wire');
        }
        $elements['fast'] = new SheetElement('motor', 'fan', side: 'right');
        if ($this->twoSpeeds) {
            $elements['slow'] = new SheetElement('winding', 'slow winding', [[370.0, 310.0]], side: 'left');
        }

        return new Sheet(560.0, 410.0, $nodes, $elements);
    }
}
