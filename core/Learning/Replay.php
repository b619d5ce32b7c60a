<?php

declare(strict_types=1);

namespace Ispira\Core\Learning;

use Ispira\Core\Device\Test;
use Ispira\Core\Diagnosis\Decision\DecisionSettings;
use Ispira\Core\Diagnosis\Decision\Engine;
use Ispira\Core\Diagnosis\Decision\Evidence;
use Ispira\Core\Diagnosis\Decision\Money;
use Ispira\Core\Diagnosis\Decision\TestChoice;
use Ispira\Core\Diagnosis\Decision\TestValues;
use Ispira\Core\Diagnosis\Inference\CaseFile;
use Ispira\Core\Diagnosis\Inference\Hypothesis;
use Ispira\Core\Diagnosis\Presentation\Words;
use Ispira\Core\Job\JobState;
use Ispira\Core\Job\Replaced;
use Ispira\Core\Kernel\DisplayUnits;
use Ispira\Core\Kernel\Ranking;
use Ispira\Core\Learning\Shown\ReplayShown;
use Ispira\Core\Learning\Shown\ReplayStep;
use Ispira\Core\Learning\Shown\ToldShown;
use Ispira\Core\Reading\Reading;

/**
 * Goes through a job once more whose verdict did not hold: where the odds went wrong, which reading misled, and which
 * test would have told.
 */
