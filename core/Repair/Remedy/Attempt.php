<?php

declare(strict_types=1);

namespace Ispira\Core\Repair\Remedy;

/**
 * One step of an order of trial.
 */
final readonly class Attempt
{
    /**
     * @param float $reached chance that it comes to this attempt at all
     * @param float $fixes   chance that the machine runs after this attempt and not before
     */
    public function __construct(public RemedyOption $option, public float $reached, public float $fixes) {}
}
