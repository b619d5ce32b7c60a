<?php

declare(strict_types=1);

namespace Ispira\Core\Device\Drawing;

/**
 * How one element is drawn.
 */
final readonly class SheetElement
{
    /**
     * @param string $symbol  one of {@see Symbol}
     * @param list<array{0: float, 1: float}> $bends corners between the two ends
     * @param int    $segment which of the straight pieces carries the symbol, from 0
     * @param string $side    where the label stands: left, right, above or below
     * @param array{0: float, 1: float}|null $groundAt where an end at ground is drawn, with a ground sign of its own
     * @param array{0: float, 1: float}|null $plusAt where its first end is drawn instead of at its node, with a sign of
     *     that node's own: the clip of a jumper that is fed from the battery
     * @param array{0: float, 1: float}|null $toAt where its second end meets a line of its node, instead of at the node
     * @param string|list<string>|null $with element, or any of those, that has to be closed for this one to be there at all: a jumper of the bench
     */
    public function __construct(
        public string $symbol,
        public string $label = '',
        public array $bends = [],
        public int $segment = 0,
        public string $side = 'above',
        public ?array $groundAt = null,
        public string|array|null $with = null,
        public ?array $plusAt = null,
        public ?array $toAt = null,
    ) {}
}
