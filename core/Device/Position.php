<?php

declare(strict_types=1);

namespace Ispira\Core\Device;

/**
 * One cell of the speed strip: a selector position, or off, or key off.
 */
final readonly class Position
{
    /**
     * @param PositionKind     $kind        what is right here
     * @param list<Adjustment> $adjustments
     * @param string           $mover       element that is heard or seen to move: a motor, a contactor
     */
    public function __construct(
        public string $key,
        public string $label,
        public PositionKind $kind,
        public array $adjustments,
        public string $mover = 'motor',
    ) {}

    /** Whether something should move here. */
    public function runs(): bool
    {
        return $this->kind !== PositionKind::Stands;
    }
}
