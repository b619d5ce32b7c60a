<?php

declare(strict_types=1);

namespace Ispira\Core\Diagnosis\Presentation;

use Ispira\Core\Device\CircuitModel;
use Ispira\Core\Device\Contact;
use Ispira\Core\Device\Plug\PlugsOfTest;
use Ispira\Core\Device\Quantity;
use Ispira\Core\Device\Test;
use Ispira\Core\Diagnosis\Decision\Diagnosis;
use Ispira\Core\Diagnosis\Decision\Engine;
use Ispira\Core\Diagnosis\Decision\StatedOdds;
use Ispira\Core\Diagnosis\Inference\CaseFile;
use Ispira\Core\Diagnosis\Inference\Hypothesis;
use Ispira\Core\Diagnosis\Inference\HypothesisList;
use Ispira\Core\Diagnosis\Inference\Judged;
use Ispira\Core\Diagnosis\Inference\Misbehaviour;
use Ispira\Core\Diagnosis\Presentation\Shown\CardShown;
use Ispira\Core\Diagnosis\Presentation\Shown\MarkShown;
use Ispira\Core\Diagnosis\Presentation\Shown\MeaningShown;
use Ispira\Core\Diagnosis\Presentation\Shown\OutcomeShown;
use Ispira\Core\Instrument\MeterFunction;
use Ispira\Core\Kernel\Choice;
use Ispira\Core\Kernel\DisplayUnits;
use Ispira\Core\Kernel\Ranking;
use Ispira\Core\Kernel\Titled;
use Ispira\Core\Reading\Limits;

/**
 * A test as it is shown to a person: what to do, what each outcome means, what each suspect predicts.
 */
