<?php

declare(strict_types=1);

namespace Ispira\Core\Repair\Work;

/**
 * Fasteners of one step that lie together.
 */
final readonly class TrayItem
{
    /**
     * @param int        $step        its number in the order taken off, from one
     * @param string     $what        that they held
     * @param string     $name        head and size as they were told
     * @param float|null $millimetres length, where it was told
     * @param int        $left        how many still lie there
     */
    public function __construct(
        public int $step,
        public string $what,
        public FastenerHead $head,
        public string $name,
        public ?float $millimetres,
        public int $count,
        public int $left,
    ) {}
}
