<?php

declare(strict_types=1);

namespace Ispira\Core\Practice;

use Ispira\Core\Device\Test;

/**
 * A way through an exercise: what was measured, and what was named in the end.
 */
final readonly class Course
{
    /**
     * @param list<Test> $tests   in their order
     * @param float      $minutes of measuring, access and hints
     * @param string     $named   remedy
     * @param float      $chance  that the readings gave it
     * @param bool       $right   whether it is what was hidden
     * @param float      $money   minutes, and what being wrong cost or would have
     */
    public function __construct(
        public array $tests,
        public float $minutes,
        public string $named,
        public float $chance,
        public bool $right,
        public float $money,
    ) {}
}
