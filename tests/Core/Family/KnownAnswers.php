<?php

declare(strict_types=1);

namespace Tests\Core\Family;

use PHPUnit\Framework\TestCase;
use Tests\Core\NominalMachine;

/**
 * What the trade knows of the families' circuits, found again by simulation alone.
 */
abstract class KnownAnswers extends TestCase
{
    /**
     * Mean of what a test shows under a hypothesis.
     *
     * @param array<string, string> $parameters
     */
    protected static function shows(string $family, array $parameters, string $hypothesis, string $test): float
    {
        return self::machine($family, $parameters)->shows($hypothesis, $test);
    }

    /**
     * What a position is most often called under a hypothesis.
     *
     * @param array<string, string> $parameters
     */
    protected static function called(string $family, array $parameters, string $hypothesis, string $position): string
    {
        return self::machine($family, $parameters)->called($hypothesis, $position);
    }

    /** @param array<string, string> $parameters */
    protected static function machine(string $family, array $parameters): NominalMachine
    {
        static $kept = [];

        return $kept[$family . serialize($parameters)] ??= new NominalMachine($family, $parameters);
    }
}
