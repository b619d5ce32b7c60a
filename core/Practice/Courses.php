<?php

declare(strict_types=1);

namespace Ispira\Core\Practice;

use Ispira\Core\Device\CircuitModel;
use Ispira\Core\Device\Test;
use Ispira\Core\Diagnosis\Decision\DecisionSettings;
use Ispira\Core\Diagnosis\Decision\Diagnosis;
use Ispira\Core\Diagnosis\Decision\Engine;
use Ispira\Core\Diagnosis\Decision\Money;
use Ispira\Core\Diagnosis\Decision\TestChoice;
use Ispira\Core\Diagnosis\Inference\CaseFile;
use Ispira\Core\Diagnosis\Inference\PredictionStore;
use Ispira\Core\Kernel\Ranking;

/**
 * What courses through one exercise cost: anybody's, the engine's, and the best that can be found for this unit.
 */
final readonly class Courses
{
    /** Minutes that a hint costs. */
    public const HINT = 6.0;

    /** Tests after which the engine stops, too. */
    private const MOST_TESTS = 14;

    /** Tests of which every one is tried alone, and every pair, for the best course. */
    private const ALONE = 14;
    private const IN_PAIRS = 5;

    private Money $money;

    private Engine $engine;

    public function __construct(
        private CircuitModel $circuit,
        private HiddenMachine $machine,
        private DecisionSettings $settings,
        PredictionStore $store,
    ) {
        $this->money = new Money($circuit, $settings);
        $this->engine = new Engine($store);
    }

    public function diagnose(CaseFile $case): Diagnosis
    {
        return $this->engine->diagnose($this->circuit, $case, $this->settings);
    }

    /**
     * A course with its price. Who names the right thing without readings that show it is charged for how often that
     * goes wrong; who names the wrong one, for its part and the come-back.
     *
     * @param list<Test> $tests
     * @param string     $named  empty where it ended before anything was
     * @param float      $chance that the readings give what is named
     */
    public function priced(array $tests, string $named, float $chance, int $hints = 0): Course
    {
        $minutes = $this->minutes($tests) + self::HINT * $hints;
        $right = $this->isRight($named);
        $wasted = ($named === '' ? 0.0 : $this->money->ofRemedy($named)) + $this->settings->comeBack();

        return new Course(
            $tests,
            $minutes,
            $named,
            $chance,
            $right,
            $this->settings->effort($minutes) + ($right ? 1.0 - $chance : 1.0) * $wasted,
        );
    }

    /** The chance of a remedy in a diagnosis. */
    public static function chance(Diagnosis $diagnosis, string $remedy): float
    {
        foreach ($diagnosis->suspects as $suspect) {
            if ($suspect->remedy === $remedy) {
                return min(1.0, $suspect->probability);
            }
        }

        return 0.0;
    }

    /** The chance of what was hidden, by whichever of its right remedies. */
    public function ofTheTruth(Diagnosis $diagnosis): float
    {
        $sum = 0.0;
        foreach ($this->machine->right as $remedy) {
            $sum += self::chance($diagnosis, $remedy);
        }

        return min(1.0, $sum);
    }

    public function isRight(string $remedy): bool
    {
        return \in_array($remedy, $this->machine->right, true);
    }

    /** @param list<Test> $tests */
    public function minutes(array $tests): float
    {
        $minutes = 0.0;
        $opened = [];
        foreach ($tests as $test) {
            $minutes += $this->settings->terms->minutes($this->circuit, $test, $opened);
            array_push($opened, ...$test->access);
        }

        return $minutes;
    }

    /** The course that the engine's proposals lead to. */
    public function engine(CaseFile $start): Course
    {
        $case = $start;
        $tests = [];
        while (true) {
            $diagnosis = $this->diagnose($case);
            $next = $diagnosis->next;
            if ($next === null || \count($tests) >= self::MOST_TESTS) {
                break;
            }
            $tests[] = $next->test;
            $case = $this->after($start, $tests);
        }

        return $this->named($tests, $diagnosis);
    }

    /**
     * The cheapest course to what is hidden that anybody could have found: the engine's, the same without what it could
     * have left out, no test at all, each of the tests that tell most alone, and pairs of the first of them.
     */
    public function best(CaseFile $start, Course $engine): Course
    {
        $best = $this->toTheTruth($start, $engine->tests);
        $none = $this->toTheTruth($start, []);
        $best = $none->money < $best->money ? $none : $best;
        for ($n = \count($best->tests) - 1; $n >= 0; --$n) {
            $fewer = $best->tests;
            array_splice($fewer, $n, 1);
            $best = $this->cheaper($start, $fewer, $best);
        }
        $telling = array_map(
            static fn(TestChoice $one): Test => $one->test,
            array_values(
                Ranking::by($this->diagnose($start)->choices(), static fn(TestChoice $one): float => $one->information),
            ),
        );
        foreach (\array_slice($telling, 0, self::ALONE) as $test) {
            $best = $this->cheaper($start, [$test], $best);
        }
        $paired = \array_slice($telling, 0, self::IN_PAIRS);
        foreach ($paired as $n => $one) {
            foreach (\array_slice($paired, $n + 1) as $other) {
                $best = $this->cheaper($start, [$one, $other], $best);
            }
        }

        return $best;
    }

    /**
     * What the machine shows at tests, one after the other.
     *
     * @param list<Test> $tests
     */
    public function after(CaseFile $start, array $tests): CaseFile
    {
        $case = $start;
        $times = [];
        foreach ($tests as $n => $test) {
            $before = $times[$test->key] ?? 0;
            $times[$test->key] = $before + 1;
            $case = $case->with($this->machine->read("course-$n", $test, $before));
        }

        return $case;
    }

    /** @param list<Test> $tests */
    private function cheaper(CaseFile $start, array $tests, Course $best): Course
    {
        // What its minutes alone cost need not be tried.
        if ($this->settings->effort($this->minutes($tests)) >= $best->money) {
            return $best;
        }
        $course = $this->toTheTruth($start, $tests);

        return $course->money < $best->money ? $course : $best;
    }

    /**
     * Who names what is right, at the chance that the readings give it.
     *
     * @param list<Test> $tests
     */
    private function toTheTruth(CaseFile $start, array $tests): Course
    {
        $evidence = $this->engine->weigh($this->circuit, $this->after($start, $tests), $this->settings);
        $evidence->predictions->keep();
        $byRemedy = $evidence->byRemedy();
        $chances = [];
        foreach ($this->machine->right as $remedy) {
            $chances[$remedy] = min(1.0, $byRemedy[$remedy] ?? 0.0);
        }
        $likeliest = array_key_first(Ranking::largestFirst($chances));

        return $this->priced($tests, (string) $likeliest, $chances[$likeliest] ?? 0.0);
    }

    /** @param list<Test> $tests */
    private function named(array $tests, Diagnosis $diagnosis): Course
    {
        $leading = $diagnosis->verdict->suspect ?? $diagnosis->suspects[0];

        return $this->priced($tests, $leading->remedy, min(1.0, $leading->probability));
    }
}
