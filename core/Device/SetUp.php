<?php

declare(strict_types=1);

namespace Ispira\Core\Device;

/**
 * What stands on the bench during a test: a position, and what is unplugged, bridged or loaded.
 */
final readonly class SetUp
{
    /**
     * @param string           $position    key of the selector position
     * @param list<Adjustment> $adjustments on top of the position's
     * @param string|null      $text        key of the sentence that describes it; null for "all plugged in"
     * @param PositionKind|null $kind       what is right here, where the set-up changes it: fed directly, parked by
     *     hand
     * @param string|null      $mover       element that moves here, where it is not the position's
     * @param list<Adjustment> $atRest      what the shaft itself switches when it comes to its place of rest
     */
    public function __construct(
        public string $key,
        public string $position,
        public array $adjustments = [],
        public ?string $text = null,
        public ?PositionKind $kind = null,
        public ?string $mover = null,
        public array $atRest = [],
    ) {}
}
