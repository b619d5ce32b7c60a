<?php

declare(strict_types=1);

namespace Ispira\Core\Families\RadiatorFan;

use Ispira\Core\Device\Drawing\Sheet;
use Ispira\Core\Device\Drawing\SheetElement;

/**
 * Supply along the top, the control in the middle, the fans below it.
 */
final readonly class Drawing
{
    private const BOTTOM = 440.0;

    /** Where a second fan with two inputs stands. */
    private const FAR = 570.0;

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

        $width = match ($this->layout->arrangement) {
            'two-inputs-each' => 620.0,
            'second-with-high' => 570.0,
            default => 530.0,
        };

        $nodes += $controlNodes + $fanNodes;

        return new Sheet($width, 470.0, $nodes, $elements + $control + $fans + $this->laid($nodes));
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
                'jump-low' => new SheetElement(
                    'jumper',
                    'bridge',
                    [[150.0, 130.0], [150.0, 200.0]],
                    1,
                    side: 'left',
                    with: 'jump-low',
                ),
                'jump-high' => new SheetElement(
                    'jumper',
                    'bridge',
                    [[190.0, 112.0], [330.0, 112.0]],
                    1,
                    with: 'jump-high',
                ),
            ],
        ];
    }

    /** @return array{0: array<string, array{0: float, 1: float}>, 1: array<string, SheetElement>} */
    private function relays(): array
    {
        $nodes = ['ask-low' => [110.0, 330.0], 'ask-high' => [150.0, 250.0]];
        $elements = [
            'request-low' => new SheetElement('relay', 'ask low', side: 'left', groundAt: [110.0, self::BOTTOM]),
            'request-high' => new SheetElement('relay', 'ask high', side: 'right', groundAt: [150.0, self::BOTTOM]),
            'jump-low' => new SheetElement(
                'jumper',
                '',
                [[80.0, 330.0]],
                groundAt: [80.0, self::BOTTOM],
                with: 'jump-low',
            ),
            'jump-high' => new SheetElement(
                'jumper',
                '',
                [[131.0, 250.0]],
                groundAt: [131.0, 300.0],
                with: 'jump-high',
            ),
        ];
        if ($this->layout->pair()) {
            $elements['k1-coil'] = new SheetElement('coil', 'K1', [[110.0, 60.0]], 1, side: 'left');
            $elements['k2-coil'] = new SheetElement('coil', 'K2', [[150.0, 60.0]], 1, side: 'left');
            $elements['k3-coil'] = new SheetElement('coil', 'K3', [[195.0, 60.0], [195.0, 250.0]], 1, side: 'right');

            return [$nodes, $elements];
        }
        $elements['k-low-coil'] = new SheetElement('coil', '', [[110.0, 60.0]], 1, side: 'left');
        $elements['k-high-coil'] = new SheetElement('coil', '', [[150.0, 60.0]], 1, side: 'left');
        $elements['k-low-contact'] = new SheetElement('relay', 'low relay', [[190.0, 60.0]], 1, side: 'right');
        $elements['k-high-contact'] = new SheetElement('relay', 'high relay', [[220.0, 60.0]], 1);
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
                'k1-contact' => new SheetElement('relay', 'K1', [[240.0, 60.0]], 1),
                'lamp' => new SheetElement(
                    'lamp',
                    'test lamp',
                    [[390.0, 60.0]],
                    1,
                    side: 'right',
                    groundAt: [390.0, 165.0],
                    with: 'lamp',
                ),
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
        if ($this->layout->twoInputs('a')) {
            return $this->withTwoInputs();
        }
        $nodes = ['resistor-in' => [250.0, 200.0], 'fan-feed' => [380.0, 200.0]];
        $elements = [
            'low-wire' => new SheetElement('wire'),
            'high-wire' => new SheetElement('wire', '', [[380.0, $this->layout->relays ? 60.0 : 130.0]]),
            'resistor' => new SheetElement('resistor', 'resistor', side: 'below'),
        ];
        foreach ($this->layout->fans() as $fan) {
            $x = $fan === 'a' ? 380.0 : 480.0;
            $nodes["$fan-plus"] = [$x, 260.0];
            $bends = $fan === 'b' ? [[$x, 200.0]] : [];
            $elements["plug-$fan"] = new SheetElement('plug', 'plug', $bends, \count($bends), side: 'right');
            [$below, $drawn] = $this->fan($fan, $x);
            [$nodes, $elements] = [$nodes + $below, $elements + $drawn];
        }

        return [$nodes, $elements];
    }

    /** @return array{0: array<string, array{0: float, 1: float}>, 1: array<string, SheetElement>} */
    private function withTwoInputs(): array
    {
        $each = $this->layout->arrangement === 'two-inputs-each';
        [$nodes, $elements] = $this->inputs('a', 250.0, 380.0, 200.0);
        $high = $this->layout->relays ? 60.0 : 130.0;
        $elements['high-wire'] = new SheetElement('wire', '', $this->layout->relays ? [[380.0, $high]] : []);
        $over = $this->layout->relays ? [350.0, 30.0] : [330.0, 95.0];
        switch ($this->layout->arrangement) {
            case 'two-inputs-each':
                [$nodesOfB, $drawn] = $this->inputs('b', 440.0, self::FAR, 240.0);
                $drawn['low-wire-b'] = new SheetElement('wire', '', [[190.0, 240.0]]);
                $drawn['high-wire-b'] = new SheetElement('wire', '', [$over, [self::FAR, $over[1]]]);
                break;
            case 'second-with-high':
                $nodesOfB = ['b-feed' => [480.0, 200.0], 'b-plus' => [480.0, 260.0]];
                $drawn = ['second-wire' => new SheetElement('wire', '', [$over, [480.0, $over[1]]])];
                break;
            case 'second-with-low':
                $nodesOfB = ['b-feed' => [240.0, 245.0], 'b-plus' => [240.0, 275.0]];
                $drawn = ['second-wire' => new SheetElement('wire', '', [[190.0, 225.0], [240.0, 225.0]])];
                break;
            case 'second-before-low':
                $nodesOfB = ['b-feed' => [190.0, 230.0], 'b-plus' => [190.0, 260.0], 'b-return' => [190.0, 375.0]];
                $drawn = ['second-wire' => new SheetElement('wire')];
                $elements['low-wire'] = new SheetElement('wire', '', [[250.0, 375.0]]);
                break;
            default:
                return [$nodes, $elements];
        }
        $drawn += $each ? [] : ['plug-b' => new SheetElement('plug', side: 'left')];
        $nodes += $nodesOfB;
        [$below, $fan] = $this->fan('b', $nodes[$this->layout->plus('b')][0]);

        return [$nodes + $below, $elements + $drawn + $fan];
    }

    /** @return array{0: array<string, array{0: float, 1: float}>, 1: array<string, SheetElement>} */
    private function inputs(string $fan, float $from, float $x, float $y): array
    {
        $own = static fn(string $name): string => Layout::own($name, $fan);
        [$nodes, $elements] = $fan === 'a' ? $this->fan('a', $x) : [[], []];
        $nodes += [
            $own('low-pin') => [$from, $y],
            $own('low-in') => [$from + 40.0, $y],
            $own('high-pin') => [$x, 130.0],
            $own('inner') => [$x, $y],
        ];
        $elements += [
            $own('low-wire') => new SheetElement('wire'),
            $own('plug-low') => new SheetElement('plug', 'plug, low', side: 'above'),
            $own('plug-high') => new SheetElement('plug', 'plug, high', side: $fan === 'a' ? 'right' : 'left'),
            $own('low-brush') => new SheetElement('resistor', 'low input', side: 'below'),
        ];

        return [$nodes, $elements];
    }

    /** @return array{0: array<string, array{0: float, 1: float}>, 1: array<string, SheetElement>} from plus down */
    private function fan(string $fan, float $x): array
    {
        $side = $fan === 'b' && $this->layout->arrangement === 'second-with-high' ? 'right' : 'left';
        $elements = [
            "fan-$fan" => new SheetElement('motor', $fan === 'a' ? 'main fan' : 'second', side: $side),
            "plug-minus-$fan" => new SheetElement('plug', side: 'left'),
        ];
        if (!$this->layout->hasGround($fan)) {
            return [["$fan-minus" => [$x, 340.0]], $elements];
        }
        $elements["ground-$fan"] = new SheetElement('wire', groundAt: [$x, self::BOTTOM]);

        return [["$fan-minus" => [$x, 340.0], "$fan-ground" => [$x, 395.0]], $elements];
    }

    /**
     * What a test lays at the fans: jumpers from the battery, a clip to ground, a lamp in place of a fan.
     *
     * @param array<array-key, array{0: float, 1: float}> $nodes
     *
     * @return array<string, SheetElement>
     */
    private function laid(array $nodes): array
    {
        $elements = [];
        foreach ($this->layout->fans() as $fan) {
            [$x, $plus] = $nodes[$this->layout->plus($fan)];
            $minus = $nodes["$fan-minus"][1];
            $side = $x + 42.0;
            $elements["direct-$fan"] = new SheetElement('jumper', '', with: "direct-$fan", plusAt: [$side, $plus]);
            $elements["direct-minus-$fan"] = new SheetElement(
                'jumper',
                '',
                [[$side, $minus]],
                groundAt: [$side, $minus + 40.0],
                with: "direct-minus-$fan",
            );
            if ($this->layout->twoInputs($fan)) {
                $name = Layout::own('direct-low', $fan);
                [$x, $y] = $nodes[Layout::own('low-in', $fan)];
                $elements[$name] = new SheetElement('jumper', '', with: $name, plusAt: [$x, $y + 45.0]);
            }
        }
        if ($this->layout->pair()) {
            return $elements;
        }
        [$x, $y] = $nodes['a-ground'];
        $elements['lamp'] = $this->layout->twoInputs('a')
            ? new SheetElement('lamp', 'test lamp', [[250.0, 225.0], [305.0, 225.0], [305.0, $y]], 2, with: 'lamp')
            : new SheetElement('lamp', 'test lamp', [[$x + 53.0, 200.0], [$x + 53.0, $y]], 1, with: 'lamp');

        return $elements;
    }
}
