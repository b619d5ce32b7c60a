<?php

declare(strict_types=1);

namespace Ispira\Core\Pages;

/**
 * What a planner is given.
 */
final readonly class PlannerAsked
{
    /**
     * @param array<array-key, mixed> $values as they were typed; empty for none yet
     * @param bool   $example whether an example is asked for where none are given
     * @param string $test    for which the answer is wanted; empty for none
     */
    public function __construct(public array $values = [], public bool $example = false, public string $test = '') {}
}
