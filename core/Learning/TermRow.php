<?php

declare(strict_types=1);

namespace Ispira\Core\Learning;

/**
 * One term, as shipped and as the jobs of a workshop have it.
 */
final readonly class TermRow
{
    /**
     * @param string $key     name of a test, a place, or a part
     * @param float  $shipped minutes, money, days, a chance or years, as its kind says
     * @param float  $own     what was learned
     * @param int    $noted   from how many observations
     * @param float|null $pinned what somebody has set in its place
     */
    public function __construct(
        public TermKind $kind,
        public string $key,
        public float $shipped,
        public float $own,
        public int $noted,
        public ?float $pinned,
    ) {}

    /** What counts. */
    public function value(): float
    {
        return $this->pinned ?? $this->own;
    }

    public function isAsShipped(): bool
    {
        return $this->noted === 0 && $this->pinned === null;
    }
}
