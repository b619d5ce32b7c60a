<?php

declare(strict_types=1);

namespace Ispira\Core\Practice;

use Ispira\Core\Job\JobState;
use Ispira\Core\Kernel\DisplayUnits;
use Ispira\Core\Kernel\Keyed;
use Ispira\Core\Practice\Shown\ExerciseShown;

/**
 * What a page shows of a practice unit.
 */
final readonly class PracticeShown
{
    /**
     * @param string                $hidden  what was hidden in it, in words: shown when somebody asks; empty while that
     *     would spoil an exercise
     * @param Keyed<PracticeAnswer> $answers by test
     * @param Keyed<string>         $states  what it does in each position; empty where no map is taken
     * @param ExerciseShown|null    $exercise on the bench
     */
    private function __construct(
        public string $hidden,
        public Keyed $answers,
        public Keyed $states,
        public ?ExerciseShown $exercise,
    ) {}

    /**
     * Null where the job is about a real machine.
     *
     * @param list<string> $tests   that are asked on the page
     * @param bool         $withMap whether the map is taken on it
     */
    public static function of(
        JobState $job,
        DisplayUnits $units,
        float $leadOhms,
        array $tests,
        bool $withMap = false,
        ?ExerciseShown $exercise = null,
    ): ?self {
        [$unit, $ownWay] = [PracticeUnit::of($job), $job->practice?->hides() === true];
        if ($unit === null) {
            return null;
        }
        $answers = [];
        foreach ($tests as $key) {
            $test = $job->circuit->tests[$key];
            $hookUp = Exercise::of($job)?->hookUp($test);
            // Who works in his own way reads what he has hooked up.
            $answer = $ownWay && $hookUp === null ? null : $unit->answer($test, $units, $leadOhms, $hookUp);
            if ($answer !== null) {
                $answers[$key] = $answer;
            }
        }

        return new self(
            $ownWay ? '' : $unit->told(),
            new Keyed($answers),
            new Keyed($withMap ? $unit->map() : []),
            $exercise,
        );
    }
}