final readonly class TestCard
{
    /** Suspects below this share are not shown among outcomes. */
    private const SHOWN_FROM = 0.004;
    private const MOST_MARKS = 6;

    /** Suspects below this share decide no range of readings. */
    private const COUNTED_FROM = 3e-4;

    /** Minutes that a look on the way may take, and how many are named. */
    private const MOMENT = 1.0;
    private const MOST_LOOKS = 2;

    /** V that a range of 60 V still shows. */
    private const LOW_VOLTAGE = 55.0;

    /** Highest ohms of a range from which it is told in kilohms. */
    private const IN_THOUSANDS_FROM = 1e4;

    /** Ohms of a sound circuit from which the low range of a meter is too low. */
    private const IN_KILOHMS_FROM = 400.0;

    private Words $words;

    private Limits $limits;

    public function __construct(
        private CircuitModel $circuit,
        private CaseFile $case,
        private Diagnosis $diagnosis,
        DisplayUnits $units = new DisplayUnits(),
    ) {
        $this->words = new Words($circuit, $units);
        $this->limits = new Limits($circuit);
    }

    public function of(Test $test): CardShown
    {
        $texts = $this->circuit->texts;
        $gauge = $test->probe->quantity === Quantity::Vacuum;
        $leads = $test->probe->against !== '' && !$gauge;
        $outcomes = $test->probe->quantity->isNumber() ? $this->bands($test) : $this->outcomes($test);

        $why = new Why($this->diagnosis, $this->words);

        return new CardShown(
            key: $test->key,
            title: $this->words->test($test),
            quantity: $test->probe->quantity,
            unit: $this->words->unit($test->probe->quantity)->symbol,
            bench: MeterFunction::for($test, $this->circuit) !== null,
            units: DisplayUnits::choices($test->probe->quantity->unit()),
            setUp: $this->words->setUp($test),
            position: $this->circuit->setUps[$test->setUp]->position,
            red: $leads || $gauge ? $this->words->place($test->probe->at) : null,
            black: $leads ? $this->words->place($test->probe->against) : null,
            at: $test->probe->at,
            against: $leads ? $test->probe->against : '',
            meter: $this->meter($test),
            danger: $this->words->danger($test),
            deadly: $this->words->isDeadly($test),
            cautions: $this->words->cautions($test),
            tools: array_map(static fn(string $key): string => $texts->get("tools.$key"), $test->tools),
            access: array_map(static fn(string $key): string => $texts->get("access.$key"), $test->access),
            watch: $this->watch($test),
            choices: $this->choices($test),
            onTheWay: $this->onTheWay($test),
            again: $this->again($test),
            why: $why->sentence($test, $outcomes, $this->again($test) !== null),
            settles: $why->settles($test),
            nextBest: $why->nextBest($test),
            outcomes: $outcomes,
            marks: $test->probe->quantity->isNumber() ? $this->marks($test) : [],
            plugs: $leads ? PlugsOfTest::of($this->circuit, $test->probe->at, $test->probe->against) : [],
        );
    }

    /**
     * What is looked at in the same place before anything is measured there: it costs a moment once it is open.
     *
     * @return list<Titled>
     */
    private function onTheWay(Test $test): array
    {
        if ($test->access === [] || $test->probe->quantity === Quantity::Observation) {
            return [];
        }
        $read = array_map(static fn($reading): string => $reading->test, $this->case->present());
        $looks = array_filter(
            $this->circuit->tests,
            static fn(Test $look): bool => $look->offered &&
                $look->probe->quantity === Quantity::Observation &&
                $look->contact === Contact::Hands &&
                $look->access !== [] &&
                $look->minutes <= self::MOMENT &&
                array_diff($look->access, $test->access) === [] &&
                !\in_array($look->key, $read, true),
        );

        return array_map(
            fn(Test $look): Titled => new Titled(key: $look->key, title: $this->words->test($look)),
            \array_slice(array_values($looks), 0, self::MOST_LOOKS),
        );
    }

    private function meter(Test $test): string
    {
        $quantity = $test->probe->quantity;
        $sound = $this->diagnosis->evidence->hypotheses[HypothesisList::NOTHING_WRONG];
        $kind = match (true) {
            $this->circuit->alternates($quantity) => '-ac',
            $quantity === Quantity::Ohms &&
                $this->diagnosis->evidence->expected($sound, $test)[0] >= self::IN_KILOHMS_FROM
                => '-high',
            default => '',
        };

        return Words::general("meter.$quantity->value$kind", ['range' => $this->meterRange($test)]);
    }

    /** Range in V of the meter: wide enough for all that the suspects predict. */
    private function meterRange(Test $test): string
    {
        $supply = $this->diagnosis->evidence->predictions->usualSupply();
        if ($supply <= self::LOW_VOLTAGE || $test->probe->quantity !== Quantity::Volts) {
            return $supply > 19.0 ? '60' : '20';
        }
        foreach ($this->alive() as [$hypothesis]) {
            if (abs($this->diagnosis->evidence->expected($hypothesis, $test)[0]) > self::LOW_VOLTAGE) {
                return '600';
            }
        }

        return '60';
    }

    /** Whether what the machine does meanwhile is worth noting. */
    private function watch(Test $test): bool
    {
        $evidence = $this->diagnosis->evidence;

        return $this->case->intermittent &&
            (new Misbehaviour(
                $evidence->predictions,
                $evidence->hypotheses[HypothesisList::NOTHING_WRONG],
            ))->canBeNoted($test);
    }

    /** Why a test that was done is worth doing once more; null when it was not done. */
    private function again(Test $test): ?string
    {
        $last = null;
        foreach ($this->case->present() as $reading) {
            if ($reading->test === $test->key) {
                $last = $reading;
            }
        }
        if ($last === null) {
            return null;
        }
        $slip = $this->diagnosis->evidence->belief->slips[$last->id] ?? 0.0;

        return Words::general($slip > Engine::DOUBTED ? 'again.doubted' : 'again.read', [
            'reading' => $this->words->reading($last),
            'percent' => (string) round(100.0 * $slip),
        ]);
    }

    /** @return list<Choice> */
    private function choices(Test $test): array
    {
        return array_map(
            fn(string $value): Choice => new Choice(value: $value, label: $this->words->choice($test, $value)),
            Judged::answers($this->circuit, $test),
        );
    }

    /**
     * What each choice would mean.
     *
     * @return list<OutcomeShown>
     */
    private function outcomes(Test $test): array
    {
        $outcomes = [];
        foreach ($this->choices($test) as $choice) {
            $shares = [];
            foreach ($this->alive() as [$hypothesis, $probability]) {
                $shares[] = [
                    $hypothesis,
                    $probability *
                    ($this->diagnosis->evidence->foreseen->chances($hypothesis, $test)[$choice->value] ?? 0.0),
                ];
            }
            $outcomes[] = new OutcomeShown(
                value: $choice->value,
                from: null,
                to: null,
                label: $choice->label,
                probability: array_sum(array_column($shares, 1)),
                remedies: $this->meaning($shares),
            );
        }

        return $outcomes;
    }

    /**
     * Ranges of readings that mean the same, see {@see Bands}.
     *
     * @return list<OutcomeShown>
     */
    private function bands(Test $test): array
    {
        return array_map(function (array $band) use ($test): OutcomeShown {
            $open = is_infinite($band['from']);
            $unit = $this->words->unit($test->probe->quantity);
            [$from, $to] = [$unit->fromBase($band['from']), $unit->fromBase($band['to'])];
            $label = $open ? Words::general('over-range') : $this->range($from, $to, $test->probe->quantity);

            return new OutcomeShown(
                value: null,
                from: $open ? null : $from,
                to: $open ? null : $to,
                label: $label,
                probability: array_sum(array_column($band['shares'], 1)),
                remedies: $this->meaning($band['shares']),
            );
        }, (new Bands($this->diagnosis->evidence, $this->alive(self::COUNTED_FROM), $this->limits))->of($test));
    }

    /** In thousands of ohms where a meter would show these. */
    private function range(float $from, float $to, Quantity $quantity): string
    {
        $unit = $this->words->unit($quantity)->symbol;
        if ($quantity === Quantity::Ohms && $to >= self::IN_THOUSANDS_FROM) {
            [$from, $to, $unit] = [0.001 * $from, 0.001 * $to, "k$unit"];
        }
        [$low, $high] = [$this->number($from), $this->number($to)];
        // What is written as nothing, or less, and is nearly that.
        if (self::isNothing($low) && $from > -0.5) {
            return self::isNothing($high) ? "0 $unit or less" : "under $high $unit";
        }

        return "$low to $high $unit";
    }

    private static function isNothing(string $written): bool
    {
        return (float) str_replace(',', '.', $written) <= 0.0;
    }

    /** To three figures, no finer than hundredths. */
    private function number(float $number): string
    {
        $decimals = match (true) {
            abs($number) >= 100.0 => 0,
            abs($number) >= 3.0 => 1,
            default => 2,
        };

        return $this->words->units->numbers->figure($number, $decimals);
    }

    /**
     * @param list<array{0: Hypothesis, 1: float}> $shares
     *
     * @return list<MeaningShown>
     */
    private function meaning(array $shares): array
    {
        $total = array_sum(array_column($shares, 1));
        $byRemedy = [];
        $leading = [];
        foreach (Ranking::by($shares, static fn(array $one): float => $one[1]) as [$hypothesis, $share]) {
            $remedy = $hypothesis->remedy();
            $byRemedy[$remedy] = ($byRemedy[$remedy] ?? 0.0) + $share;
            $leading[$remedy] ??= $hypothesis;
        }
        $remedies = [];
        foreach (\array_slice(Ranking::largestFirst($byRemedy), 0, 3, true) as $remedy => $share) {
            if ($total > 0.0 && $share / $total > 0.05) {
                $remedies[] = new MeaningShown(
                    remedy: $remedy,
                    label: $this->words->remedy($remedy),
                    fault: $this->words->hypothesis($leading[$remedy]),
                    probability: $this->case->supposed === null
                        ? StatedOdds::of($remedy, $share / $total)
                        : $share / $total,
                );
            }
        }

        return $remedies;
    }

    /**
     * Where the likeliest suspects see the reading.
     *
     * @return list<MarkShown>
     */
    private function marks(Test $test): array
    {
        $marks = [];
        foreach (\array_slice($this->diagnosis->suspects, 0, self::MOST_MARKS) as $suspect) {
            if ($suspect->probability < self::SHOWN_FROM) {
                continue;
            }
            [$least, $most] = $this->diagnosis->evidence->range($suspect->leading(), $test, 1.3);
            $open = is_infinite($least);
            $least = max($least, $this->limits->shown($test->probe->quantity)[0]);
            $unit = $this->words->unit($test->probe->quantity);
            $marks[] = new MarkShown(
                remedy: $suspect->remedy,
                label: $this->words->remedy($suspect->remedy),
                probability: $suspect->probability,
                from: $open ? null : $unit->fromBase($least),
                to: $open ? null : $unit->fromBase($most),
            );
        }

        return $marks;
    }

    /** @return list<array{0: Hypothesis, 1: float}> */
    private function alive(float $from = self::SHOWN_FROM): array
    {
        $alive = [];
        foreach ($this->diagnosis->evidence->belief->byHypothesis() as $key => $probability) {
            if ($probability >= $from) {
                $alive[] = [$this->diagnosis->evidence->hypotheses[$key], $probability];
            }
        }

        return $alive;
    }
}
