<?php

declare(strict_types=1);

namespace Ispira\Core\Family;

use Ispira\Core\Circuit\Element;

/**
 * A change to one parameter of the netlist, made by a set-up or by a fault.
 */
final readonly class Adjustment
{
    private function __construct(
        public string $parameter,
        public AdjustmentKind $kind,
        public float $value,
    ) {
    }

    public static function set(string $parameter, float $value): self
    {
        return new self($parameter, AdjustmentKind::Set, $value);
    }

    /** Adds to the value: corrosion in a joint, drag on a shaft. */
    public static function add(string $parameter, float $value): self
    {
        return new self($parameter, AdjustmentKind::Add, $value);
    }

    public static function scale(string $parameter, float $factor): self
    {
        return new self($parameter, AdjustmentKind::Scale, $factor);
    }

    /** Raises the value to at least this: a break, an unplugged connector. */
    public static function atLeast(string $parameter, float $value): self
    {
        return new self($parameter, AdjustmentKind::AtLeast, $value);
    }

    /** Lowers the value to at most this: a weld, a short, a bridge. */
    public static function atMost(string $parameter, float $value): self
    {
        return new self($parameter, AdjustmentKind::AtMost, $value);
    }

    /** Breaks an element. */
    public static function opened(string $element): self
    {
        return self::atLeast("$element.ohms", Element::OPEN_OHMS);
    }

    /** Welds, bridges or shorts an element. */
    public static function closed(string $element, float $ohms = 0.004): self
    {
        return self::atMost("$element.ohms", $ohms);
    }

    public function applyTo(float $value): float
    {
        return match ($this->kind) {
            AdjustmentKind::Set => $this->value,
            AdjustmentKind::Add => $value + $this->value,
            AdjustmentKind::Scale => $value * $this->value,
            AdjustmentKind::AtLeast => max($value, $this->value),
            AdjustmentKind::AtMost => min($value, $this->value),
        };
    }
}
