<?php

declare(strict_types=1);

namespace Ispira\Core\Diagnosis\Presentation;

use Ispira\Core\Device\CircuitModel;
use Ispira\Core\Device\Test;
use Ispira\Core\Diagnosis\Decision\Diagnosis;
use Ispira\Core\Diagnosis\Decision\Suspect;
use Ispira\Core\Diagnosis\Inference\CaseFile;
use Ispira\Core\Diagnosis\Inference\Hypothesis;
use Ispira\Core\Diagnosis\Inference\HypothesisList;
use Ispira\Core\Diagnosis\Presentation\Shown\MisfitShown;
use Ispira\Core\Diagnosis\Presentation\Shown\ReasonShown;
use Ispira\Core\Kernel\DisplayUnits;
use Ispira\Core\Kernel\Ranking;
use Ispira\Core\Reading\MeterAccuracy;
use Ispira\Core\Reading\Reading;

/**
 * Why a suspect stands where it does: the readings that speak for and against it, with their numbers.
 */
final readonly class Reasons
{
    /** A reading that changes the odds by less than this (natural logarithm) is no reason. */
    private const SPEAKS_FROM = 0.7;

    /** Other suspects that a reading is held against. */
    private const RIVALS = 3;

    private Words $words;

    public function __construct(
        private CircuitModel $circuit,
        private CaseFile $case,
        private Diagnosis $diagnosis,
        DisplayUnits $units = new DisplayUnits(),
    ) {
        $this->words = new Words($circuit, $units);
    }

    /** @return list<ReasonShown> strongest first; what no list holds foretells nothing, and has none */
    public function of(Suspect $suspect): array
    {
        $own = $suspect->leading();
        $rivals = $suspect->remedy === HypothesisList::SOMETHING_ELSE ? [] : $this->rivals($suspect);
        if ($rivals === []) {
            return [];
        }
        $reasons = [];
        $map = ['for' => [], 'against' => []];
        $weights = ['for' => 0.0, 'against' => 0.0];
        foreach ($this->case->standing() as $reading) {
            if ($reading->episode !== \count($this->case->replacements)) {
                continue;
            }
            $test = $this->circuit->tests[$reading->test];
            if (!$test->offered) {
                // Cells of the map speak together, against a circuit with nothing wrong.
                $weight = $this->diagnosis->evidence->weighs(
                    $reading,
                    $own,
                    $this->diagnosis->evidence->hypotheses[HypothesisList::NOTHING_WRONG],
                );
                $side = $weight > 0.0 ? 'for' : 'against';
                if (abs($weight) > self::SPEAKS_FROM) {
                    $map[$side][$reading->id] =
                        $this->circuit->positions[$this->circuit->setUps[$test->setUp]->position]->label;
                    $weights[$side] += $weight;
                }
                continue;
            }
            [$rival, $weight] = $this->foremost($reading, $own, $rivals);
            if (abs($weight) > self::SPEAKS_FROM && (!$reading->steady || $this->tellsApart($test, $own, $rival))) {
                $reasons[] = new ReasonShown(
                    readings: [$reading->id],
                    speaks: $weight > 0.0 ? 'for' : 'against',
                    weight: $weight,
                    sentence: $this->sentence($reading, $own, $rival),
                );
            }
        }
        foreach (['for', 'against'] as $side) {
            if ($map[$side] !== []) {
                $labels = array_unique($map[$side]);
                $one = \count($labels) === 1;
                $positions = Words::general($one ? 'reasons.one' : 'reasons.many', [
                    'positions' => Words::listed($labels),
                ]);
                $sentence = Words::general("reasons.map-$side" . ($one ? '-one' : ''), [
                    'positions' => $positions,
                    'fault' => $this->words->hypothesis($own),
                ]);
                $reasons[] = new ReasonShown(
                    readings: array_map(strval(...), array_keys($map[$side])),
                    speaks: $side,
                    weight: $weights[$side],
                    sentence: $sentence,
                );
            }
        }

        return array_values(Ranking::by($reasons, static fn(ReasonShown $one): float => abs($one->weight)));
    }

    /** @return list<Hypothesis> what the leading others would have wrong */
    private function rivals(Suspect $suspect): array
    {
        $rivals = [];
        foreach ($this->diagnosis->suspects as $other) {
            // One that shares a part foretells the same, and what no list holds foretells nothing.
            $apart = array_intersect(explode('+', $other->remedy), explode('+', $suspect->remedy)) === [];
            if ($apart && $other->remedy !== HypothesisList::SOMETHING_ELSE) {
                $rivals[] = $other->leading();
            }
            if (\count($rivals) === self::RIVALS) {
                break;
            }
        }

        return $rivals;
    }

    /**
     * The rival against which a reading speaks most, and how much, as a natural logarithm.
     *
     * @param non-empty-list<Hypothesis> $rivals
     *
     * @return array{0: Hypothesis, 1: float}
     */
    private function foremost(Reading $reading, Hypothesis $own, array $rivals): array
    {
        $foremost = [$rivals[0], 0.0];
        foreach ($rivals as $rival) {
            $weight = $this->diagnosis->evidence->weighs($reading, $own, $rival);
            if (abs($weight) > abs($foremost[1])) {
                $foremost = [$rival, $weight];
            }
        }

        return $foremost;
    }

    /**
     * Whether the numbers named in a sentence differ by more than the meter's own spread: else it would convince
     * nobody.
     */
    private function tellsApart(Test $test, Hypothesis $own, Hypothesis $rival): bool
    {
        if (!$test->probe->quantity->isNumber()) {
            return true;
        }
        [$expected] = $this->diagnosis->evidence->expected($own, $test);
        [$other] = $this->diagnosis->evidence->expected($rival, $test);

        return MeterAccuracy::tellsApart($test->probe->quantity, $expected, $other);
    }

    private function sentence(Reading $reading, Hypothesis $own, Hypothesis $rival): string
    {
        $test = $this->circuit->tests[$reading->test];
        $quantity = $test->probe->quantity;
        $words = [
            'test' => $this->words->test($test),
            'reading' => $this->words->reading($reading),
            'fault' => $this->words->hypothesis($own),
            'other' => $this->words->hypothesis($rival),
        ];
        if ($quantity->isNumber()) {
            $words['expected'] = $this->words->number($this->diagnosis->evidence->expected($own, $test)[0], $quantity);
            $words['rival'] = $this->words->number($this->diagnosis->evidence->expected($rival, $test)[0], $quantity);
        } else {
            $chance = fn(Hypothesis $h): string => round(
                100.0 * ($this->diagnosis->evidence->foreseen->chances($h, $test)[(string) $reading->value] ?? 0.0),
            ) . ' %';
            $words['expected'] = $chance($own);
            $words['rival'] = $chance($rival);
        }

        return Words::general($quantity->isNumber() ? 'reasons.number' : 'reasons.choice', $words);
    }

    public function misfit(Reading $reading): MisfitShown
    {
        $test = $this->circuit->tests[$reading->test];
        $quantity = $test->probe->quantity;
        $hint = Words::general('misfit.slips.' . $quantity->value);
        if ($quantity->isNumber() && \is_float($reading->value) && $reading->value !== 0.0) {
            [$mean, $spread] = $this->diagnosis->evidence->expected($this->diagnosis->suspects[0]->leading(), $test);
            foreach ([10.0, 0.1, 1000.0, 0.001] as $factor) {
                if (
                    is_finite($mean) &&
                    abs($mean) > 3.0 * $spread &&
                    abs($reading->value * $factor - $mean) < 2.0 * $spread
                ) {
                    $hint .=
                        ' ' .
                        Words::general('misfit.factor', [
                            'value' => $this->words->number($reading->value * $factor, $quantity),
                            'reading' => $this->words->reading($reading),
                        ]);
                }
            }
        }

        return new MisfitShown(
            reading: $reading->id,
            sentence: Words::general('misfit.sentence', [
                'test' => $this->words->test($test),
                'reading' => $this->words->reading($reading),
            ]),
            hint: $hint,
        );
    }
}
