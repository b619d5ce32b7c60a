<?php

declare(strict_types=1);

namespace Ispira\Core\Job\Shown;

/**
 * A position with the speed that a sound machine has in it.
 */
final readonly class StripCell extends Cell
{
    /**
     * @param bool $runs whether something should run in it
     * @param list<StateChoice> $states
     * @param float $expected as a part of the highest
     */
    public function __construct(string $key, string $label, bool $runs, array $states, public float $expected)
    {
        parent::__construct($key, $label, $runs, $states);
    }
}
