<?php

declare(strict_types=1);

namespace Ispira\Core\Learning\Shown;

/**
 * One reading, and what was believed after it.
 */
final readonly class ReplayStep
{
    /**
     * @param float $chosen chance of what was replaced in vain
     * @param float $truth  chance of what it was in the end
     * @param float $speaks natural logarithm of what it did to the odds of the truth over the other
     */
    public function __construct(
        public string $test,
        public string $reading,
        public float $chosen,
        public float $truth,
        public float $speaks,
    ) {}
}
