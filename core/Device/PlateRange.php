<?php

declare(strict_types=1);

namespace Ispira\Core\Device;

/**
 * What the plate of a machine calls right, in the base unit of a test's quantity; null where nobody typed it yet.
 */
final readonly class PlateRange
{
    public function __construct(public ?float $least, public ?float $most) {}

    /** @phpstan-assert-if-true float $this->least @phpstan-assert-if-true float $this->most */
    public function isKnown(): bool
    {
        return $this->least !== null && $this->most !== null;
    }

    /** The middle of it, or what was given in place of a range. */
    public function middle(?float $otherwise = null): ?float
    {
        return $this->least !== null && $this->most !== null ? 0.5 * ($this->least + $this->most) : $otherwise;
    }
}
