<?php

declare(strict_types=1);

namespace Ispira\Core\Diagnosis\Trial;

use Ispira\Core\Device\CircuitModel;
use Ispira\Core\Device\Position;
use Ispira\Core\Device\PositionKind;
use Ispira\Core\Device\Quantity;
use Ispira\Core\Device\Test;
use Ispira\Core\Diagnosis\Inference\Hypothesis;
use Ispira\Core\Diagnosis\Inference\Judged;
use Ispira\Core\Diagnosis\Inference\Likelihood;
use Ispira\Core\Diagnosis\Inference\Misbehaviour;
use Ispira\Core\Diagnosis\Inference\OneMachine;
use Ispira\Core\Diagnosis\Inference\SpeedState;
use Ispira\Core\Kernel\RandomSource;
use Ispira\Core\Reading\MeterAccuracy;
use Ispira\Core\Reading\PickUp;
use Ispira\Core\Reading\Reading;

/**
 * A unit with a hidden fault, component values of its own and a person who reads a meter.
 *
 * Its values are drawn apart from the engine's, its meter errs, and now and then a
 * reading is a slip.
 */
final class SimulatedUnit
{
    /** How much likelier with the fault than without something must be to be complained of. */
    private const COMPLAINED_OF = 2.0;

    /** Spread of the natural logarithm of a fault's degree around that of the grid. */
    private const DEGREE_SPREAD = 0.9;

    private const WANDERS = 0.03;
    private const WANDERS_WHEN_LOOSE = 0.4;

    /** An intermittent fault shows or not for a whole visit to a set-up. */
    private ?string $visited = null;

    private bool $shows = true;

    private readonly OneMachine $machine;

    /** Whose ears the person has, see {@see SpeedState::chances()}. */
    private int $ear;

    private readonly Hypothesis $truth;

    private readonly Hypothesis $sound;

    private readonly PickUp $pickUp;

    /**
     * @param float           $slips share of its readings that are slips
     * @param bool            $wide  whether its values differ as those of real machines do: {@see ForeignWorld}
     * @param Hypothesis|null $sound what is right in this circuit, where that is not all of it: {@see Leak}
     */
    public function __construct(
        private readonly CircuitModel $circuit,
        Hypothesis $truth,
        private RandomSource $chance,
        private readonly float $slips,
        bool $wide = false,
        ?Hypothesis $sound = null,
    ) {
        $this->machine = $wide
            ? OneMachine::of($circuit, ForeignWorld::machine($circuit, $chance))
            : OneMachine::drawn($circuit, $chance->normal(...));
        $this->truth = $this->ofOwnDegree($truth);
        $this->sound = $sound ?? Hypothesis::sound();
        $this->pickUp = PickUp::in($circuit->netlist);
        $this->ear = $this->earOf(0);
    }

    /** Of the machine's first person, the second and so on: by its values, as if thrown with them. */
    private function earOf(int $person): int
    {
        return (int) fmod(1e5 * $this->machine->value($this->circuit->supply) + $person, SpeedState::EARS);
    }

    public function remedy(): string
    {
        return $this->truth->remedy();
    }

    /** The same machine, read by another person with another meter: what chance there is comes of that source. */
    public function readBy(RandomSource $chance): self
    {
        $again = clone $this;
        $again->chance = $chance;
        $again->ear = $this->earOf($this->ear + 1);

        return $again;
    }

    /** @return list<Reading> of every position, before any repair */
    public function map(): array
    {
        return array_map(
            fn(Position $position): Reading => $this->read(
                "m$position->key",
                $this->circuit->speedTest((string) $position->key),
                0,
            ),
            array_values($this->circuit->positions),
        );
    }

    /** The reading that a person takes down. */
    public function read(string $id, Test $test, int $episode): Reading
    {
        $through = $test->probe->quantity->isNumber() && $this->truth->isLoose() && $this->isVisible($test);
        $steady =
            !$test->probe->quantity->isNumber() ||
            !$this->chance->happens($through ? self::WANDERS_WHEN_LOOSE : self::WANDERS);

        return new Reading(
            $id,
            $test->key,
            $this->answer($test),
            $steady,
            episode: $episode,
            misbehaved: $this->noted($test),
        );
    }

    /** Whether a meter shows the fault at all: only then can its joint be seen to wander. */
    private function isVisible(Test $test): bool
    {
        return MeterAccuracy::tellsApart(
            $test->probe->quantity,
            $this->machine->shows($test, $this->truth),
            $this->machine->shows($test, $this->sound),
        );
    }

    /**
     * Whether any of what was heard or seen comes of the fault: without that there is no complaint.
     *
     * @param list<Reading> $readings
     */
    public function isNoticed(array $readings): bool
    {
        foreach ($readings as $reading) {
            if ($this->isOfTheFault($this->circuit->tests[$reading->test], (string) $reading->value)) {
                return true;
            }
        }

        return false;
    }

