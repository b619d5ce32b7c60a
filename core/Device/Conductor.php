<?php

declare(strict_types=1);

namespace Ispira\Core\Device;

/**
 * An element of the netlist that carries current and may come to carry it badly: a pin, a contact, a wire.
 *
 * What is said here once gives its population among sound machines and its faults: resistance from slight to nearly
 * open, and open. Faults that a family declares itself on the same element take these degrees and keep their own keys,
 * odds and words.
 */
final readonly class Conductor
{
    /** Slices into which the range of a bad one is cut. */
    private const SLICES = 5;

    /**
     * @param string        $element   a resistor of the netlist, or a contact that a position closes
     * @param string        $part      whose cleaning or replacement cures it
     * @param float         $resistive relative frequency of resistance in it, where the family declares no fault of its own
     * @param float         $open      the same for a break
     * @param float         $scale     factor on resistances against a 12 V circuit of the same power
     * @param bool          $varies    whether its sound value is an unknown of its own; not for a contact that is made only
     *     by a position
     * @param array<string, array<string, float>> $observed chances of what is seen while it is bad
     */
    private function __construct(
        public string $element,
        public ConductorKind $kind,
        public string $part,
        public float $resistive = 0.0,
        public float $open = 0.0,
        public float $scale = 1.0,
        public bool $varies = true,
        public array $observed = [],
    ) {}

    /** @param float $resistive relative frequency of resistance in it, where the family declares no fault of its own */
    public static function of(string $element, ConductorKind $kind, string $part, float $resistive = 0.0): self
    {
        return new self($element, $kind, $part, $resistive);
    }

    /** The same with breaks of a relative frequency, where the family declares none of its own. */
    public function opening(float $frequency): self
    {
        return $this->with(open: $frequency);
    }

    /** @param array<string, array<string, float>> $observed chances of what is seen while it is bad */
    public function seen(array $observed): self
    {
        return $this->with(observed: $observed);
    }

    /** The same in a circuit with so many times the resistances. */
    public function scaled(float $scale): self
    {
        return $this->with(scale: $scale);
    }

    /** One whose sound value the family gives, from what was typed. */
    public function valuedByFamily(): self
    {
        return $this->with(varies: false);
    }

    /** A contact that only a position of the control closes, to the value that the position gives it. */
    public function madeByPosition(): self
    {
        return $this->with(varies: false);
    }

    /** @param array<string, array<string, float>>|null $observed */
    private function with(
        ?float $open = null,
        ?float $scale = null,
        ?bool $varies = null,
        ?array $observed = null,
    ): self {
        return new self(
            $this->element,
            $this->kind,
            $this->part,
            $this->resistive,
            $open ?? $this->open,
            $scale ?? $this->scale,
            $varies ?? $this->varies,
            $observed ?? $this->observed,
        );
    }

    public function parameter(): string
    {
        return "$this->element.ohms";
    }

    /** Its resistance among sound machines, in Ω. */
    public function unknown(): Unknown
    {
        [$low, $high] = $this->kind->sound();

        return Unknown::within("ohms of $this->element", $low * $this->scale, $high * $this->scale);
    }

    /** @return list<Severity> resistance from slight to nearly open */
    public function degrees(): array
    {
        [$least, $most] = $this->kind->burnt();

        return Severity::adding($this->parameter(), $least * $this->scale, $most * $this->scale, self::SLICES);
    }
}
