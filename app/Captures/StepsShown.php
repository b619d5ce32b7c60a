<?php

declare(strict_types=1);

namespace App\Captures;

/**
 * The positions of the selector beside each other.
 */
final readonly class StepsShown
{
    /**
     * @param list<StepShown> $rows
     * @param list<string> $findings
     */
    public function __construct(public array $rows, public array $findings) {}
}
