<?php

declare(strict_types=1);

namespace Ispira\Core\Reading;

/**
 * What a test showed. Readings are never changed: they are struck out and taken again.
 */
final readonly class Reading
{
    private const SLIP_IN_DOUBT = 0.25;
    private const WIDER_IN_DOUBT = 3.0;

    /**
     * @param string       $test    key of a test that the circuit has
     * @param float|string|null $value  number in the probe's SI unit, a state or outcome, or null for over-range
     * @param bool         $steady  false when the reading wandered
     * @param float|null   $supplyVolts supply voltage at that moment, where it was noted
     * @param int          $episode how many replacements had been made before it
     * @param bool|null    $misbehaved whether the machine misbehaved at that moment; null when nobody noted it
     * @param string|null  $instrument what it was read from by itself; null when a person typed it
     * @param float        $leadOhms   resistance of the leads in Ω that is already taken off
     * @param list<string> $doubts     rules that doubt it and were not answered
     * @param bool         $kept       whether somebody who was asked answered that it is right
     */
    public function __construct(
        public string $id,
        public string $test,
        public float|string|null $value,
        public bool $steady = true,
        public Trust $trust = Trust::Measured,
        public ?float $supplyVolts = null,
        public bool $struck = false,
        public int $episode = 0,
        public ?bool $misbehaved = null,
        public ?string $instrument = null,
        public float $leadOhms = 0.0,
        public array $doubts = [],
        public bool $kept = false,
    ) {}

    public function struckOut(): self
    {
        return $this->with(['struck' => true]);
    }

    /** As one that somebody was asked about and answered is right. */
    public function answeredFor(): self
    {
        return $this->with(['kept' => true]);
    }

    public function showing(float|string|null $value): self
    {
        return $this->with(['value' => $value]);
    }

    public function inEpisode(int $episode): self
    {
        return $this->with(['episode' => $episode]);
    }

    /** @param list<string> $doubts keys of rules */
    public function doubtedBy(array $doubts): self
    {
        return $this->with(['doubts' => $doubts]);
    }

    public function isDoubted(): bool
    {
        return $this->doubts !== [];
    }

    /** Chance of a slip: a doubt that nobody answered makes it likelier. */
    public function slip(): float
    {
        return $this->isDoubted() ? max(self::SLIP_IN_DOUBT, $this->trust->slip()) : $this->trust->slip();
    }

    /** How many times wider than usual its spread is. */
    public function widening(): float
    {
        return $this->isDoubted() ? self::WIDER_IN_DOUBT : 1.0;
    }

    /**
     * Whether a number lies between two bounds; what is over range lies in what is open above.
     *
     * @param array{0: float, 1: float} $range
     */
    public function liesIn(array $range): bool
    {
        return \is_float($this->value)
            ? $this->value >= $range[0] && $this->value <= $range[1]
            : is_infinite($range[1]);
    }

    public function isOverRange(): bool
    {
        return $this->value === null;
    }

    /** @param array{value?: float|string|null, struck?: bool, episode?: int, doubts?: list<string>, kept?: bool} $changes */
    private function with(array $changes): self
    {
        return new self(
            $this->id,
            $this->test,
            \array_key_exists('value', $changes) ? $changes['value'] : $this->value,
            $this->steady,
            $this->trust,
            $this->supplyVolts,
            $changes['struck'] ?? $this->struck,
            $changes['episode'] ?? $this->episode,
            $this->misbehaved,
            $this->instrument,
            $this->leadOhms,
            $changes['doubts'] ?? $this->doubts,
            $changes['kept'] ?? $this->kept,
        );
    }
}
