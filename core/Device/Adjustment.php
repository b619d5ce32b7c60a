<?php

declare(strict_types=1);

namespace Ispira\Core\Device;

use Ispira\Core\Circuit\Element;

/**
 * A change to one parameter of the netlist, made by a set-up or by a fault.
 */
final readonly class Adjustment
{
    /** Spread of the natural logarithm of a degree around its grid, and up to which a drift grows. */
    private const SPREAD = 0.22;
    private const MOST_DRIFT = 1.3;

    /**
     * @param float|null  $spread of the logarithm of the value, for a slice of a range; null for a point of a grid
     * @param string|null $source the parameter that is followed
     */
    private function __construct(
        public string $parameter,
        public AdjustmentKind $kind,
        public float $value,
        private ?float $spread = null,
        public ?string $source = null,
    ) {}

    public static function set(string $parameter, float $value): self
    {
        return new self($parameter, AdjustmentKind::Set, $value);
    }

    /** Gives the value that another parameter has in this machine, times a factor. */
    public static function follow(string $parameter, string $source, float $factor = 1.0): self
    {
        return new self($parameter, AdjustmentKind::Follow, $factor, source: $source);
    }

    /** Adds to the value: corrosion in a joint, drag on a shaft. */
    public static function add(string $parameter, float $value): self
    {
        return new self($parameter, AdjustmentKind::Add, $value);
    }

    /**
     * A slice of a range of degrees that is even in its logarithm: something added to a parameter.
     *
     * Two-level draws one deviation from the middle of an even range of width w lie w/√12 from it.
     */
    public static function addedWithin(string $parameter, float $from, float $to): self
    {
        return new self($parameter, AdjustmentKind::Add, sqrt($from * $to), log($to / $from) / sqrt(12.0));
    }

    /** The same for a parameter that is multiplied by something between two factors, both above zero. */
    public static function scaledWithin(string $parameter, float $from, float $to): self
    {
        return new self($parameter, AdjustmentKind::Scale, sqrt($from * $to), abs(log($to / $from)) / sqrt(12.0));
    }

    /** The same for a parameter that takes the value of another one times something between two factors. */
    public static function followedWithin(string $parameter, string $source, float $from, float $to): self
    {
        return new self($parameter, AdjustmentKind::Follow, sqrt($from * $to), log($to / $from) / sqrt(12.0), $source);
    }

    /** The same for a parameter that is at most something between two values: a leak, a short that is none quite. */
    public static function atMostWithin(string $parameter, float $from, float $to): self
    {
        return new self($parameter, AdjustmentKind::AtMost, sqrt($from * $to), abs(log($to / $from)) / sqrt(12.0));
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

    /** Whether it stands for a slice of a range. */
    public function isSlice(): bool
    {
        return $this->spread !== null;
    }

    /** Whether it comes in degrees: corrosion, drag and drift do, breaks and welds do not. */
    public function hasDegree(): bool
    {
        return $this->spread !== null || $this->kind === AdjustmentKind::Add || $this->kind === AdjustmentKind::Scale;
    }

    /** The same, more or less of it. @param float $z deviations from the middle of its slice, above 0 for more */
    public function inDegree(float $z): self
    {
        $factor = exp(($this->spread ?? self::SPREAD) * $z);

        return match (true) {
            !$this->hasDegree() => $this,
            $this->spread === null && $this->kind === AdjustmentKind::Scale => new self(
                $this->parameter,
                $this->kind,
                1.0 + ($this->value - 1.0) * min($factor, self::MOST_DRIFT),
            ),
            default => new self($this->parameter, $this->kind, $this->value * $factor, $this->spread, $this->source),
        };
    }

    /** A slice that is so many times wider; anything else as it is. */
    public function widened(float $factor): self
    {
        return $this->spread === null
            ? $this
            : new self($this->parameter, $this->kind, $this->value, $this->spread * $factor, $this->source);
    }

    /** @param float $value of its parameter, or of the one that is followed */
    public function applyTo(float $value): float
    {
        return match ($this->kind) {
            AdjustmentKind::Set => $this->value,
            AdjustmentKind::Add => $value + $this->value,
            AdjustmentKind::Scale, AdjustmentKind::Follow => $value * $this->value,
            AdjustmentKind::AtLeast => max($value, $this->value),
            AdjustmentKind::AtMost => min($value, $this->value),
        };
    }
}
