<?php

declare(strict_types=1);

namespace App\Units;

/**
 * How often something was replaced on a model.
 */
final readonly class ReplacedCount
{
    /**
     * @param int $held of which as many are known to have cured the machine
     * @param int $not and as many not
     */
    public function __construct(public string $label, public int $times, public int $held, public int $not) {}
}
