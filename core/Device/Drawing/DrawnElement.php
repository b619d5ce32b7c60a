<?php

declare(strict_types=1);

namespace Ispira\Core\Device\Drawing;

/**
 * An element as it stands on a sheet, in one state of its circuit.
 */
final readonly class DrawnElement
{
    /**
     * @param list<array{0: float, 1: float}> $bends
     * @param array{0: float, 1: float}|null $groundAt
     * @param 'from'|'to'|null $groundEnd
     */
    public function __construct(
        public string $id,
        public string $from,
        public string $to,
        public string $symbol,
        public string $label,
        public array $bends,
        public int $segment,
        public string $side,
        public ?array $groundAt,
        public ?string $groundEnd,
        public bool $live,
        public bool $open,
    ) {}
}
