<?php

declare(strict_types=1);

namespace Ispira\Core\Repair\Work;

/**
 * A step of the strip-down, and how much of it is back on.
 */
final readonly class StepBack
{
    public function __construct(
        public string $id,
        public string $what,
        public int $count,
        public int $back,
        public int $left,
        public ?string $reason,
        public bool $done,
    ) {}
}
