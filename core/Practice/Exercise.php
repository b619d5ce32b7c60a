<?php

declare(strict_types=1);

namespace Ispira\Core\Practice;

use Ispira\Core\Device\Contact;
use Ispira\Core\Device\Test;
use Ispira\Core\Diagnosis\Inference\HypothesisList;
use Ispira\Core\Diagnosis\Presentation\Words;
use Ispira\Core\Job\JobState;
use Ispira\Core\Job\Practice;
use Ispira\Core\Job\PracticeAct;
use Ispira\Core\Job\PracticeActKind;
use Ispira\Core\Kernel\Choice;
use Ispira\Core\Kernel\Keyed;
use Ispira\Core\Kernel\Titled;
use Ispira\Core\Practice\Shown\ExerciseShown;
use Ispira\Core\Reading\Reading;

/**
 * An exercise as it goes on: what was measured and written down, what is asked, and what can be named.
 */
final readonly class Exercise
{
    private Words $words;

    private function __construct(public JobState $job, public Practice $practice)
    {
        $this->words = new Words($job->circuit);
    }

    /** Null where the job is about a real machine. */
    public static function of(JobState $job): ?self
    {
        return $job->practice === null ? null : new self($job, $job->practice);
    }

    /** Readings that were written down, those of the map among them. */
    public function written(): int
    {
        return \count($this->job->readings);
    }

    /** How the test was gone at since the last reading; null where it was not. */
    public function hookUp(Test $test): ?HookUp
    {
        $last = null;
        foreach ($this->practice->of(PracticeActKind::Measured) as $act) {
            if ($act->text('test') === $test->key && $act->after === $this->written()) {
                $last = self::hookUpOf($act);
            }
        }

        return $last;
    }

    public static function hookUpOf(PracticeAct $act): HookUp
    {
        return new HookUp(
            $act->text('red'),
            $act->text('black'),
            ($act->data['isolated'] ?? false) === true,
            ($act->data['discharged'] ?? false) === true,
        );
    }

    /**
     * The readings of the bench, each with how it was gone at; in between what was measured and not written down.
     *
     * @return list<array{test: Test, reading: Reading|null, hookUp: HookUp}>
     */
    public function steps(): array
    {
        $acts = $this->practice->of(PracticeActKind::Measured);
        $steps = [];
        foreach ($this->job->readings as $number => $filed) {
            $test = $this->job->circuit->tests[$filed->reading->test];
            $own = null;
            foreach ($acts as $n => $act) {
                if ($act->after > $number) {
                    break;
                }
                if ($act->after === $number && $act->text('test') === $test->key) {
                    $own = $act;
                    unset($acts[$n]);
                } elseif ($act->after <= $number) {
                    $steps[] = $this->unwritten($act);
                    unset($acts[$n]);
                }
            }
            if (!$this->isOfTheStart($number) && $filed->reading->episode === 0) {
                $steps[] = [
                    'test' => $test,
                    'reading' => $filed->reading,
                    'hookUp' => $own === null ? HookUp::asWords($this->job->circuit, $test) : self::hookUpOf($own),
                ];
            }
        }
        foreach ($acts as $act) {
            $steps[] = $this->unwritten($act);
        }

        return array_values(array_filter($steps));
    }

    /**
     * Whether a reading is of the map, or was asked with the complaint: before anything else was read, and not gone at.
     *
     * @param int $number which of the job's readings
     */
    public function isOfTheStart(int $number): bool
    {
        foreach (\array_slice($this->job->readings, 0, $number + 1) as $n => $filed) {
            $test = $filed->reading->test;
            if ($filed->map === null && (!$this->job->circuit->tests[$test]->asked || $this->wasGoneAt($test, $n))) {
                return false;
            }
        }

        return true;
    }

    private function wasGoneAt(string $test, int $number): bool
    {
        foreach ($this->practice->of(PracticeActKind::Measured) as $act) {
            if ($act->text('test') === $test && $act->after === $number) {
                return true;
            }
        }

        return false;
    }

    /** @return array{test: Test, reading: null, hookUp: HookUp}|null */
    private function unwritten(PracticeAct $act): ?array
    {
        $test = $this->job->circuit->tests[$act->text('test')] ?? null;

        return $test === null ? null : ['test' => $test, 'reading' => null, 'hookUp' => self::hookUpOf($act)];
    }

    /** Whether what is believed is to be set down before the odds are shown. */
    public function asksForGuess(): bool
    {
        if (!$this->practice->guesses || $this->practice->isOver()) {
            return false;
        }
        $guesses = $this->practice->of(PracticeActKind::Guess);
        $last = $guesses[\count($guesses) - 1] ?? null;

        return $last === null || $last->after < $this->written();
    }

    /** Whether odds, proposals and reasons stay hidden now. */
    public function hides(): bool
    {
        return $this->practice->hides() || $this->asksForGuess();
    }

    /** @return array<string, string> labels of what can be named, by remedy */
    public function remedies(): array
    {
        $labels = [];
        foreach (HypothesisList::of($this->job->circuit, $this->job->head->intermittent) as $one) {
            $labels[$one->remedy()] ??= $this->words->remedy($one->remedy());
        }
        uksort(
            $labels,
            static fn(string $a, string $b): int => [substr_count($a, '+'), $labels[$a]] <=> [
                substr_count($b, '+'),
                $labels[$b],
            ],
        );
        $last = array_intersect_key($labels, [
            HypothesisList::NOTHING_WRONG => true,
            HypothesisList::SOMETHING_ELSE => true,
        ]);

        return array_diff_key($labels, $last) + $last;
    }

    /** @param Test|null $test that is shown */
    public function shown(Courses $courses, ?Test $test): ExerciseShown
    {
        $circuit = $this->job->circuit;
        $steps = $this->steps();
        $hints = $this->practice->of(PracticeActKind::Hint);
        $hint =
            array_values(array_filter($hints, fn(PracticeAct $one): bool => $one->after === $this->written()))[0] ??
            null;
        $guesses = $this->practice->of(PracticeActKind::Guess);
        $believed = [];
        foreach ($guesses === [] ? [] : $guesses[\count($guesses) - 1]->data as $remedy => $share) {
            $believed[$remedy] = (int) round(100.0 * (float) $share);
        }
        $places = [];
        foreach (HookUp::places($circuit) as $node) {
            $places[$node] = $circuit->places[$node];
        }
        $titles = array_map(
            static fn(string $key): Titled => new Titled($key, PracticeTexts::get("shortcuts.$key")),
            Danger::shortcuts($circuit),
        );

        return new ExerciseShown(
            way: $this->practice->way,
            hides: $this->hides(),
            over: $this->practice->isOver(),
            guessNow: $this->asksForGuess(),
            believed: new Keyed($believed),
            minutes: $courses->minutes(array_column($steps, 'test')) + Courses::HINT * \count($hints),
            hintMinutes: Courses::HINT,
            hints: \count($hints),
            hint: $hint === null || $hint->text('test') === '' ? null : $hint->text('test'),
            hintWhy: $hint === null ? null : $this->hinted($hint),
            remedies: self::choices($this->remedies()),
            shortcuts: $titles,
            stores: Danger::storesCharge($circuit),
            places: self::choices($places),
            leads: $test !== null && HookUp::hasLeads($test),
            near: $test !== null && $test->contact !== Contact::Eyes,
            note: $this->note($test),
        );
    }

    private function hinted(PracticeAct $hint): string
    {
        $test = $this->job->circuit->tests[$hint->text('test')] ?? null;

        return $test === null
            ? PracticeTexts::get('hint.none')
            : PracticeTexts::get('hint.some', ['test' => $this->words->test($test), 'why' => $hint->text('why')]);
    }

    /**
     * @param array<string, string> $labels by value
     *
     * @return list<Choice>
     */
    private static function choices(array $labels): array
    {
        $choices = [];
        foreach ($labels as $value => $label) {
            $choices[] = new Choice((string) $value, $label);
        }

        return $choices;
    }

    private function note(?Test $test): ?string
    {
        $hookUp = $test === null ? null : $this->hookUp($test);
        if ($test === null || $hookUp === null) {
            return null;
        }
        $isolated = $this->job->circuit->setUps[$test->setUp]->isolated;

        return match (true) {
            $hookUp->isolated && !$isolated => PracticeTexts::get('hook-up.nothing'),
            !$hookUp->isolated && $isolated && $test->probe->quantity->unit() === 'Ω' => PracticeTexts::get(
                'hook-up.unsettled',
            ),
            default => null,
        };
    }
}
