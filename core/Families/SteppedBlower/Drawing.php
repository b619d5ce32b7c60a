<?php

declare(strict_types=1);

namespace Ispira\Core\Families\SteppedBlower;

use Ispira\Core\Device\Drawing\Sheet;
use Ispira\Core\Device\Drawing\SheetElement;
use Ispira\Core\Device\Drawing\Wire;

/**
 * Where everything stands on the circuit sheet of a stepped-resistor blower.
 *
 * Current runs from the battery at the left along the top; the selector fans out to the
 * taps of the pack, highest position on top; the blower stands at the right.
 */
final readonly class Drawing
{
    private const TOP = 66.0;
    private const BOTTOM = 452.0;
    private const BATTERY = 38.0;
    private const FED = 176.0;
    private const TAPS = 226.0;
    private const WIRES = 238.0;
    private const PACK = 276.0;
    private const PACK_END = 340.0;
    private const COMMON = 398.0;
    private const MOTOR = 492.0;

    /** Where what is laid for a test stands, beside the blower. */
    private const BESIDE = 548.0;

    private float $first;

    private float $step;

    public function __construct(private Variant $variant)
    {
        $this->first = $variant->feedSide ? 112.0 : 156.0;
        $this->step = ($variant->feedSide ? 318.0 : 250.0) / ($variant->top - 1);
    }

    public function sheet(): Sheet
    {
        $v = $this->variant;
        $nodes = [
            '0' => [self::BATTERY, self::BOTTOM],
            'battery' => [self::BATTERY, self::TOP],
            'fuse-in' => [58.0, self::TOP],
            'fuse-out' => [100.0, self::TOP],
            'wiper' => [self::FED, $this->y($v->top) + 0.5 * $this->step * ($v->top - 1)],
            'fed' => [self::FED, self::TOP],
            'pack-end' => [self::PACK_END, $this->y($v->top - 1)],
            'pack-common' => [self::COMMON, $this->y($v->top - 1)],
        ];
        if ($v->mode === 'feed') {
            $nodes['relay-out'] = [138.0, self::TOP];
        }
        foreach (range(1, $v->top) as $k) {
            $nodes["tap-$k"] = [self::TAPS, $this->y($k)];
            $nodes["wire-$k"] = [self::WIRES, $this->y($k)];
            if ($k < $v->top) {
                $nodes["pack-$k"] = [self::PACK, $this->y($k)];
            }
        }
        $elements = [
            'battery' => new SheetElement('battery', 'battery', side: 'right', groundAt: [self::BATTERY, self::BOTTOM]),
            'feed' => new SheetElement('wire'),
            'fuse' => new SheetElement('fuse', 'fuse'),
            'relay' => new SheetElement('relay', 'relay'),
        ];
        if ($v->modeContact()) {
            $elements['mode'] = new SheetElement('relay', 'mode', side: $v->mode === 'feed' ? 'below' : 'left');
        }
        [$sideNodes, $sideElements] = $v->feedSide ? $this->feedSide() : $this->groundSide();
        if ($v->mode === 'return') {
            [$x, $y] = $sideNodes['return'];
            $sideNodes['mode-out'] = [$x, $y + 26.0];
        }

        $nodes += $sideNodes;

        return new Sheet(575.0, 474.0, $nodes, $elements + $this->pack() + $sideElements + $this->laid($nodes));
    }

    private function y(int $position): float
    {
        return $this->first + ($this->variant->top - $position) * $this->step;
    }

    /** @return array<string, SheetElement> */
    private function pack(): array
    {
        $v = $this->variant;
        $elements = [];
        foreach (range(1, $v->top) as $k) {
            $elements["contact-$k"] = new SheetElement('contact', (string) $k, side: 'end');
            $elements["pin-$k"] = new SheetElement('wire');
        }
        foreach ($v->lowPositions() as $k) {
            $elements["tap-$k"] = new SheetElement('plug');
            $last = $k === $v->top - 1;
            $elements["resistor-$k"] = match (true) {
                $last => new SheetElement('resistor', "R$k"),
                $v->chain => new SheetElement('resistor', "R$k", side: 'right'),
                default => new SheetElement('resistor', "R$k", [[self::PACK_END, $this->y($k)]]),
            };
        }
        $elements['common'] = $v->thermalFuse
            ? new SheetElement('fuse', 'thermal fuse', side: 'below')
            : new SheetElement('wire', 'joint', side: 'below');

        return $elements;
    }

    /** @return array{0: array<string, array{0: float, 1: float}>, 1: array<string, SheetElement>} */
    private function feedSide(): array
    {
        $v = $this->variant;
        $y = $this->y($v->top - 1);
        $plus = max($y + 62.0, 240.0);
        $nodes = [
            'drive' => [self::MOTOR, $y],
            'motor-plus' => [self::MOTOR, $plus],
            'motor-minus' => [self::MOTOR, $plus + 84.0],
            'return' => [self::MOTOR, $plus + ($v->mode === 'return' ? 104.0 : 116.0)],
        ];
        $elements = [
            'selector' => new SheetElement('wire'),
            'plug-plus' => new SheetElement('plug', 'blower plug', side: 'left'),
            'motor' => new SheetElement('motor', 'blower', side: 'left'),
            'plug-minus' => new SheetElement('wire'),
            'ground' => new SheetElement('wire', 'ground', side: 'left', groundAt: [self::MOTOR, self::BOTTOM]),
        ];
        $elements['plug-pack'] = new SheetElement('plug', 'pack plug');
        if ($v->high === 'changeover') {
            $nodes['rest'] = [430.0, $y];
            $nodes['pack-out'] = [444.0, $y];
            $elements['rest'] = new SheetElement('relay', 'rest');
            $elements['rest-joint'] = new SheetElement('wire');
            $elements['plug-pack'] = new SheetElement('plug', 'plug');
        }
        if (!$v->highRelay()) {
            $elements["tap-$v->top"] = new SheetElement('wire', bends: [[self::MOTOR, $this->y($v->top)]]);

            return [$nodes, $elements];
        }
        $nodes += ['high-in' => [330.0, 28.0], 'high-fused' => [376.0, 28.0], 'high-out' => [436.0, 28.0]];

        return [
            $nodes,
            $elements + [
                'high-coil' => new SheetElement('coil', 'high relay', groundAt: [340.0, $this->y($v->top)]),
                'high-feed' => new SheetElement('wire', bends: [[self::BATTERY, 28.0]]),
                'high-fuse' => new SheetElement('fuse', 'fuse', side: 'below'),
                'high-contact' => new SheetElement('relay', 'high', side: 'below'),
                'high-joint' => new SheetElement('wire', bends: [[self::MOTOR, 28.0]]),
            ],
        ];
    }

    /** @return array{0: array<string, array{0: float, 1: float}>, 1: array<string, SheetElement>} */
    private function groundSide(): array
    {
        $v = $this->variant;
        $y = $this->y($v->top - 1);
        $drive = max($y + 40.0, 300.0);
        $down = 442.0;
        $nodes = [
            'motor-plus' => [self::MOTOR, 116.0],
            'motor-minus' => [self::MOTOR, 204.0],
            'drive' => [self::MOTOR, $drive],
            'return' => [self::FED, $v->mode === 'return' ? 404.0 : 424.0],
        ];
        $elements = [
            'plug-plus' => new SheetElement('plug', 'blower plug', [[self::MOTOR, self::TOP]], 0),
            'motor' => new SheetElement('motor', 'blower', side: 'left'),
            'plug-minus' => new SheetElement('plug'),
            'selector' => new SheetElement('wire'),
            'ground' => new SheetElement('wire', 'ground', side: 'left', groundAt: [self::FED, self::BOTTOM]),
        ];
        if ($v->high === 'changeover') {
            $nodes['rest'] = [$down, $y];
            $nodes['pack-out'] = [$down, $y + 30.0];
            $elements['rest'] = new SheetElement('relay', 'rest');
            $elements['rest-joint'] = new SheetElement('wire');
        }
        $bends = $v->high === 'changeover' ? [[$down, $drive]] : [[$down, $y], [$down, $drive]];
        $elements['plug-pack'] = new SheetElement('plug', 'pack plug', $bends, \count($bends) - 1, 'left');
        if (!$v->highRelay()) {
            $elements["tap-$v->top"] = new SheetElement('wire', bends: [[466.0, $this->y($v->top)], [466.0, $drive]]);

            return [$nodes, $elements];
        }
        $nodes += ['high-in' => [330.0, 428.0], 'high-fused' => [364.0, 428.0], 'high-out' => [430.0, 428.0]];

        return [
            $nodes,
            $elements + [
                'high-coil' => new SheetElement('coil', 'high relay', [[self::WIRES, self::TOP]], 1, 'right'),
                'high-feed' => new SheetElement('wire', groundAt: [330.0, self::BOTTOM]),
                'high-fuse' => new SheetElement('wire'),
                'high-contact' => new SheetElement('relay', 'high'),
                'high-joint' => new SheetElement('wire', bends: [[self::MOTOR, 428.0]]),
            ],
        ];
    }

    /**
     * What a test lays: a lamp in place of the blower, jumpers to it, taps joined, a contact bridged.
     *
     * @param array<array-key, array{0: float, 1: float}> $nodes
     *
     * @return array<string, SheetElement>
     */
    private function laid(array $nodes): array
    {
        $v = $this->variant;
        $ends = [$nodes[$v->plusNode()], $nodes[$v->minusNode()]];
        $over = $v->feedSide ? [] : [[$ends[0][0], 36.0]];
        $height = $v->feedSide ? $ends[0][1] : 36.0;
        $elements = [
            'lamp' => new SheetElement(
                'lamp',
                'test lamp',
                [...$over, [self::BESIDE, $height], [self::BESIDE, $ends[1][1]]],
                \count($over) + 1,
                side: 'left',
                with: 'lamp',
            ),
            'direct-plus' => new SheetElement(
                'jumper',
                'fused jumper',
                with: 'direct-plus',
                plusAt: [self::BESIDE, $nodes['motor-plus'][1]],
            ),
            'direct-minus' => new SheetElement(
                'jumper',
                '',
                [[self::BESIDE, $nodes['motor-minus'][1]]],
                groundAt: [self::BESIDE, self::BOTTOM],
                with: 'direct-minus',
            ),
        ];
        foreach ($v->lowPositions() as $k) {
            $elements["bridge-$k"] = new SheetElement('jumper', '', with: "bridge-$k");
            $elements["touch-$k"] = new SheetElement('jumper', '', with: "touch-$k");
        }
        if ($v->modeContact()) {
            $at = array_map(static fn(string $node): array => $nodes[$node], $v->modeNodes());
            $level = Wire::same($at[0][1], $at[1][1]);
            $elements['mode-other'] = new SheetElement(
                'jumper',
                '',
                array_map(
                    static fn(array $end): array => [$end[0] - ($level ? 0.0 : 28.0), $end[1] - ($level ? 28.0 : 0.0)],
                    $at,
                ),
                1,
                with: 'mode-other',
            );
        }

        return $elements;
    }
}
