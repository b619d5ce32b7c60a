<?php

declare(strict_types=1);

namespace Ispira\Core\Family\SteppedBlower;

use Ispira\Core\Family\Sheet;
use Ispira\Core\Family\SheetElement;

/**
 * Where everything stands on the circuit sheet of a stepped-resistor blower.
 *
 * Current runs from the battery at the left along the top; the selector fans out to the
 * taps of the pack, highest position on top; the blower stands at the right.
 */
final readonly class Drawing
{
    private const TOP = 58.0;
    private const FED = 226.0;
    private const TAPS = 286.0;
    private const PACK = 344.0;
    private const PACK_END = 420.0;
    private const COMMON = 480.0;
    private const MOTOR = 580.0;

    private float $first;

    private float $step;

    public function __construct(private Variant $variant)
    {
        $this->first = $variant->feedSide ? 104.0 : 140.0;
        $this->step = ($variant->feedSide ? 252.0 : 204.0) / ($variant->top - 1);
    }

    public function sheet(): Sheet
    {
        $v = $this->variant;
        $wiper = $this->y($v->top) + 0.5 * $this->step * ($v->top - 1);
        $nodes = [
            '0' => [40.0, 380.0],
            'battery' => [40.0, self::TOP],
            'fuse-in' => [74.0, self::TOP],
            'fuse-out' => [128.0, self::TOP],
            'wiper' => [self::FED, $wiper],
            'fed' => [self::FED, self::TOP],
            'pack-end' => [self::PACK_END, $this->y($v->top - 1)],
            'pack-common' => [self::COMMON, $this->y($v->top - 1)],
        ];
        if ($v->modeContact) {
            $nodes['relay-out'] = [172.0, self::TOP];
        }
        foreach (range(1, $v->top) as $k) {
            $nodes["tap-$k"] = [self::TAPS, $this->y($k)];
            if ($k < $v->top) {
                $nodes["pack-$k"] = [self::PACK, $this->y($k)];
            }
        }
        $elements = [
            'battery' => new SheetElement('battery', 'battery', side: 'right', groundAt: [40.0, 380.0]),
            'feed' => new SheetElement('wire'),
            'fuse' => new SheetElement('fuse', 'fuse'),
            'relay' => new SheetElement('relay', 'relay'),
        ];
        if ($v->modeContact) {
            $elements['mode'] = new SheetElement('contact', 'mode', side: 'below');
        }
        [$sideNodes, $sideElements] = $v->feedSide ? $this->feedSide() : $this->groundSide();

        return new Sheet(640.0, 416.0, $nodes + $sideNodes, $elements + $this->pack() + $sideElements);
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
        $elements['common'] = $v->thermalFuse ? new SheetElement('fuse', 'thermal fuse', side: 'below') : new SheetElement('wire', 'joint', side: 'below');

        return $elements;
    }

    /** @return array{0: array<string, array{0: float, 1: float}>, 1: array<string, SheetElement>} */
    private function feedSide(): array
    {
        $v = $this->variant;
        $y = $this->y($v->top - 1);
        $nodes = [
            'drive' => [self::MOTOR, $y],
            'motor-plus' => [self::MOTOR, $y + 46.0],
            'motor-minus' => [self::MOTOR, $y + 122.0],
            'return' => [self::MOTOR, $y + 160.0],
        ];
        $elements = [
            'selector' => new SheetElement('wire'),
            'plug-plus' => new SheetElement('plug', 'blower plug', side: 'left'),
            'motor' => new SheetElement('motor', 'blower', side: 'left'),
            'plug-minus' => new SheetElement('wire'),
            'ground' => new SheetElement('wire', 'ground', side: 'left', groundAt: [self::MOTOR, 380.0]),
        ];
        if ($v->high === 'changeover') {
            $nodes['rest'] = [518.0, $y];
            $nodes['pack-out'] = [536.0, $y];
            $elements['rest'] = new SheetElement('relay', 'rest', side: 'above');
            $elements['rest-joint'] = new SheetElement('wire');
        }
        $elements['plug-pack'] = new SheetElement('plug', 'pack plug', side: 'below');
        if (!$v->highRelay()) {
            $elements["tap-$v->top"] = new SheetElement('wire', bends: [[self::MOTOR, $this->y($v->top)]]);

            return [$nodes, $elements];
        }
        $nodes += ['high-in' => [440.0, 26.0], 'high-fused' => [492.0, 26.0], 'high-out' => [540.0, 26.0]];

        return [$nodes, $elements + [
            'high-coil' => new SheetElement('coil', 'high relay', groundAt: [410.0, $this->y($v->top)], side: 'above'),
            'high-feed' => new SheetElement('wire', bends: [[40.0, 26.0]]),
            'high-fuse' => new SheetElement('fuse', 'fuse', side: 'below'),
            'high-contact' => new SheetElement('relay', 'high', side: 'below'),
            'high-joint' => new SheetElement('wire', bends: [[self::MOTOR, 26.0]]),
        ]];
    }

    /** @return array{0: array<string, array{0: float, 1: float}>, 1: array<string, SheetElement>} */
    private function groundSide(): array
    {
        $v = $this->variant;
        $y = $this->y($v->top - 1);
        $drive = 290.0;
        $nodes = [
            'motor-plus' => [self::MOTOR, 100.0],
            'motor-minus' => [self::MOTOR, 180.0],
            'drive' => [self::MOTOR, $drive],
            'return' => [self::FED, 356.0],
        ];
        $elements = [
            'plug-plus' => new SheetElement('plug', 'blower plug', [[self::MOTOR, self::TOP]], 0, 'above'),
            'motor' => new SheetElement('motor', 'blower', side: 'left'),
            'plug-minus' => new SheetElement('plug'),
            'selector' => new SheetElement('wire'),
            'ground' => new SheetElement('wire', 'ground', side: 'left', groundAt: [self::FED, 380.0]),
        ];
        $down = 520.0;
        if ($v->high === 'changeover') {
            $nodes['rest'] = [$down, $y];
            $nodes['pack-out'] = [$down, $y + 26.0];
            $elements['rest'] = new SheetElement('relay', 'rest');
            $elements['rest-joint'] = new SheetElement('wire');
        }
        $bends = $v->high === 'changeover' ? [[$down, $drive]] : [[$down, $y], [$down, $drive]];
        $elements['plug-pack'] = new SheetElement('plug', 'pack plug', $bends, \count($bends) - 1, 'left');
        if (!$v->highRelay()) {
            $elements["tap-$v->top"] = new SheetElement('wire', bends: [[548.0, $this->y($v->top)], [548.0, $drive]]);

            return [$nodes, $elements];
        }
        $nodes += ['high-in' => [430.0, 352.0], 'high-fused' => [470.0, 352.0], 'high-out' => [530.0, 352.0]];

        return [$nodes, $elements + [
            'high-coil' => new SheetElement('coil', 'high relay', [[self::TAPS, self::TOP]], 1, 'right'),
            'high-feed' => new SheetElement('wire', groundAt: [430.0, 380.0]),
            'high-fuse' => new SheetElement('wire'),
            'high-contact' => new SheetElement('relay', 'high'),
            'high-joint' => new SheetElement('wire', bends: [[self::MOTOR, 352.0]]),
        ]];
    }
}
