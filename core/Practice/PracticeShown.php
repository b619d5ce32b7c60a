<?php

declare(strict_types=1);

namespace Ispira\Core\Practice;

use Ispira\Core\Job\JobState;
use Ispira\Core\Kernel\DisplayUnits;
use Ispira\Core\Kernel\Keyed;

/**
 * What a page shows of a practice unit.
 */
final readonly class PracticeShown
{
    /**
     * @param string                $hidden  what was hidden in it, in words: shown when somebody asks
     * @param Keyed<PracticeAnswer> $answers by test
     * @param Keyed<string>         $states  what it does in each position; empty where no map is taken
     */
    private function __construct(public string $hidden, public Keyed $answers, public Keyed $states) {}

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
    ): ?self {
        $unit = PracticeUnit::of($job);
        if ($unit === null) {
            return null;
        }
        $answers = [];
        foreach ($tests as $test) {
            $answers[$test] = $unit->answer($job->circuit->tests[$test], $units, $leadOhms);
        }

        return new self($unit->told(), new Keyed($answers), new Keyed($withMap ? $unit->map() : []));
    }
}
