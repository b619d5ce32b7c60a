<?php

declare(strict_types=1);

namespace Ispira\Core\Practice;

use Ispira\Core\Device\CircuitModel;
use Ispira\Core\Device\Test;
use Ispira\Core\Diagnosis\Decision\DecisionSettings;
use Ispira\Core\Diagnosis\Inference\CaseFile;
use Ispira\Core\Diagnosis\Inference\HypothesisList;
use Ispira\Core\Diagnosis\Inference\Judged;
use Ispira\Core\Diagnosis\Inference\PredictionStore;
use Ispira\Core\Kernel\RandomSource;
use Ispira\Core\Reading\Reading;

/**
 * Simulated pupils on one unit, with the points and the real cost of each.
 */
final readonly class Pupils
{
    private const SURE = 0.9;
    private const MOST_TESTS = 14;
    private const MISREADS = 0.25;

    private Courses $courses;

    private HiddenMachine $machine;

    private CaseFile $start;

    /** @throws \LogicException where no such fault is noticed */
    public function __construct(
        private CircuitModel $circuit,
        HiddenKind $kind,
        private int $seed,
        private DecisionSettings $settings,
        PredictionStore $store,
    ) {
        $intermittent = $kind === HiddenKind::Intermittent;
        $made = PracticeChoice::of($circuit, $kind, $seed);
        $this->machine =
            HiddenMachine::of($circuit, $made->practice, $intermittent) ??
            throw new \LogicException('The unit has no such fault.');
        $this->courses = new Courses($circuit, $this->machine, $settings, $store);
        $readings = [];
        foreach ($made->states as $position => $state) {
            $readings[] = new Reading("m-$position", $circuit->speedTest((string) $position)->key, $state);
        }
        foreach ($made->answers as $test => $answer) {
            $readings[] = new Reading("a-$test", $test, $answer);
        }
        $this->start = new CaseFile($readings, [], $intermittent);
    }

    /** @return array<string, array{points: int, passed: bool, money: float, right: bool}> by pupil */
    public function work(): array
    {
        $engine = $this->courses->engine($this->start);
        $best = $this->courses->best($this->start, $engine);
        $done = [];
        foreach (Pupil::cases() as $pupil) {
            $own = match ($pupil) {
                Pupil::Best => $best,
                Pupil::Engine, Pupil::Dangerous => $engine,
                default => $this->course($pupil),
            };
            $points = Points::of($own, $best, $this->settings, danger: $pupil === Pupil::Dangerous);
            $done[$pupil->value] = [
                'points' => $points->points,
                'passed' => $points->passed,
                'money' => $own->money,
                'right' => $own->right,
            ];
        }

        return $done;
    }

    private function course(Pupil $pupil): Course
    {
        $chance = new RandomSource(crc32("$pupil->value/$this->seed"));
        $list = array_values(
            array_filter($this->circuit->tests, static fn(Test $one): bool => $one->offered && $one->possible),
        );
        $tests = [];
        $hints = 0;
        $case = $this->start;
        while (true) {
            $diagnosis = $this->courses->diagnose($case);
            $lead = $diagnosis->suspects[0];
            $named =
                $lead->remedy === HypothesisList::NOTHING_WRONG && $diagnosis->verdict === null
                    ? $diagnosis->suspects[1]
                    : $lead;
            $proposed = $diagnosis->next?->test;
            $clear = $lead->probability >= self::SURE && $tests !== [];
            $next = match ($pupil) {
                Pupil::Pattern => null,
                Pupil::FixedOrder => $clear ? null : $list[\count($tests)] ?? null,
                Pupil::HalfHints => $clear && $proposed === null
                    ? null
                    : (\count($tests) % 2 === 0
                        ? $proposed
                        : $list[intdiv(\count($tests), 2)] ?? null),
                default => $proposed,
            };
            if ($next === null || \count($tests) >= self::MOST_TESTS) {
                return $this->courses->priced($tests, $named->remedy, min(1.0, $named->probability), $hints);
            }
            $hints += $pupil === Pupil::HalfHints && \count($tests) % 2 === 0 ? 1 : 0;
            $tests[] = $next;
            $reading = $this->machine->read('r' . \count($tests), $next, \count($tests));
            $case = $case->with(
                $pupil === Pupil::Misreads && $chance->happens(self::MISREADS)
                    ? $this->misread($reading, $next, $chance)
                    : $reading,
            );
        }
    }

    private function misread(Reading $reading, Test $test, RandomSource $chance): Reading
    {
        if (!$test->probe->quantity->isNumber()) {
            $answers = array_values(array_diff(Judged::answers($this->circuit, $test), [(string) $reading->value]));

            return $answers === []
                ? $reading
                : $reading->showing($answers[(int) $chance->between(0.0, \count($answers))]);
        }

        return $reading->showing(
            \is_float($reading->value) && $chance->happens(0.7)
                ? $reading->value * $chance->between(0.3, 2.0)
                : $chance->between(0.0, 12.0),
        );
    }
}