final readonly class Replay
{
    /** What a reading has to do to the odds to be called misleading: half as much again for the wrong one. */
    private const MISLEADS_FROM = 1.5;
    private const BELIEVED_FROM = 0.05;

    /** Bits that a test has to tell between the two to be named, and how many are. */
    private const TELLS_FROM = 0.25;
    private const MOST_TOLD = 3;

    private const LEAST_CHANCE = 1e-6;

    /** Chance that both were at fault from which it is said. */
    private const BOTH_FROM = 0.2;

    private Words $words;

    public function __construct(
        private JobState $job,
        private Engine $engine,
        private DecisionSettings $settings,
        DisplayUnits $units = new DisplayUnits(),
    ) {
        $this->words = new Words($job->circuit, $units);
    }

    /** @return list<Replaced> what was replaced and did not hold */
    public static function vain(JobState $job): array
    {
        return array_values(
            array_filter($job->replacements, static fn(Replaced $one): bool => $job->held($one->id) === false),
        );
    }

    public function of(Replaced $replaced): ReplayShown
    {
        [$truth, $supposed] = $this->truth($replaced);
        $chosen = $this->words->remedy($replaced->remedy);
        $both = false;
        [$steps, $evidence, $case] = $this->steps($replaced, $truth);
        if ($truth !== null && $evidence !== null) {
            $together = self::together($replaced->remedy, $truth);
            $both = $together !== $truth && self::isRather($evidence, $together, $truth);
            if ($both) {
                $truth = $together;
                [$steps, $evidence, $case] = $this->steps($replaced, $truth);
            }
        }
        $misled = $truth === null ? null : self::misled($steps);
        $told = $truth === null || $evidence === null ? [] : $this->told($evidence, $case, $replaced->remedy, $truth);

        return new ReplayShown(
            replacement: $replaced->id,
            chosen: $chosen,
            truth: $truth === null ? null : $this->words->remedy($truth),
            supposed: $supposed,
            stated: $replaced->stated(),
            steps: $steps,
            misled: $misled,
            because: $this->because($replaced, $truth, $both, $steps, $misled),
            told: $told,
            lesson: $truth === null ? '' : $this->lesson($chosen, $this->words->remedy($truth), $told),
        );
    }

    /** @return array{string|null, bool} what it was in the end, and whether that is only supposed */
    private function truth(Replaced $vain): array
    {
        $proven = ProvenJob::from($this->job);
        if ($proven !== null) {
            return [$proven->remedy, false];
        }
        foreach (array_reverse($this->job->replacements) as $one) {
            if ($one->id !== $vain->id && $this->job->held($one->id) === true) {
                return [$one->remedy, false];
            }
        }
        $leading = $this->engine->diagnose($this->job->circuit, $this->job->case, $this->settings)->suspects[0];

        return $leading->namesParts() && $leading->remedy !== $vain->remedy ? [$leading->remedy, true] : [null, true];
    }

    /** Both as one remedy. */
    private static function together(string $one, string $other): string
    {
        $parts = array_unique([...explode('+', $one), ...explode('+', $other)]);
        sort($parts);

        return implode('+', $parts);
    }

    /** Whether the readings of then say that both were at fault, rather than the other alone. */
    private static function isRather(Evidence $evidence, string $together, string $truth): bool
    {
        $chances = $evidence->byRemedy();

        return ($chances[$together] ?? 0.0) > max(self::BOTH_FROM, self::within($chances, $truth));
    }

    /** @return array{list<ReplayStep>, Evidence|null, CaseFile} */
    private function steps(Replaced $replaced, ?string $truth): array
    {
        $episode = 0;
        foreach ($this->job->replacements as $number => $one) {
            $episode = $one->id === $replaced->id ? $number : $episode;
        }
        $standing = array_values(
            array_filter($this->job->case->standing(), static fn(Reading $one): bool => $one->episode <= $episode),
        );
        $case = new CaseFile(
            [],
            \array_slice($this->job->case->replacements, 0, $episode),
            $this->job->case->intermittent,
            $this->job->case->replacedBefore,
            odds: $this->job->odds,
        );
        $circuit = $this->job->circuit;
        $map = array_filter($standing, static fn(Reading $one): bool => !$circuit->tests[$one->test]->offered);
        $rest = array_values(
            array_filter($standing, static fn(Reading $one): bool => $circuit->tests[$one->test]->offered),
        );
        $before = [0.5, 0.5];
        $steps = [];
        $evidence = null;
        foreach ([array_values($map), ...array_map(static fn(Reading $one): array => [$one], $rest)] as $readings) {
            $case = $case->withReadings([...$case->readings, ...$readings]);
            if ($readings === []) {
                continue;
            }
            $evidence = $this->engine->weigh($circuit, $case, $this->settings);
            $chances = $evidence->byRemedy();
            $now = [$chances[$replaced->remedy] ?? 0.0, $truth === null ? 0.0 : self::within($chances, $truth)];
            $ofMap = !$circuit->tests[$readings[0]->test]->offered;
            $steps[] = new ReplayStep(
                test: $ofMap ? Words::general('replay.map') : $this->words->test($circuit->tests[$readings[0]->test]),
                reading: $ofMap ? '' : $this->words->reading($readings[0]),
                chosen: $now[0],
                truth: $now[1],
                speaks: self::logRatio($now) - self::logRatio($before),
            );
            $before = $now;
        }
        $evidence?->predictions->keep();

        return [$steps, $evidence, $case];
    }

    /** @param array{0: float, 1: float} $chances of the wrong one and of the right one */
    private static function logRatio(array $chances): float
    {
        return log(max($chances[1], self::LEAST_CHANCE) / max($chances[0], self::LEAST_CHANCE));
    }

    /**
     * Chance of a remedy; where it is not weighed as one, of those that are a part of it.
     *
     * @param array<string, float> $chances by remedy
     */
    private static function within(array $chances, string $remedy): float
    {
        if (isset($chances[$remedy])) {
            return $chances[$remedy];
        }
        $sum = 0.0;
        foreach ($chances as $other => $chance) {
            $isPart = array_diff(explode('+', $other), explode('+', $remedy)) === [];
            $sum += Hypothesis::isOfParts($other) && $isPart ? $chance : 0.0;
        }

        return $sum;
    }

    /** @param list<ReplayStep> $steps */
    private static function misled(array $steps): ?int
    {
        $worst = null;
        foreach ($steps as $number => $step) {
            if (
                $step->chosen >= self::BELIEVED_FROM &&
                $step->speaks < -log(self::MISLEADS_FROM) &&
                ($worst === null || $step->speaks < $steps[$worst]->speaks)
            ) {
                $worst = $number;
            }
        }

        return $worst;
    }

    /** @return list<ToldShown> */
    private function told(Evidence $evidence, CaseFile $case, string $chosen, string $truth): array
    {
        $even = self::even($evidence, $chosen, $truth);
        if ($even === []) {
            return [];
        }
        $circuit = $this->job->circuit;
        $values = new TestValues(
            $evidence->hypotheses,
            $even,
            $circuit,
            $evidence->foreseen,
            new Money($circuit, $this->settings),
            $this->settings,
        );
        $done = array_fill_keys(array_map(static fn(Reading $one): string => $one->test, $case->readings), true);
        $choices = array_filter(
            $values->all([], $done),
            static fn(TestChoice $one): bool => $one->information >= self::TELLS_FROM,
        );
        [$one, $other] = [self::leading($evidence, $even, $chosen), self::leading($evidence, $even, $truth)];
        $told = [];
        foreach (Ranking::by($choices, static fn(TestChoice $one): float => $one->information) as $choice) {
            $under = [$this->shows($evidence, $one, $choice->test), $this->shows($evidence, $other, $choice->test)];
            // What only tells apart faults that are less likely would convince nobody.
            if ($under[0] !== $under[1] && \count($told) < self::MOST_TOLD) {
                $told[] = new ToldShown(
                    key: $choice->test->key,
                    test: $this->words->test($choice->test),
                    minutes: $choice->minutes,
                    underChosen: $under[0],
                    underTruth: $under[1],
                    information: $choice->information,
                );
            }
        }

        return $told;
    }

    /** @return array<string, float> by hypothesis: half for those of each of the two, the likeliest first */
    private static function even(Evidence $evidence, string $chosen, string $truth): array
    {
        $even = [];
        foreach ([$chosen, $truth] as $remedy) {
            $own = array_filter($evidence->hypotheses, static fn(Hypothesis $one): bool => $one->remedy() === $remedy);
            $weights = array_map(
                static fn(Hypothesis $one): float => ($evidence->belief->weights[$one->key] ?? 0.0) +
                    1e-9 * $one->prior,
                $own,
            );
            $sum = array_sum($weights);
            foreach ($sum > 0.0 ? $weights : [] as $key => $weight) {
                $even[$key] = (0.5 * $weight) / $sum;
            }
            if ($own === []) {
                return [];
            }
        }
        arsort($even);

        return $even;
    }

    /** @param array<string, float> $chances by hypothesis, the likeliest first */
    private static function leading(Evidence $evidence, array $chances, string $remedy): Hypothesis
    {
        foreach ($chances as $key => $_) {
            if ($evidence->hypotheses[$key]->remedy() === $remedy) {
                return $evidence->hypotheses[$key];
            }
        }

        throw new \LogicException("No fault of $remedy was weighed.");
    }

    private function shows(Evidence $evidence, Hypothesis $hypothesis, Test $test): string
    {
        if ($test->probe->quantity->isNumber()) {
            return $this->words->number($evidence->expected($hypothesis, $test)[0], $test->probe->quantity);
        }
        $chances = Ranking::largestFirst($evidence->foreseen->chances($hypothesis, $test));

        return $this->words->choice($test, (string) array_key_first($chances));
    }

    /** @param list<ReplayStep> $steps */
    private function because(Replaced $replaced, ?string $truth, bool $both, array $steps, ?int $misled): string
    {
        $then = $replaced->then();

        return match (true) {
            $truth === null => Words::general('replay.unknown'),
            $truth === $replaced->remedy => Words::general('replay.same'),
            $both => Words::general('replay.both'),
            $then?->label === null => Words::general('replay.no-verdict'),
            $replaced->stated() === null => Words::general('replay.other-than-named', [
                'named' => lcfirst($then->label),
            ]),
            $misled !== null && $steps[$misled]->reading === '' => Words::general('replay.misled-by-map'),
            $misled !== null => Words::general('replay.misled', [
                'test' => rtrim($steps[$misled]->test, '?'),
                'reading' => $steps[$misled]->reading,
            ]),
            default => Words::general('replay.odds-alone'),
        };
    }

    /** @param list<ToldShown> $told */
    private function lesson(string $chosen, string $truth, array $told): string
    {
        $words = ['chosen' => lcfirst($chosen), 'truth' => lcfirst($truth)];

        return $told === []
            ? Words::general('replay.lesson-none', $words)
            : Words::general('replay.lesson', [
                ...$words,
                'test' => rtrim($told[0]->test, '?'),
                'one' => $told[0]->underChosen,
                'other' => $told[0]->underTruth,
            ]);
    }
}
