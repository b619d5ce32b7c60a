<?php

declare(strict_types=1);

namespace Ispira\Core\Device;

/**
 * A way in which a part fails.
 */
final readonly class Fault
{
    /**
     * @param string         $part         key of the part whose replacement cures it
     * @param float          $prior        relative frequency; only ratios count
     * @param list<Severity> $severities   a small grid for what is continuous
     * @param array<string, array<string, float>> $observed chances of outcomes, by observation, where they differ from
     *     the usual
     * @param bool           $comesAndGoes whether an intermittent form exists
     * @param bool           $loose        whether readings through it wander when it is moved
     * @param array<string, array<string, float>> $observedPassing the same for its intermittent form, on top
     * @param array<string, string> $words values for the placeholders of its sentence
     * @param string         $element      element on the circuit sheet that it marks
     * @param bool           $upstream     whether it drives what fails: suspected more where several parts were
     *     replaced before
     * @param Decoupling|null $decouples   where the shaft no longer moves what it should: a stripped gear
     */
    public function __construct(
        public string $key,
        public string $text,
        public string $part,
        public float $prior,
        public array $severities,
        public array $observed = [],
        public bool $comesAndGoes = false,
        public array $observedPassing = [],
        public bool $loose = false,
        public array $words = [],
        public string $element = '',
        public bool $upstream = false,
        public ?Decoupling $decouples = null,
    ) {}

    /** The same with another relative frequency. */
    public function weighing(float $prior): self
    {
        return $this->with($prior, $this->severities, $this->observed);
    }

    /** @param list<Severity> $severities the same in other degrees */
    public function inDegrees(array $severities): self
    {
        return $this->with($this->prior, $severities, $this->observed);
    }

    /** @param array<string, array<string, float>> $observed chances of outcomes, by observation, where it has none */
    public function alsoSeen(array $observed): self
    {
        return $this->with($this->prior, $this->severities, $this->observed + $observed);
    }

    /**
     * @param list<Severity>                      $severities
     * @param array<string, array<string, float>> $observed
     */
    private function with(float $prior, array $severities, array $observed): self
    {
        return new self(
            $this->key,
            $this->text,
            $this->part,
            $prior,
            $severities,
            $observed,
            $this->comesAndGoes,
            $this->observedPassing,
            $this->loose,
            $this->words,
            $this->element,
            $this->upstream,
            $this->decouples,
        );
    }
}
