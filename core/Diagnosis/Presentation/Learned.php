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
use Ispira\Core\Device\Test;
use Ispira\Core\Diagnosis\Decision\Evidence;
use Ispira\Core\Diagnosis\Inference\Hypothesis;
use Ispira\Core\Diagnosis\Inference\HypothesisList;
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

    /** Volts, watts, and share of the sound current under which nothing is said of them. */
    private const LEAST_VOLTS = 0.1;
    private const LEAST_WATTS = 1.0;
    private const LEAST_CHANGE = 0.08;

    private Learning $learning;

    private Words $words;

    public function __construct(
        private CircuitModel $circuit,
        private Evidence $evidence,
        DisplayUnits $units = new DisplayUnits(),
    ) {
        $this->learning = new Learning($evidence->hypotheses, $evidence->belief, $evidence->predictions);
        $this->words = new Words($circuit, $units);
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

    /** How bad a fault is: what it measures, and what that does at full speed; null where it has no degree. */
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
        $quantity = match ($what) {
            'ohms' => Quantity::Ohms,
            'microfarads' => Quantity::Capacitance,
            default => null,
        };
        if ($quantity === null) {
            return $this->drawn($fault, $slices);
        }
        $value = $this->learning->degree($quantity, $graded->parameter, $this->circuit->highest(), $slices);
        if ($value === null) {
            return null;
        }
        $does = $quantity === Quantity::Ohms ? $this->does($element, $slices) : null;

        return $this->about($value) . ($does === null ? '' : ": $does");
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

    /**
     * What a resistance costs at full speed.
     *
     * @param array<string, Hypothesis> $slices
     */
    private function does(string $element, array $slices): ?string
    {
        $branch = $this->circuit->netlist->elements[$element];
        $volts = $this->atFullSpeed(Probe::volts($branch->from, $branch->to), $slices);
        $amps = $this->atFullSpeed(Probe::amps($element), $slices);
        if ($volts === null || $amps === null || abs($volts) < self::LEAST_VOLTS) {
            return null;
        }
        $words = [
            'volts' => $this->words->number(abs($volts), Quantity::Volts),
            // A coil has no speed.
            'when' => Words::general(
                $this->circuit->positions[$this->circuit->highest()->position]->kind === PositionKind::Holds
                    ? 'degree.held'
                    : 'degree.running',
            ),
        ];
        $watts = abs($volts * $amps);

        return $watts < self::LEAST_WATTS
            ? Words::general('degree.lost', $words)
            : Words::general('degree.lost-in-heat', $words + ['watts' => (string) round($watts)]);
    }

    /**
     * What a motor draws at full speed, against what it would.
     *
     * @param array<string, Hypothesis> $slices
     */
    private function drawn(Fault $fault, array $slices): ?string
    {
        $motor = $this->circuit->netlist->elements[$fault->element] ?? null;
        if ($motor === null || !\in_array($motor->type, [ElementType::Motor, ElementType::CompoundMotor], true)) {
            return null;
        }
        $draws = $this->atFullSpeed(Probe::amps($motor->id), $slices);
        $sound = $this->atFullSpeed(
            Probe::amps($motor->id),
            array_intersect_key($this->evidence->hypotheses, [HypothesisList::NOTHING_WRONG => true]),
        );

        return $draws === null || $sound === null || abs($draws - $sound) < self::LEAST_CHANGE * abs($sound)
            ? null
            : Words::general('degree.draws', [
                'amps' => $this->words->number(abs($draws), Quantity::Amps),
                'sound' => $this->words->number(abs($sound), Quantity::Amps),
            ]);
    }

    /** @param array<string, Hypothesis> $hypotheses */
    private function atFullSpeed(Probe $probe, array $hypotheses): ?float
    {
        $setUp = $this->circuit->highest();
        $test = new Test("told {$probe->key()}@$setUp->key", '', $setUp->key, $probe, 0.0);

        return $this->learning->shown($test, $hypotheses)?->middle();
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
