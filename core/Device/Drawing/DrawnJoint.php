<?php

declare(strict_types=1);

namespace Ispira\Core\Device\Drawing;

/**
 * A place where lines are joined: what only crosses has none.
 */
final readonly class DrawnJoint
{
    /** @param array{0: float, 1: float} $at */
    public function __construct(public array $at, public bool $live) {}
}
