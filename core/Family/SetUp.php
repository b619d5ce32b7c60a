<?php

declare(strict_types=1);

namespace Ispira\Core\Family;

/**
 * What stands on the bench during a test: a position, and what is unplugged, bridged or loaded.
 */
final readonly class SetUp
{
    /**
     * @param string           $position    key of the selector position
     * @param list<Adjustment> $adjustments on top of the position's
     * @param string|null      $text        key of the sentence that describes it; null for "all plugged in"
     * @param bool             $runs        whether the fan should run here though its position would not let it: fed directly
     */
    public function __construct(
        public string $key,
        public string $position,
        public array $adjustments = [],
        public ?string $text = null,
        public bool $runs = false,
    ) {
    }
}
