<?php

declare(strict_types=1);

namespace Ispira\Core\Diagnosis\Presentation;

use Ispira\Core\Circuit\ElementType;
use Ispira\Core\Device\Adjustment;
use Ispira\Core\Device\CircuitModel;
use Ispira\Core\Device\Fault;
use Ispira\Core\Device\Learnable;
use Ispira\Core\Device\PositionKind;
use Ispira\Core\Device\Probe;
use Ispira\Core\Device\Quantity;
use Ispira\Core\Device\SetUp;
use Ispira\Core\Device\Test;
use Ispira\Core\Diagnosis\Decision\Evidence;
use Ispira\Core\Diagnosis\Inference\Hypothesis;
use Ispira\Core\Diagnosis\Inference\LearnedValue;
use Ispira\Core\Diagnosis\Inference\Learning;
use Ispira\Core\Diagnosis\Presentation\Shown\LearnedShown;
use Ispira\Core\Kernel\DisplayUnits;

/**
 * What the readings taught, in words: values of this machine, and how bad a fault is.
 */
final readonly class Learned
{
    /** Share of its spread that a value may keep to count as learned. */
    private const NARROWED_TO = 0.7;

    /** Highest over lowest up to which one number says it. */
    private const ABOUT = 3.0;

    /** Volts (kPa), amperes, watts, and share of the sound current under which nothing is said of them. */
    private const LEAST_VOLTS = 0.1;
    private const LEAST_AMPS = 0.1;

    /** V or A of a sound machine from which a position counts as one in which something is at work. */
    private const LEAST_LOAD = 1e-3;

    private const LEAST_WATTS = 1.0;
    private const LEAST_CHANGE = 0.08;

    private Learning $learning;

    private Words $words;

    /** What stands at a place of the circuit. */
    private Quantity $potential;

    public function __construct(
        private CircuitModel $circuit,
        private Evidence $evidence,
        DisplayUnits $units = new DisplayUnits(),
    ) {
        $this->learning = new Learning($evidence->hypotheses, $evidence->belief, $evidence->predictions);
        $this->words = new Words($circuit, $units);
        $this->potential = $circuit->potential();
    }

    /** @return list<LearnedShown> what is learned has an "after" */
    public function values(): array
    {
        return array_map(function (Learnable $one): LearnedShown {
            $before = $this->learning->before($one->quantity, $one->parameters);
            $after = $this->learning->after($one->quantity, $one->parameters);
            $isLearned =
                $after !== null && $after->variance < self::NARROWED_TO * self::NARROWED_TO * $before->variance;

            return new LearnedShown(
                key: $one->key,
                label: $this->circuit->texts->get("learned.$one->key"),
                before: $this->range($before),
                after: $isLearned ? $this->about($after) : null,
            );
        }, $this->circuit->learnables);
    }

    /** How bad a fault is: what it measures, and what that does where it is at work; null where it has no degree. */
    public function degree(string $faultKey): ?string
    {
        $slices = array_filter(
            $this->evidence->hypotheses,
            static fn(Hypothesis $h): bool => $h->faultKey() === $faultKey,
        );
        $first = array_values($slices)[0] ?? null;
        $fault = $first->faults[0] ?? null;
        $graded = $first === null ? null : self::graded($first);
        if ($fault === null || $graded === null) {
            return null;
        }
        [$element, $what] = explode('.', $graded->parameter, 2);

        return match ($what) {
            'ohms' => $this->resists($element, $graded->parameter, $slices),
            'microfarads' => $this->holds($graded->parameter, $slices),
            default => $this->drawn($fault, $slices),
        };
    }

    private static function graded(Hypothesis $hypothesis): ?Adjustment
    {
        foreach ($hypothesis->adjustments as $adjustment) {
            if ($adjustment->hasDegree()) {
                return $adjustment;
            }
        }

        return null;
    }

    /** @param array<string, Hypothesis> $slices */
    private function holds(string $parameter, array $slices): ?string
    {
        $value = $this->learning->degree(Quantity::Capacitance, $parameter, $this->circuit->highest(), $slices);

        return $value === null ? null : $this->about($value);
    }

    /**
     * What a branch resists, and what that does.
     *
     * @param array<string, Hypothesis> $slices
     */
    private function resists(string $element, string $parameter, array $slices): ?string
    {
        $setUp = $this->where($element);
        $value = $this->learning->degree(Quantity::Ohms, $parameter, $setUp, $slices);
        if ($value === null) {
            return null;
        }
        $rose = $value->middle() > $this->learning->before(Quantity::Ohms, [$parameter], $setUp)->middle();
        $does = $this->does($element, $rose, $setUp, $slices);
        if ($this->potential === Quantity::Vacuum) {
            // Nobody knows a hose by what it resists.
            return $does;
        }

        return $this->about($value) . ($does === null ? '' : ": $does");
    }

    /**
     * The fastest position in which a sound machine sends current through a branch; through one that carries none,
     * where volts stand across it: there its fault does what is told of it.
     */
    private function where(string $element): SetUp
    {
        $branch = $this->circuit->netlist->elements[$element];
        foreach ([Probe::amps($element), Probe::volts($branch->from, $branch->to)] as $probe) {
            $loads = [];
            foreach (array_keys($this->circuit->positions) as $position) {
                $loads[$position] = $this->learning->usual($this->told($probe, $this->circuit->setUps[$position]));
            }
            $most = max(0.0, ...array_values($loads));
            if ($most > self::LEAST_LOAD) {
                $loaded = array_filter($loads, static fn(float $one): bool => $one > 0.5 * $most);

                return $this->circuit->setUps[(string) array_key_last($loaded)];
            }
        }

        return $this->circuit->highest();
    }

    /**
     * What a resistance does there: one that rose loses volts, one that fell lets current by.
     *
     * @param array<string, Hypothesis> $slices
     */
    private function does(string $element, bool $rose, SetUp $setUp, array $slices): ?string
    {
        $branch = $this->circuit->netlist->elements[$element];
        $across = $this->told(Probe::volts($branch->from, $branch->to), $setUp);
        $volts = $this->learning->shown($across, $slices)?->middle();
        $amps = $this->learning->shown($this->told(Probe::amps($element), $setUp), $slices)?->middle();
        if ($volts === null || $amps === null) {
            return null;
        }
        $words = [
            'volts' => $this->words->number(abs($volts), $this->potential),
            'amps' => $this->words->number(abs($amps), Quantity::Amps),
        ];
        if ($this->potential === Quantity::Vacuum) {
            return abs($volts) < self::LEAST_VOLTS ? null : $this->said($rose ? 'lost' : 'left', $setUp, $words);
        }
        if ($rose ? abs($volts) < self::LEAST_VOLTS : abs($amps) < self::LEAST_AMPS) {
            return null;
        }
        $said = $this->said($rose ? 'lost' : 'through', $setUp, $words);
        $watts = abs($volts * $amps);

        return $watts < self::LEAST_WATTS
            ? $said
            : $said . Words::general('degree.in-heat', ['watts' => (string) round($watts)]);
    }

    /** @param array<string, string> $words */
    private function said(string $what, SetUp $setUp, array $words): string
    {
        $position = $this->circuit->positions[$setUp->position];
        // A coil has no speed.
        $when = $position->kind === PositionKind::Holds ? 'degree.held' : 'degree.running';
        $words['when'] =
            $setUp === $this->circuit->highest()
                ? $this->circuit->texts->find($when) ?? Words::general($when)
                : Words::general('degree.in-position', ['position' => $position->label]);

        return Words::general("degree.$what", $words);
    }

    /**
     * What a motor draws at full speed, against what it would were nothing wrong with it.
     *
     * @param array<string, Hypothesis> $slices
     */
    private function drawn(Fault $fault, array $slices): ?string
    {
        $motor = $this->circuit->netlist->elements[$fault->element] ?? null;
        if ($motor === null || !\in_array($motor->type, [ElementType::Motor, ElementType::CompoundMotor], true)) {
            return null;
        }
        $setUp = $this->circuit->highest();
        $test = $this->told(Probe::amps($motor->id), $setUp);
        $draws = $this->learning->shown($test, $slices)?->middle();
        $sound = $this->learning->mended($test, $slices)?->middle();

        return $draws === null || $sound === null || abs($draws - $sound) < self::LEAST_CHANGE * abs($sound)
            ? null
            : $this->said('draws', $setUp, [
                'amps' => $this->words->number(abs($draws), Quantity::Amps),
                'sound' => $this->words->number(abs($sound), Quantity::Amps),
            ]);
    }

    private function told(Probe $probe, SetUp $setUp): Test
    {
        return new Test("told {$probe->key()}@$setUp->key", '', $setUp->key, $probe, 0.0);
    }

    private function about(LearnedValue $value): string
    {
        return $value->low() > 0.0 && $value->high() < self::ABOUT * $value->low()
            ? Words::general('degree.about', ['value' => $this->words->number($value->middle(), $value->quantity)])
            : $this->range($value);
    }

    private function range(LearnedValue $value): string
    {
        return Words::general('degree.between', [
            'low' => $this->words->number(max(0.0, $value->low()), $value->quantity),
            'high' => $this->words->number($value->high(), $value->quantity),
        ]);
    }
}
