<?php

declare(strict_types=1);

namespace Ispira\Core\Families\RadiatorFan;

use Ispira\Core\Device\Sheet;
use Ispira\Core\Device\SheetElement;

/**
 * Supply along the top, the control in the middle, the fans below it.
 */
final readonly class Drawing
{
    private const BOTTOM = 440.0;

    public function __construct(private Layout $layout) {}

    public function sheet(): Sheet
    {
        $nodes = [
            '0' => [40.0, self::BOTTOM],
            'battery' => [40.0, 60.0],
            'fuse-in' => [46.0, 60.0],
            'fed' => $this->layout->relays ? [100.0, 60.0] : [190.0, 60.0],
        ];
        $elements = [
            'battery' => new SheetElement('battery', 'battery', side: 'right', groundAt: [40.0, self::BOTTOM]),
            'feed' => new SheetElement('wire'),
            'fuse' => new SheetElement('fuse', 'fuse'),
        ];
        [$controlNodes, $control] = $this->layout->relays ? $this->relays() : $this->thermalSwitch();
        [$fanNodes, $fans] = $this->layout->pair() ? $this->pair() : $this->fans();

        return new Sheet(530.0, 470.0, $nodes + $controlNodes + $fanNodes, $elements + $control + $fans);
    }

    /** @return array{0: array<string, array{0: float, 1: float}>, 1: array<string, SheetElement>} */
    private function thermalSwitch(): array
    {
        return [
            ['switch-in' => [190.0, 130.0], 'low-line' => [190.0, 200.0], 'high-line' => [330.0, 130.0]],
            [
                'switch-plug' => new SheetElement('plug', 'thermal switch', side: 'left'),
                'stage-1' => new SheetElement('relay', 'stage 1', side: 'left'),
                'stage-2' => new SheetElement('relay', 'stage 2'),
            ],
        ];
    }

    /** @return array{0: array<string, array{0: float, 1: float}>, 1: array<string, SheetElement>} */
    private function relays(): array
    {
        $nodes = ['ask-low' => [110.0, 330.0], 'ask-high' => [150.0, 250.0]];
        $elements = [
            'request-low' => new SheetElement('relay', 'low request', side: 'right', groundAt: [110.0, self::BOTTOM]),
            'request-high' => new SheetElement('relay', 'high request', side: 'right', groundAt: [150.0, self::BOTTOM]),
        ];
        if ($this->layout->pair()) {
            $elements['k1-coil'] = new SheetElement('coil', 'K1', [[110.0, 60.0]], 1, side: 'left');
            $elements['k2-coil'] = new SheetElement('coil', 'K2, K3', [[150.0, 60.0]], 1, side: 'right');

            return [$nodes, $elements];
        }
        $elements['k-low-coil'] = new SheetElement('coil', '', [[110.0, 60.0]], 1, side: 'left');
        $elements['k-high-coil'] = new SheetElement('coil', '', [[150.0, 60.0]], 1, side: 'left');
        $elements['k-low-contact'] = new SheetElement('relay', 'low relay', side: 'right');
        $elements['k-high-contact'] = new SheetElement('relay', 'high relay');
        $elements['k-low-joint'] = new SheetElement('wire');
        $elements['k-high-joint'] = new SheetElement('wire');

        return [
            $nodes + [
                'k-low-out' => [190.0, 150.0],
                'low-line' => [190.0, 200.0],
                'k-high-out' => [300.0, 60.0],
                'high-line' => [350.0, 60.0],
            ],
            $elements,
        ];
    }

    /** @return array{0: array<string, array{0: float, 1: float}>, 1: array<string, SheetElement>} */
    private function pair(): array
    {
        return [
            [
                'k1-out' => [290.0, 60.0],
                'a-feed' => [330.0, 60.0],
                'a-plus' => [330.0, 110.0],
                'a-minus' => [330.0, 180.0],
                'a-return' => [330.0, 230.0],
                'k2-ground' => [330.0, 330.0],
                'k2-through' => [430.0, 230.0],
                'b-feed' => [480.0, 230.0],
                'k3-out' => [480.0, 140.0],
                'b-plus' => [480.0, 280.0],
                'b-minus' => [480.0, 350.0],
                'b-ground' => [480.0, 400.0],
            ],
            [
                'k1-contact' => new SheetElement('relay', 'K1'),
                'k1-joint' => new SheetElement('wire'),
                'plug-a' => new SheetElement('plug', 'plug', side: 'left'),
                'fan-a' => new SheetElement('motor', 'main fan', side: 'left'),
                'plug-minus-a' => new SheetElement('plug', side: 'left'),
                'k2-work' => new SheetElement('relay', 'K2', side: 'left'),
                'k2-joint' => new SheetElement('wire', groundAt: [330.0, self::BOTTOM]),
                'k2-rest' => new SheetElement('relay', 'K2 at rest', side: 'below'),
                'k2-rest-joint' => new SheetElement('wire'),
                'k3-contact' => new SheetElement('relay', 'K3', [[100.0, 30.0], [480.0, 30.0]], 2, side: 'left'),
                'k3-joint' => new SheetElement('wire'),
                'plug-b' => new SheetElement('plug', side: 'left'),
                'fan-b' => new SheetElement('motor', 'second fan', side: 'left'),
                'plug-minus-b' => new SheetElement('plug', side: 'left'),
                'ground-b' => new SheetElement('wire', groundAt: [480.0, self::BOTTOM]),
            ],
        ];
    }

    /** @return array{0: array<string, array{0: float, 1: float}>, 1: array<string, SheetElement>} */
    private function fans(): array
    {
        $two = $this->layout->arrangement === 'two-input';
        $x = ['a' => 380.0, 'b' => 480.0];
        $nodes = $two
            ? [
                'low-pin' => [250.0, 200.0],
                'low-in' => [290.0, 200.0],
                'high-pin' => [380.0, 130.0],
                'inner' => [380.0, 200.0],
            ]
            : ['resistor-in' => [250.0, 200.0], 'fan-feed' => [380.0, 200.0]];
        $elements = $two
            ? [
                'low-wire' => new SheetElement('wire'),
                'high-wire' => new SheetElement('wire'),
                'plug-low' => new SheetElement('plug', 'plug, low', side: 'below'),
                'plug-high' => new SheetElement('plug', 'plug, high', side: 'right'),
                'low-brush' => new SheetElement('resistor', 'low input', side: 'below'),
            ]
            : [
                'low-wire' => new SheetElement('wire'),
                'high-wire' => new SheetElement('wire', '', [[380.0, $this->layout->relays ? 60.0 : 130.0]]),
                'resistor' => new SheetElement('resistor', 'resistor', side: 'below'),
            ];
        foreach ($this->layout->fans() as $fan) {
            if (!$two) {
                $nodes["$fan-plus"] = [$x[$fan], 260.0];
                $elements["plug-$fan"] = new SheetElement(
                    'plug',
                    'plug',
                    $fan === 'b' ? [[$x[$fan], 200.0]] : [],
                    $fan === 'b' ? 1 : 0,
                    side: 'right',
                );
            }
            $nodes["$fan-minus"] = [$x[$fan], 340.0];
            $nodes["$fan-ground"] = [$x[$fan], 395.0];
            $elements["fan-$fan"] = new SheetElement('motor', $fan === 'a' ? 'main fan' : 'second', side: 'left');
            $elements["plug-minus-$fan"] = new SheetElement('plug', side: 'left');
            $elements["ground-$fan"] = new SheetElement('wire', groundAt: [$x[$fan], self::BOTTOM]);
        }

        return [$nodes, $elements];
    }
}
