<?php

declare(strict_types=1);

namespace Ispira\Core\Device;

use Ispira\Core\Circuit\Netlist;
use Ispira\Core\Circuit\SolvedState;

/**
 * A circuit sheet in one state of its circuit: what is closed, where current flows, the potential of each node.
 */
final class DrawnSheet
{
    /** Current in A from which an element is drawn as live. */
    private const LIVE_FROM = 0.02;

    private function __construct() {}

    /**
     * @param array<array-key, string> $places where each node is found, in words
     * @param array{unit: string, show: string, hide: string, supply: string} $potential what a potential is called
     *
     * @return array{width: float, height: float, nodes: array<array-key, array{x: float, y: float, volts: float|null, place: string}>, potential: array{unit: string, show: string, hide: string, supply: string}, elements: list<array{id: string, from: string, to: string, symbol: string, label: string, bends: list<array{0: float, 1: float}>, segment: int, side: string, groundAt: array{0: float, 1: float}|null, groundEnd: string|null, live: bool, open: bool}>}
     */
    public static function of(
        Sheet $sheet,
        Netlist $netlist,
        SolvedState $point,
        array $places,
        array $potential,
    ): array {
        $nodes = [];
        foreach ($sheet->nodes as $node => [$x, $y]) {
            $nodes[$node] = [
                'x' => $x,
                'y' => $y,
                'volts' => $point->potential((string) $node),
                'place' => $places[$node] ?? (string) $node,
            ];
        }
        $elements = [];
        foreach ($sheet->elements as $id => $drawn) {
            if ($drawn->with !== null && $point->isOpen($drawn->with)) {
                continue;
            }
            $element = $netlist->elements[$id];
            $elements[] = [
                'id' => $id,
                'from' => $element->from,
                'to' => $element->to,
                'symbol' => $drawn->symbol,
                'label' => $drawn->label,
                'bends' => $drawn->bends,
                'segment' => $drawn->segment,
                'side' => $drawn->side,
                'groundAt' => $drawn->groundAt,
                'groundEnd' => $drawn->groundAt === null ? null : ($element->from === $netlist->ground ? 'from' : 'to'),
                'live' => abs($point->current($id)) > self::LIVE_FROM,
                'open' => $point->isOpen($id),
            ];
        }

        return [
            'width' => $sheet->width,
            'height' => $sheet->height,
            'nodes' => $nodes,
            'potential' => $potential,
            'elements' => $elements,
        ];
    }
}
