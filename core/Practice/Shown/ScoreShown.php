<?php

declare(strict_types=1);

namespace Ispira\Core\Practice\Shown;

/**
 * What came of an exercise, step by step.
 */
final readonly class ScoreShown
{
    /**
     * @param string      $verdict   whether it was right, in a sentence
     * @param string      $hidden    what was hidden
     * @param list<ExerciseStep> $steps
     * @param list<CourseShown> $courses own, the engine's, the best
     * @param int         $needless  steps that told next to nothing
     * @param int         $unwritten measurements that were not written down
     * @param string|null $danger    why it was stopped
     * @param string|null $believed  how far what was believed was off, beside the odds; null where nothing was guessed
     * @param list<string> $weak     keys of what went wrong: kinds of test and of fault to take up again
     */
    public function __construct(
        public int $points,
        public bool $passed,
        public bool $right,
        public string $verdict,
        public string $hidden,
        public array $steps,
        public array $courses,
        public int $hints,
        public int $needless,
        public int $unwritten,
        public ?string $danger,
        public ?string $believed,
        public array $weak,
    ) {}
}
