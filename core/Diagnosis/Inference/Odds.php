<?php

declare(strict_types=1);

namespace Ispira\Core\Diagnosis\Inference;

/**
 * How much more often than as shipped each thing is at fault, as the jobs of a workshop say it.
 */
final readonly class Odds
{
    /**
     * @param array<string, float> $ofRemedies factor by remedy
     * @param array<string, array<string, float>> $ofFaults factor by fault, within a remedy
     */
    public function __construct(private array $ofRemedies = [], private array $ofFaults = []) {}

    public static function shipped(): self
    {
        return new self();
    }

    public function isShipped(): bool
    {
        return $this->ofRemedies === [] && $this->ofFaults === [];
    }

    /**
     * By what the shipped chance of an explanation is multiplied; what no job speaks of keeps its own.
     *
     * @param string $fault without the mark of what comes and goes
     */
    public function factor(string $remedy, string $fault): float
    {
        return ($this->ofRemedies[$remedy] ?? 1.0) * ($this->ofFaults[$remedy][$fault] ?? 1.0);
    }
}
