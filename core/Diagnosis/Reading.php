<?php

declare(strict_types=1);

namespace Ispira\Core\Diagnosis;

/**
 * What a test showed. Readings are never changed: they are struck out and taken again.
 */
final readonly class Reading
{
    /**
     * @param string       $test    key of a test that the circuit has
     * @param float|string|null $value  number in the probe's SI unit, a state or outcome, or null for over-range
     * @param bool         $steady  false when the reading wandered
     * @param float|null   $supplyVolts supply voltage at that moment, where it was noted
     * @param int          $episode how many replacements had been made before it
     * @param bool|null    $misbehaved whether the machine misbehaved at that moment; null when nobody noted it
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
    ) {
    }

    public function struckOut(): self
    {
        return new self($this->id, $this->test, $this->value, $this->steady, $this->trust, $this->supplyVolts, true, $this->episode, $this->misbehaved);
    }

    public function showing(float|string|null $value): self
    {
        return new self($this->id, $this->test, $value, $this->steady, $this->trust, $this->supplyVolts, $this->struck, $this->episode, $this->misbehaved);
    }

    public function isOverRange(): bool
    {
        return $this->value === null;
    }
}
