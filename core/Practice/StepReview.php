<?php

declare(strict_types=1);

namespace Ispira\Core\Practice;

use Ispira\Core\Device\CircuitModel;
use Ispira\Core\Device\Test;
use Ispira\Core\Diagnosis\Decision\Diagnosis;
use Ispira\Core\Diagnosis\Inference\CaseFile;
use Ispira\Core\Diagnosis\Presentation\TestCard;
use Ispira\Core\Diagnosis\Presentation\Words;
use Ispira\Core\Kernel\DisplayUnits;
use Ispira\Core\Practice\Shown\ExerciseStep;
use Ispira\Core\Reading\Reading;

/**
 * One step of an exercise in words: what it told, and what would have told more for its minutes.
 */
final readonly class StepReview
{
    /** Share of the chance that moves, under which a reading told next to nothing. */
    private const LITTLE = 0.03;

    /** Times as much for its minutes from which another test would have been the better one. */
    private const BETTER = 1.5;
    private const MANY = 9.0;

    private Words $words;

    public function __construct(private CircuitModel $circuit, private Courses $courses, private DisplayUnits $units)
    {
        $this->words = new Words($circuit, $units);
    }

    /**
     * @param array{test: Test, reading: Reading|null, hookUp: HookUp} $step
     * @param non-empty-list<Test> $taken up to this one
     * @param string|null $guess what was believed before it
     */
    public function step(
        array $step,
        Diagnosis $before,
        Diagnosis $after,
        array $taken,
        CaseFile $case,
        ?string $guess,
    ): ExerciseStep {
        [$test, $reading, $hookUp] = [$step['test'], $step['reading'], $step['hookUp']];
        $probe = $hookUp->really($test)->probe;
        [$better, $settled] = [$this->better($test, $before), $before->verdict !== null];
        $little = $reading !== null && $this->moved($before, $after) < self::LITTLE;

        return new ExerciseStep(
            title: $this->words->test($test),
            setUp: $this->words->setUp($test),
            showed: $reading === null ? null : $this->words->reading($reading),
            minutes: $this->courses->minutes($taken) - $this->courses->minutes(\array_slice($taken, 0, -1)),
            at: $probe->at,
            against: HookUp::hasLeads($test) ? $probe->against : '',
            slip: $hookUp->slip($this->circuit, $test),
            told: $reading === null
                ? 'It was not written down, and told nobody anything.'
                : $this->told($before, $after),
            better: match (true) {
                $settled => PracticeTexts::get('better.settled', $this->leading($before)),
                $better === null => null,
                default => PracticeTexts::get('better.more', [
                    'test' => $this->words->test($better[0]),
                    'times' => $better[1],
                ]),
            },
            betterTest: $settled || $better === null ? null : $this->words->test($better[0]),
            why: $settled || $better === null
                ? null
                : (new TestCard($this->circuit, $case, $before, $this->units))->of($better[0])->why,
            needless: $settled || $little,
            guess: $guess,
        );
    }

    /** @return array{0: Test, 1: string}|null a test that would have told more for its minutes, and how many times */
    private function better(Test $test, Diagnosis $before): ?array
    {
        $next = $before->next;
        if ($next === null || $next->test->key === $test->key) {
            return null;
        }
        $own = $before->choice($test)?->telling() ?? 0.0;
        $times = $own > 0.0 ? $next->telling() / $own : \INF;
        if ($times < self::BETTER) {
            return null;
        }

        return [$next->test, $times > self::MANY ? 'many times' : sprintf('%.1f times', $times)];
    }

    private function moved(Diagnosis $before, Diagnosis $after): float
    {
        $chances = array_column($before->suspects, 'probability', 'remedy');
        $moved = 0.0;
        foreach ($after->suspects as $suspect) {
            $moved += abs($suspect->probability - ($chances[$suspect->remedy] ?? 0.0)) / 2.0;
        }

        return $moved;
    }

    private function told(Diagnosis $before, Diagnosis $after): string
    {
        $lead = $after->suspects[0];
        $words = [
            'one' => $this->words->remedy($lead->remedy),
            'after' => self::percent($lead->probability),
            'before' => self::percent(Courses::chance($before, $lead->remedy)),
        ];
        $sentence = match (true) {
            $this->moved($before, $after) < self::LITTLE => PracticeTexts::get('told.little', $words),
            $before->suspects[0]->remedy !== $lead->remedy => PracticeTexts::get('told.turned', [
                'before' => $this->words->remedy($before->suspects[0]->remedy),
                'one' => lcfirst($words['one']),
                'after' => $words['after'],
            ]),
            default => PracticeTexts::get('told.more', $words),
        };
        [$was, $is] = [$this->courses->ofTheTruth($before), $this->courses->ofTheTruth($after)];
        if ($this->courses->isRight($lead->remedy) || abs($is - $was) < 2 * self::LITTLE) {
            return $sentence;
        }

        return "$sentence " .
            PracticeTexts::get($is > $was ? 'told.hidden' : 'told.against', [
                'before' => self::percent($was),
                'after' => self::percent($is),
            ]);
    }

    /** @return array{one: string, percent: string} */
    private function leading(Diagnosis $diagnosis): array
    {
        return [
            'one' => $this->words->remedy($diagnosis->suspects[0]->remedy),
            'percent' => self::percent($diagnosis->suspects[0]->probability),
        ];
    }

    public static function percent(float $share): string
    {
        return match (true) {
            $share >= 0.995 => 'over 99 %',
            $share < 0.005 => 'under 1 %',
            default => round(100.0 * $share) . ' %',
        };
    }
}
