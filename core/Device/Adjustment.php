<?php

declare(strict_types=1);

namespace Ispira\Core\Device;

use Ispira\Core\Circuit\Element;

/**
 * A change to one parameter of the netlist, made by a set-up or by a fault.
 */
final readonly class Adjustment
{
    /** Up to which a drift grows, so that nothing is scaled below zero. */
    private const MOST_DEGREE = 1.3;

    private function __construct(public string $parameter, public AdjustmentKind $kind, public float $value) {}

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

    /** Whether it only keeps a value from being lower or higher than its own. */
    public function isLimit(): bool
    {
        return $this->kind === AdjustmentKind::AtLeast || $this->kind === AdjustmentKind::AtMost;
    }

    /** Whether it comes in degrees: corrosion, drag and drift do, breaks and welds do not. */
    public function hasDegree(): bool
    {
        return $this->kind === AdjustmentKind::Add || $this->kind === AdjustmentKind::Scale;
    }

    /** The same, more or less of it. @param float $factor above 1 for more */
    public function inDegree(float $factor): self
    {
        return match ($this->kind) {
            AdjustmentKind::Add => new self($this->parameter, $this->kind, $this->value * $factor),
            AdjustmentKind::Scale => new self(
                $this->parameter,
                $this->kind,
                1.0 + ($this->value - 1.0) * min($factor, self::MOST_DEGREE),
            ),
            default => $this,
        };
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
