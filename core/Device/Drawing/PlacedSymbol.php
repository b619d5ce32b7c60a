<?php

declare(strict_types=1);

namespace Ispira\Core\Device\Drawing;

use Ispira\Core\Circuit\Element;

/**
 * An element where it stands on a sheet: its sign, and the lines that lead up to its two terminals.
 *
 * @phpstan-import-type Point from Wire
 */
final readonly class PlacedSymbol
{
    /** Half of the gap in a line that is apart. */
    private const GAP = 9.0;

    /**
     * @param Point      $middle of the sign
     * @param float      $angle  of its length, in radians
     * @param list<Wire> $wires  the line as a whole, or the two that end at the terminals
     */
    private function __construct(
        public Element $element,
        public SheetElement $drawn,
        public Symbol $symbol,
        public array $middle,
        public float $angle,
        public float $half,
        public bool $open,
        public array $wires,
    ) {}

    /** Places an element; null where one of its ends has no place or the sign no stretch of its line. */
    public static function of(SheetElement $drawn, Element $element, Sheet $sheet, string $ground, bool $open): ?self
    {
        $points = self::path($drawn, $element, $sheet, $ground);
        $a = $points[$drawn->segment] ?? null;
        $b = $points[$drawn->segment + 1] ?? null;
        if ($a === null || $b === null) {
            return null;
        }
        $symbol = Symbol::from($drawn->symbol);
        $middle = [0.5 * ($a[0] + $b[0]), 0.5 * ($a[1] + $b[1])];
        $angle = atan2($b[1] - $a[1], $b[0] - $a[0]);
        $half = match (true) {
            $symbol === Symbol::Contact => 0.5 * hypot($b[0] - $a[0], $b[1] - $a[1]),
            $symbol->joins() => $open ? self::GAP : 0.0,
            default => $symbol->half(),
        };
        $edge = static fn(float $sign): array => [
            $middle[0] + $sign * $half * cos($angle),
            $middle[1] + $sign * $half * sin($angle),
        ];
        $wires =
            $half === 0.0
                ? [new Wire($element->id, $element->from, $points)]
                : [
                    new Wire($element->id, $element->from, [
                        ...\array_slice($points, 0, $drawn->segment + 1),
                        $edge(-1.0),
                    ]),
                    new Wire($element->id, $element->to, [$edge(1.0), ...\array_slice($points, $drawn->segment + 1)]),
                ];

        return new self($element, $drawn, $symbol, $middle, $angle, $half, $open, $wires);
    }

    public function joins(): bool
    {
        return $this->symbol->joins() && !$this->open;
    }

    /** Whether the sign is longer than the stretch that it stands on. */
    public function overhangs(): bool
    {
        foreach ($this->symbol->joins() ? [] : $this->wires as $wire) {
            $count = \count($wire->points);
            [$before, $after] =
                $wire === $this->wires[0]
                    ? [$wire->points[$count - 2], $wire->points[$count - 1]]
                    : [$wire->points[0], $wire->points[1]];
            $along = ($after[0] - $before[0]) * cos($this->angle) + ($after[1] - $before[1]) * sin($this->angle);
            if ($along < -0.5) {
                return true;
            }
        }

        return false;
    }

    /** @return list<Point> */
    private static function path(SheetElement $drawn, Element $element, Sheet $sheet, string $ground): array
    {
        $at = static fn(string $node): ?array => $node === $ground && $drawn->groundAt !== null
            ? $drawn->groundAt
            : $sheet->nodes[$node] ?? null;
        [$from, $to] = [$drawn->plusAt ?? $at($element->from), $drawn->toAt ?? $at($element->to)];

        return $from === null || $to === null ? [] : [$from, ...$drawn->bends, $to];
    }
}
