<?php

declare(strict_types=1);

namespace Ispira\Core\Acts;

use Ispira\Core\Device\Quantity;
use Ispira\Core\Device\Test;
use Ispira\Core\Reading\Intake;
use Ispira\Core\Reading\Reading;
use Ispira\Core\Reading\RefusedReading;
use Ispira\Core\Reading\Trust;

/**
 * A reading as a person gives it: a number or an answer, and what was seen beside it.
 */
final readonly class TypedReading
{
    /** @param float $leadOhms resistance of the leads, taken off of every resistance */
    public function __construct(private Intake $intake, private float $leadOhms = 0.0) {}

    /**
     * @param array<array-key, mixed> $given      by field of the dock: test, value or choice, overRange, steady, supplyVolts,
     *     misbehaved
     * @param bool                    $seenBefore whether it was seen before this job
     *
     * @throws RefusedReading
     */
    public function read(string $id, array $given, bool $seenBefore = false): Reading
    {
        $test = $this->intake->test(\is_string($given['test'] ?? null) ? $given['test'] : '');
        $isNumber = $test->probe->quantity->isNumber();
        $overRange = self::flag($given['overRange'] ?? false);

        return new Reading(
            $id,
            $test->key,
            $overRange && $isNumber
                ? null
                : $this->intake->value($test, $given[$isNumber ? 'value' : 'choice'] ?? null, $this->leads($test)),
            self::flag($given['steady'] ?? true),
            $seenBefore ? Trust::Remembered : Trust::Measured,
            supplyVolts: $this->intake->supply($given['supplyVolts'] ?? null),
            misbehaved: ($given['misbehaved'] ?? null) === null ? null : self::flag($given['misbehaved']),
            leadOhms: $overRange ? 0.0 : $this->leads($test),
        );
    }

    /** What the leads were found to have; nothing where no resistance is read. */
    public function leads(Test $test): float
    {
        return $test->probe->quantity === Quantity::Ohms ? $this->leadOhms : 0.0;
    }

    private static function flag(mixed $given): bool
    {
        return filter_var($given, \FILTER_VALIDATE_BOOLEAN);
    }
}
