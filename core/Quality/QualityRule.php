<?php

declare(strict_types=1);

namespace Ispira\Core\Quality;

/**
 * One way in which a reading can be wrong though it was written down right.
 */
interface QualityRule
{
    /** Stable key, kept with the reading. */
    public function key(): string;

    /**
     * What to say about the reading, in words that ask and say what to do; null when the rule has no doubt.
     */
    public function doubt(ReadingInContext $context): ?string;
}
