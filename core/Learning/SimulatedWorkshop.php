<?php

declare(strict_types=1);

namespace Ispira\Core\Learning;

use Ispira\Core\Device\CircuitModel;
use Ispira\Core\Diagnosis\Inference\Hypothesis;
use Ispira\Core\Diagnosis\Inference\HypothesisList;
use Ispira\Core\Kernel\RandomSource;

/**
 * A workshop in a world of its own: there each thing fails more or less often than as shipped.
 */
final readonly class SimulatedWorkshop
{
    /** @var array<string, Hypothesis> what can be at fault there */
    private array $hypotheses;

    /** @var array<string, float> how often, by hypothesis */
    private array $chances;

    /**
     * @param float $apart how far its world lies from the shipped one: the standard deviation of the logarithm by which
     *     each remedy differs, and half of that within a remedy; none for the shipped world itself
     * @param float $falseProofs share of its closed jobs that name something else than what was at fault
     */
    public function __construct(
        private CircuitModel $circuit,
        private RandomSource $chance,
        float $apart,
        private float $falseProofs = 0.0,
    ) {
        $this->hypotheses = HypothesisList::of($circuit, false);
        $of = $within = [];
        $chances = [];
        foreach ($this->hypotheses as $key => $hypothesis) {
            $remedy = $hypothesis->remedy();
            $fault = $hypothesis->faultKey();
            $of[$remedy] ??= exp($apart * $chance->normal());
            $within[$fault] ??= exp(0.5 * $apart * $chance->normal());
            $chances[$key] = $hypothesis->prior * $of[$remedy] * $within[$fault];
        }
        $total = array_sum($chances);
        $this->chances = array_map(static fn(float $one): float => $one / $total, $chances);
    }

    /** The next thing that fails there. */
    public function next(): Hypothesis
    {
        return $this->hypotheses[$this->chance->pick($this->chances)];
    }

    /** How its closed job is counted: what was at fault, or what somebody took for it. */
    public function closed(Hypothesis $hidden): ProvenJob
    {
        $named = $hidden;
        if ($this->chance->happens($this->falseProofs)) {
            $named = $this->hypotheses[$this->chance->pick($this->asShipped())];
        }

        return new ProvenJob($named->remedy(), [rtrim($named->faultKey(), '~') => 1.0]);
    }

    /**
     * How badly some odds foretell what comes there: the mean of the negative logarithm of the chance of the remedy,
     * over all that can come (its expectation, not a sample of it).
     *
     * @param array<string, float> $chances by remedy
     */
    public function logLoss(array $chances): float
    {
        $loss = 0.0;
        foreach ($this->remedies() as $remedy => $often) {
            $loss -= $often * log($chances[$remedy]);
        }

        return $loss;
    }

    /** @return array<string, float> how often each remedy is due there */
    public function remedies(): array
    {
        return HypothesisList::byRemedy($this->hypotheses, $this->chances);
    }

    /** @return array<string, float> by hypothesis */
    private function asShipped(): array
    {
        return array_map(static fn(Hypothesis $one): float => $one->prior, $this->hypotheses);
    }
}
