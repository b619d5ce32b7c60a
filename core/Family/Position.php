<?php

declare(strict_types=1);

namespace Ispira\Core\Family;

/**
 * One cell of the speed strip: a selector position, or off, or key off.
 */
final readonly class Position
{
    /**
     * @param bool             $runs        whether the fan should run here
     * @param list<Adjustment> $adjustments
     */
    public function __construct(
        public string $key,
        public string $label,
        public bool $runs,
        public array $adjustments,
    ) {
    }
}