    /** Whether what was heard or seen comes of the fault: markedly likelier with it than without. */
    public function isOfTheFault(Test $test, string $outcome): bool
    {
        if ($test->probe->quantity === Quantity::Observation) {
            $usual = $this->circuit->observations[$test->probe->at]->usual;
            $with = Likelihood::observed($this->truth, $test, $usual);
        } else {
            $usual = Judged::chances($this->circuit, $test, $this->machine->judged($test, $this->sound, $this->sound));
            $with =
                $this->truth->comesAndGoes && $outcome === SpeedState::CutsOut->value && $this->judgedApart($test)
                    ? [$outcome => 1.0]
                    : Judged::chances($this->circuit, $test, $this->machine->judged($test, $this->truth, $this->sound));
        }

        return ($with[$outcome] ?? 0.0) > self::COMPLAINED_OF * ($usual[$outcome] ?? 0.0);
    }

    private function judgedApart(Test $test): bool
    {
        return Misbehaviour::differs(
            $this->machine->judged($test, $this->truth, $this->sound),
            $this->machine->judged($test, $this->sound, $this->sound),
        );
    }

    /** What is noted of a fault that comes and goes while a number is read: whether it shows at that moment. */
    private function noted(Test $test): ?bool
    {
        $moving = $this->circuit->movingTest($test->setUp);
        if (
            !$this->truth->comesAndGoes ||
            !$test->probe->quantity->isNumber() ||
            $this->circuit->kindIn($moving) === PositionKind::Stands
        ) {
            return null;
        }
        $right = $this->machine->judged($moving, $this->sound, $this->sound);
        if (!Misbehaviour::moves($right)) {
            return null;
        }
        $misbehaves =
            $this->shows && Misbehaviour::differs($this->machine->judged($moving, $this->truth, $this->sound), $right);

        return $this->chance->happens($this->slips) ? !$misbehaves : $misbehaves;
    }

    /** @return float|string|null number, outcome, or null for over-range */
    private function answer(Test $test): float|string|null
    {
        if ($this->truth->comesAndGoes && $this->visited !== $test->setUp) {
            $this->visited = $test->setUp;
            $this->shows = $this->chance->happens(0.5);
        }
        $shows = $this->shows;
        $slip = $this->chance->happens($this->slips);
        if ($test->probe->quantity->isNumber()) {
            $seen = $this->machine->shows($test, $shows ? $this->truth : $this->sound);
            if ($slip) {
                return $test->probe->quantity === Quantity::Ohms
                    ? 10.0 ** $this->chance->between(-1.0, 6.0)
                    : $this->chance->between(0.0, (13.0 * $this->machine->value($this->circuit->supply)) / 12.0);
            }

            if (is_infinite($seen)) {
                return null;
            }
            $shown = $seen + $this->chance->normal() * MeterAccuracy::spread($test->probe->quantity, $seen);
            $sound = fn(): float => $this->machine->shows($test, $this->sound);
            if (PickUp::mayBeAt($test->probe->quantity, $seen, $sound)) {
                $shown += $this->pickUp->drawn($this->chance->between(0.0, 1.0), $this->chance->normal());
            }

            // No meter shows less than nothing of these.
            return match ($test->probe->quantity) {
                Quantity::Ohms, Quantity::Frequency, Quantity::Capacitance => max(0.0, $shown),
                Quantity::Duty => max(0.0, min(100.0, $shown)),
                default => $this->circuit->alternates($test->probe->quantity) ? abs($shown) : $shown,
            };
        }
        $chances =
            $test->probe->quantity === Quantity::Observation
                ? Likelihood::observed($this->truth, $test, $this->circuit->observations[$test->probe->at]->usual)
                : $this->judged($test, $shows);
        if ($slip) {
            $chances = array_fill_keys(array_keys($chances), 1.0 / \count($chances));
        }

        return $this->chance->pick($chances);
    }

    /** @return array<string, float> */
    private function judged(Test $test, bool $shows): array
    {
        $sound = $this->machine->judged($test, $this->sound, $this->sound);
        $with = $this->machine->judged($test, $this->truth, $this->sound);
        if ($this->truth->comesAndGoes && abs($with - $sound) > 0.15 && $this->chance->happens(0.35)) {
            $with = \NAN;
        } elseif (!$shows) {
            $with = $sound;
        }

        return Judged::chances($this->circuit, $test, $with, $this->ear);
    }

    /** The fault in a degree between those of the engine's grid. */
    private function ofOwnDegree(Hypothesis $truth): Hypothesis
    {
        return $truth->inDegree(
            self::DEGREE_SPREAD * $this->chance->normal(),
            self::DEGREE_SPREAD * $this->chance->normal(),
        );
    }
}
