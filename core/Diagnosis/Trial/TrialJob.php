<?php

declare(strict_types=1);

namespace Ispira\Core\Diagnosis\Trial;

use Ispira\Core\Device\CircuitModel;
use Ispira\Core\Device\Test;
use Ispira\Core\Diagnosis\Decision\DecisionSettings;
use Ispira\Core\Diagnosis\Decision\Diagnosis;
use Ispira\Core\Diagnosis\Decision\Engine;
use Ispira\Core\Diagnosis\Decision\Money;
use Ispira\Core\Diagnosis\Decision\StatedOdds;
use Ispira\Core\Diagnosis\Inference\CaseFile;
use Ispira\Core\Diagnosis\Inference\Hypothesis;
use Ispira\Core\Diagnosis\Inference\Odds;
use Ispira\Core\Kernel\RandomSource;
use Ispira\Core\Reading\Reading;

/**
 * Works one simulated job from the map to a machine that runs.
 */
final class TrialJob
{
    private const MOST_TESTS = 25;
    private const MOST_REPLACEMENTS = 4;
    private const MOST_MAPS = 12;

    private int $tests = 0;
    private float $minutes = 0.0;
    private int $number = 0;
    private CaseFile $case;

    /** @var array<string, true> */
    private array $opened = [];

    public function __construct(
        private readonly CircuitModel $circuit,
        private readonly SimulatedUnit $unit,
        private readonly Engine $engine,
        private readonly Policy $policy,
        private readonly RandomSource $chance,
        private readonly DecisionSettings $settings,
        bool $intermittent,
        Odds $odds = new Odds(),
    ) {
        $this->case = new CaseFile([], [], $intermittent, odds: $odds);
    }

    /** @return Outcome|null null where nothing of the fault is noticed: there is no job without a complaint */
    public function run(): ?Outcome
    {
        $money = new Money($this->circuit, $this->settings);
        $right = $this->unit->remedy();
        $avoidable = 0.0;
        $first = null;
        for ($attempt = 0; $attempt < self::MOST_REPLACEMENTS; ++$attempt) {
            if (!$this->map() && $attempt === 0) {
                return null;
            }
            $diagnosis = $this->investigate();
            $remedy = $diagnosis->verdict->suspect->remedy ?? $diagnosis->suspects[0]->remedy;
            if ($first === null) {
                $first = [
                    $remedy === $right,
                    $diagnosis->verdict !== null,
                    $diagnosis->suspects[0]->probability,
                    $remedy,
                ];
            }
            $bought = !Hypothesis::isOfParts($remedy) ? [] : explode('+', $remedy);
            $needed = explode('+', $right);
            foreach (array_diff($bought, $needed) as $part) {
                $avoidable += $money->ofRemedy($part);
            }
            if (array_diff($needed, $bought) === []) {
                break;
            }
            $avoidable += $this->settings->comeBack();
            if ($bought === [] || array_intersect($bought, $needed) !== []) {
                // What is left of a pair is found on the second visit at the price of the come-back.
                break;
            }
            $this->case = $this->case->afterReplacing($remedy);
        }

        return new Outcome(
            $first[0],
            $first[1],
            $first[2],
            $this->tests,
            $this->minutes,
            $avoidable + $this->settings->labour($this->minutes),
            $first[3],
        );
    }

    /**
     * Steps through the selector, again until something of the fault is noticed.
     *
     * @return bool whether something was
     */
    private function map(): bool
    {
        $before = $this->case;
        for ($try = 0; $try < self::MOST_MAPS; ++$try) {
            $this->case = $before;
            foreach ($this->circuit->positions as $position) {
                $this->read($this->circuit->speedTest($position->key));
            }
            foreach ($this->circuit->tests as $test) {
                if ($test->asked) {
                    $this->read($test);
                }
            }
            if ($this->unit->isNoticed(\array_slice($this->case->readings, \count($before->readings)))) {
                return true;
            }
        }

        return false;
    }

    private function investigate(): Diagnosis
    {
        $repeated = [];
        $fixed = array_values(array_filter($this->circuit->tests, static fn(Test $t): bool => $t->offered));
        if ($this->policy === Policy::RandomOrder) {
            $fixed = $this->chance->shuffled($fixed);
        }
        while (true) {
            $diagnosis = $this->engine->diagnose($this->circuit, $this->case, $this->settings);
            if ($this->policy === Policy::BuyOnPattern || $this->tests >= self::MOST_TESTS) {
                return $diagnosis;
            }
            $doubtful = array_values(array_diff($diagnosis->misfit->spoiling ?? [], $repeated));
            if ($doubtful !== [] && $this->policy === Policy::Engine) {
                $repeated[] = $this->repeat($doubtful[0]);
                continue;
            }
            $cause = $diagnosis->verdict === null ? null : $diagnosis->verdict->causesToCheck[0] ?? null;
            $next =
                $this->policy === Policy::Engine
                    ? $diagnosis->next->test ?? ($cause === null ? null : $this->circuit->tests[$cause->test])
                    : ($diagnosis->suspects[0]->probability >=
                    StatedOdds::of($diagnosis->suspects[0]->remedy, Engine::SURE)
                        ? null
                        : array_shift($fixed));
            if (!($next instanceof Test)) {
                return $diagnosis;
            }
            $this->read($next);
            $this->spend($next);
        }
    }

    private function spend(Test $test): void
    {
        ++$this->tests;
        $this->minutes += $test->minutes;
        foreach ($test->access as $place) {
            if (!isset($this->opened[$place])) {
                $this->opened[$place] = true;
                $this->minutes += $this->circuit->accessMinutes[$place];
            }
        }
    }

    private function read(Test $test): string
    {
        $id = 'r' . $this->number++;
        $this->case = $this->case->with($this->unit->read($id, $test, \count($this->case->replacements)));

        return $id;
    }

    /** Strikes a doubtful reading out and takes it again. */
    private function repeat(string $id): string
    {
        $test = null;
        foreach ($this->case->readings as $reading) {
            $test = $reading->id === $id ? $this->circuit->tests[$reading->test] : $test;
        }
        $this->case = $this->case->without($id);
        if ($test === null) {
            return $id;
        }
        $this->spend($test);

        return $this->read($test);
    }
}
