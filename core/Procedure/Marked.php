<?php

declare(strict_types=1);

namespace Ispira\Core\Procedure;

/**
 * What was noted of a procedure: rows of it are only added.
 */
final readonly class Marked
{
    /**
     * @param float      $at     seconds of the server's clock
     * @param float|null $waited seconds that a device counted for the step without the server; null with it in reach
     * @param string|null $by name of the person who noted it, where it is known
     */
    public function __construct(
        public MarkKind $kind,
        public int $step,
        public float $at,
        public ?string $note = null,
        public ?float $waited = null,
        public ?string $by = null,
    ) {}
}
