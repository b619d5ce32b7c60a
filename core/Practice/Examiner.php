<?php

declare(strict_types=1);

namespace Ispira\Core\Practice;

use Ispira\Core\Device\Test;
use Ispira\Core\Diagnosis\Decision\DecisionSettings;
use Ispira\Core\Diagnosis\Decision\Diagnosis;
use Ispira\Core\Diagnosis\Inference\CaseFile;
use Ispira\Core\Diagnosis\Inference\PredictionStore;
use Ispira\Core\Diagnosis\Presentation\Words;
use Ispira\Core\Job\FiledReading;
use Ispira\Core\Job\JobState;
use Ispira\Core\Job\PracticeAct;
use Ispira\Core\Job\PracticeActKind;
use Ispira\Core\Kernel\DisplayUnits;
use Ispira\Core\Practice\Shown\CourseShown;
use Ispira\Core\Practice\Shown\ExerciseStep;
use Ispira\Core\Practice\Shown\ScoreShown;
use Ispira\Core\Reading\Reading;

/**
 * Goes through an exercise that is over, step by step: what was done, what it told, what would have told more.
 */
final readonly class Examiner
{
    private Words $words;

    private Courses $courses;

    private HiddenMachine $machine;

    private StepReview $review;

    private function __construct(
        private Exercise $exercise,
        private DecisionSettings $settings,
        PredictionStore $store,
        private DisplayUnits $units,
        HiddenMachine $machine,
    ) {
        $this->words = new Words($exercise->job->circuit, $units);
        $this->machine = $machine;
        $this->courses = new Courses($exercise->job->circuit, $machine, $settings, $store);
        $this->review = new StepReview($exercise->job->circuit, $this->courses, $units);
    }

    /** Null where the exercise is not over, or there is none. */
    public static function of(
        JobState $job,
        DecisionSettings $settings,
        PredictionStore $store,
        DisplayUnits $units = new DisplayUnits(),
    ): ?self {
        $exercise = Exercise::of($job);
        $machine =
            $exercise === null || !$exercise->practice->isOver()
                ? null
                : HiddenMachine::of($job->circuit, $exercise->practice, $job->head->intermittent);

        return $exercise === null || $machine === null
            ? null
            : new self($exercise, $settings, $store, $units, $machine);
    }

    public function score(): ScoreShown
    {
        $start = $this->start();
        $done = $this->exercise->steps();
        [$steps, $last] = $this->steps($start, $done);
        $hints = \count($this->exercise->practice->of(PracticeActKind::Hint));
        $named = $this->named();
        $own = $this->courses->priced(array_column($done, 'test'), $named, Courses::chance($last, $named), $hints);
        $engine = $this->courses->engine($start);
        $best = $this->courses->best($start, $engine);
        // Not every course was looked at: one's own may be better still.
        $best = $own->right && $own->money < $best->money ? $own : $best;
        $danger = $this->danger();
        $unwritten = \count(array_filter($done, static fn(array $one): bool => $one['reading'] === null));
        $points = Points::of($own, $best, $this->settings, $unwritten, $danger !== null);
        $needless = \count(array_filter($steps, static fn(ExerciseStep $one): bool => $one->needless));

        return new ScoreShown(
            points: $points->points,
            passed: $points->passed,
            right: $danger === null && $own->right,
            verdict: $this->verdict($own, $danger),
            hidden: $this->machine->told(),
            steps: $steps,
            courses: [
                $this->course('You', $own),
                $this->course('Following every proposal', $engine),
                $this->course('The best for this unit', $best),
            ],
            hints: $hints,
            needless: $needless,
            unwritten: $unwritten,
            danger: $danger,
            believed: $this->believed($start),
            weak: $this->weak($own, $done, $steps, $unwritten, $danger),
        );
    }

    /** Readings of the map, and what was asked with the complaint. */
    private function start(): CaseFile
    {
        $job = $this->exercise->job;
        $readings = array_filter(
            $job->readings,
            fn(int $number): bool => $this->exercise->isOfTheStart($number),
            \ARRAY_FILTER_USE_KEY,
        );

        return new CaseFile(
            array_values(array_map(static fn(FiledReading $one): Reading => $one->reading, $readings)),
            [],
            $job->head->intermittent,
        );
    }

    /**
     * @param list<array{test: Test, reading: Reading|null, hookUp: HookUp}> $done
     *
     * @return array{0: list<ExerciseStep>, 1: Diagnosis} and what all that was read gives in the end
     */
    private function steps(CaseFile $case, array $done): array
    {
        $steps = [];
        $before = $this->courses->diagnose($case);
        $taken = [];
        foreach ($done as $step) {
            $taken[] = $step['test'];
            $reading = $step['reading'];
            // What was struck out later had still been read.
            $after =
                $reading === null ? $before : $this->courses->diagnose($with = $case->with(self::stands($reading)));
            $steps[] = $this->review->step(
                $step,
                $before,
                $after,
                $taken,
                $case,
                $this->guess(\count($case->readings), $before),
            );
            $case = $reading === null || $reading->struck ? $case : $with;
            $before = $reading === null || $reading->struck ? $before : $after;
        }

        return [$steps, $before];
    }

    private static function stands(Reading $reading): Reading
    {
        return new Reading(
            $reading->id,
            $reading->test,
            $reading->value,
            $reading->steady,
            $reading->trust,
            $reading->supplyVolts,
            misbehaved: $reading->misbehaved,
            leadOhms: $reading->leadOhms,
        );
    }

    /** What was believed when so many readings were written down, beside what they gave. */
    private function guess(int $written, Diagnosis $then): ?string
    {
        $guess = null;
        foreach ($this->exercise->practice->of(PracticeActKind::Guess) as $act) {
            $guess = $act->after === $written ? $act : $guess;
        }

        return $guess === null
            ? null
            : PracticeTexts::get('guess.step', [
                'own' => StepReview::percent($this->shareOfTruth($guess)),
                'odds' => StepReview::percent($this->courses->ofTheTruth($then)),
            ]);
    }

    private function shareOfTruth(PracticeAct $guess): float
    {
        $sum = 0.0;
        foreach ($this->machine->right as $remedy) {
            $share = $guess->data[$remedy] ?? 0.0;
            $sum += \is_float($share) ? $share : 0.0;
        }

        return $sum;
    }

    /** How far what was believed was off in the mean, beside the odds at the same moments. */
    private function believed(CaseFile $start): ?string
    {
        $guesses = $this->exercise->practice->of(PracticeActKind::Guess);
        if ($guesses === []) {
            return null;
        }
        $own = $odds = 0.0;
        foreach ($guesses as $guess) {
            $readings = \array_slice($this->exercise->job->readings, 0, $guess->after);
            $then = $this->courses->diagnose(
                $start->withReadings(
                    array_map(static fn(FiledReading $one): Reading => self::stands($one->reading), $readings),
                ),
            );
            $own += self::off(
                array_filter($guess->data, static fn(mixed $share): bool => \is_float($share)),
                $this->machine->right,
            );
            $odds += self::off(
                array_map(floatval(...), array_column($then->suspects, 'probability', 'remedy')),
                $this->machine->right,
            );
        }

        return PracticeTexts::get('guess.all', [
            'times' => (string) \count($guesses),
            'own' => sprintf('%.2f', $own / \count($guesses)),
            'odds' => sprintf('%.2f', $odds / \count($guesses)),
        ]);
    }

    /**
     * Brier's score of shares: 0 for all on what is right, 2 for all on one that is not.
     *
     * @param array<string, float> $shares by remedy
     * @param list<string>         $right
     */
    private static function off(array $shares, array $right): float
    {
        $off = 0.0;
        $rightShare = 0.0;
        foreach ($shares as $remedy => $share) {
            if (\in_array($remedy, $right, true)) {
                $rightShare += $share;
            } else {
                $off += $share ** 2;
            }
        }

        return $off + (1.0 - $rightShare) ** 2;
    }

    private function named(): string
    {
        $named = $this->exercise->practice->of(PracticeActKind::Named);

        return $named === [] ? '' : $named[0]->text('remedy');
    }

    private function danger(): ?string
    {
        $act = $this->exercise->practice->of(PracticeActKind::Danger)[0] ?? null;

        return $act === null ? null : Danger::inWords($this->exercise->job->circuit, $act->text('reason'));
    }

    private function verdict(Course $own, ?string $danger): string
    {
        if ($danger !== null) {
            return PracticeTexts::get('named.danger', ['reason' => $danger]);
        }
        $named = $this->words->remedy($own->named);
        if (!$own->right) {
            return PracticeTexts::get('named.wrong', ['named' => lcfirst($named), 'hidden' => $this->machine->told()]);
        }
        $right = PracticeTexts::get('named.right', ['named' => lcfirst($named)]);

        return $own->chance >= 0.7
            ? $right
            : "$right " .
                    PracticeTexts::get('named.unproved', [
                        'percent' => StepReview::percent($own->chance),
                        'wrong' => (string) max(1, min(9, (int) round(10.0 * (1.0 - $own->chance)))),
                    ]);
    }

    private function course(string $whose, Course $course): CourseShown
    {
        return new CourseShown(
            whose: $whose,
            minutes: $course->minutes,
            money: $course->money,
            named: $course->named === '' ? '' : $this->words->remedy($course->named),
            right: $course->right,
            tests: array_map($this->words->test(...), $course->tests),
        );
    }

    /**
     * @param list<array{test: Test, reading: Reading|null, hookUp: HookUp}> $done
     * @param list<ExerciseStep> $steps of them
     *
     * @return list<string>
     */
    private function weak(Course $own, array $done, array $steps, int $unwritten, ?string $danger): array
    {
        $weak = [];
        foreach ($done as $n => $step) {
            if (($steps[$n]->slip ?? null) !== null) {
                $weak[] = 'leads';
            }
            if (($steps[$n]->needless ?? false) === true) {
                $weak[] = 'test:' . $step['test']->probe->quantity->value;
            }
        }
        foreach (['danger' => $danger !== null, 'wrong' => !$own->right, 'notes' => $unwritten > 0] as $what => $is) {
            if ($is) {
                $weak[] = $what;
            }
        }

        return array_values(array_unique($weak));
    }
}
