<?php

declare(strict_types=1);

namespace Ispira\Core\Device\Drawing;

/**
 * A place where a node is drawn once more instead of a line to it: ground, a clip on the battery.
 */
final readonly class DrawnSign
{
    /**
     * @param array{0: float, 1: float} $at
     * @param 'ground'|'plus'           $kind
     */
    public function __construct(public array $at, public string $kind, public string $node) {}
}
