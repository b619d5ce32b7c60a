<?php

declare(strict_types=1);

namespace Ispira\Core\Learning;

/**
 * One observation of what something took.
 */
final readonly class NotedTerm
{
    /**
     * @param string $key    name of a test, a place, or a part
     * @param string $source where a part was bought; empty where that is not known
     * @param float  $value  a multiple of what ships where the kind says so; otherwise days, 0 or 1 for a come-back, and
     *     nothing for a part that was fitted, whose life is counted from its day
     * @param string $unit   on which a part was fitted
     * @param string $on     day, YYYY-MM-DD
     */
    public function __construct(
        public TermKind $kind,
        public string $key,
        public string $source,
        public float $value,
        public string $unit,
        public string $on,
    ) {}
}
