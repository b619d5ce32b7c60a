<?php

declare(strict_types=1);

namespace Ispira\Core\Diagnosis\Decision;

use Ispira\Core\Diagnosis\Inference\Hypothesis;

/**
 * A remedy with the chance that it is the right one.
 */
final readonly class Suspect
{
    /**
     * @param string                     $remedy  part keys joined by "+", "none" or "something-else"
     * @param array<string, float>       $faults  probability by fault key, largest first
     * @param array<string, Hypothesis>  $examples likeliest hypothesis of each fault
     * @param array<string, float>       $origins after a replacement: share by origin
     */
    public function __construct(
        public string $remedy,
        public float $probability,
        public array $faults,
        public array $examples,
        public float $cost,
        public array $origins,
    ) {}

    /** Whether it names parts to replace; nothing wrong and something that is not in the list do not. */
    public function namesParts(): bool
    {
        return Hypothesis::isOfParts($this->remedy);
    }

    /** The same with the odds that may be stated, see {@see StatedOdds}. */
    public function stated(): self
    {
        $stated = StatedOdds::of($this->remedy, $this->probability);
        $share = $this->probability > 0.0 ? $stated / $this->probability : 0.0;

        return new self(
            $this->remedy,
            $stated,
            array_map(static fn(float $chance): float => $share * $chance, $this->faults),
            $this->examples,
            $this->cost,
            $this->origins,
        );
    }

    /** The likeliest hypothesis that this remedy cures. */
    public function leading(): Hypothesis
    {
        return $this->examples[array_key_first($this->faults)];
    }
}
