<?php

declare(strict_types=1);

namespace Ispira\Core\Practice\Shown;

/**
 * One step of an exercise, looked at afterwards.
 */
final readonly class ExerciseStep
{
    /**
     * @param string      $title   of the test, or of what else was done
     * @param string      $setUp   in which it was taken; empty where that says nothing
     * @param string|null $showed  what was written down; null where nothing was
     * @param string      $at      node or element of the red lead as it was; empty for none
     * @param string      $against of the black one
     * @param string|null $slip    what the leads and the words differed in
     * @param string      $told    what the reading did to the odds
     * @param string|null $better  what would have told more; null where this was the best
     * @param string|null $betterTest its title
     * @param string|null $why     why that
     * @param bool        $needless whether it told next to nothing, or came after all was clear
     * @param string|null $guess   what was believed before it, beside what the readings gave
     */
    public function __construct(
        public string $title,
        public string $setUp,
        public ?string $showed,
        public float $minutes,
        public string $at,
        public string $against,
        public ?string $slip,
        public string $told,
        public ?string $better,
        public ?string $betterTest,
        public ?string $why,
        public bool $needless,
        public ?string $guess,
    ) {}
}
