<?php

declare(strict_types=1);

namespace Ispira\Core\Diagnosis\Presentation;

use Ispira\Core\Device\CircuitModel;
use Ispira\Core\Device\Drawing\DrawnSheet;
use Ispira\Core\Device\Drawing\Placement;
use Ispira\Core\Device\Drawing\PotentialWords;
use Ispira\Core\Device\SetUp;
use Ispira\Core\Diagnosis\Inference\DrawnValues;
use Ispira\Core\Diagnosis\Inference\Hypothesis;
use Ispira\Core\Diagnosis\Inference\Simulator;

/**
 * How a circuit behaves when nothing is wrong, at the middle of what is unknown: for the strip and the sheet.
 */
final class SoundCircuit
{
    private readonly Simulator $simulator;

    private readonly Hypothesis $sound;

    /** @var list<float> */
    private readonly array $values;

    public function __construct(private readonly CircuitModel $circuit)
    {
        $this->simulator = new Simulator($circuit);
        $this->sound = Hypothesis::sound();
        $this->values = DrawnValues::single($circuit, $this->simulator->solver, static fn(): float => 0.0)->vectors[0];
    }

    /**
     * Speed expected in each position, as a part of the highest.
     *
     * @return array<string, float>
     */
    public function speeds(): array
    {
        $speeds = [];
        foreach ($this->circuit->positions as $key => $position) {
            $point = $this->simulator->solver->solve(
                $this->simulator->valuesFor($this->values, $this->circuit->setUps[(string) $key], $this->sound),
            );
            $speeds[(string) $key] = abs($point->speed($position->mover));
        }
        $full = max(1e-9, ...array_values($speeds));

        return array_map(static fn(float $speed): float => $speed / $full, $speeds);
    }

    /** Everything of the sheet where it stands in a set-up. */
    public function placement(SetUp $setUp): Placement
    {
        $values = $this->simulator->valuesFor($this->values, $setUp, $this->sound);

        return new Placement($this->circuit->sheet, $this->circuit->netlist, $this->simulator->solver->solve($values));
    }

    /**
     * The sheet for a set-up: what is closed, where current flows, and the potential of each node.
     */
    public function sheet(SetUp $setUp): DrawnSheet
    {
        return DrawnSheet::of($this->placement($setUp), $this->circuit->places, $this->potential());
    }

    /** What a potential is called here. */
    private function potential(): PotentialWords
    {
        $word = fn(string $key): string => $this->circuit->texts->find("potential.$key") ??
            Words::general("potential.$key");

        return new PotentialWords(
            unit: $word('unit'),
            show: $word('show'),
            hide: $word('hide'),
            supply: $word('supply'),
        );
    }
}
