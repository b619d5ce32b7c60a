<?php

declare(strict_types=1);

namespace Ispira\Core\Job\Shown;

/**
 * A position of the selector with the answers that it takes.
 */
readonly class Cell
{
    /**
     * @param bool $runs whether something should run in it
     * @param list<StateChoice> $states
     */
    public function __construct(public string $key, public string $label, public bool $runs, public array $states) {}
}
