<?php

declare(strict_types=1);

namespace Ispira\Core\Practice\Shown;

/**
 * A course beside another: whose it is, what it took, and its tests.
 */
final readonly class CourseShown
{
    /** @param list<string> $tests titles in their order */
    public function __construct(
        public string $whose,
        public float $minutes,
        public float $money,
        public string $named,
        public bool $right,
        public array $tests,
    ) {}
}
