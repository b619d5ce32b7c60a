<?php

declare(strict_types=1);

namespace Ispira\Core\Kernel;

/**
 * Reads a number where over-range is no answer: a setting, a figure of a plan, a supply voltage.
 */
final class NumberReader
{
    /**
     * @param string      $base    base unit of the quantity wanted; empty for a bare number
     * @param string|null $assumed symbol of the unit that a bare number has; the base unit when left out
     *
     * @return float in the base unit
     *
     * @throws UnreadableNumber
     */
    public static function read(mixed $given, string $base, ?string $assumed = null): float
    {
        return MeasureReader::read($given, $base, $assumed)->inBase() ??
            throw new UnreadableNumber('Over-range is no number here: type a value.');
    }
}
