<?php

declare(strict_types=1);

namespace Ispira\Core\Diagnosis\Inference;

use Ispira\Core\Device\CircuitModel;
use Ispira\Core\Device\PositionKind;
use Ispira\Core\Device\Quantity;
use Ispira\Core\Device\Test;
use Ispira\Core\Kernel\DisplayUnits;
use Ispira\Core\Reading\Intake;

/**
 * What a person makes of something that the circuit decides but no meter shows: a speed, a lamp.
 */
final class Judged
{
    private function __construct() {}

    /** The one way in for readings of a circuit. */
    public static function intake(
        CircuitModel $circuit,
        DisplayUnits $units = new DisplayUnits(),
        bool $onRecord = false,
    ): Intake {
        return new Intake($circuit, static fn(Test $test): array => self::answers($circuit, $test), $units, $onRecord);
    }

    /** @return list<string> answers that make sense for a test whose outcome is chosen */
    public static function answers(CircuitModel $circuit, Test $test): array
    {
        return match ($test->probe->quantity) {
            Quantity::Observation => array_map(
                strval(...),
                array_keys($circuit->observations[$test->probe->at]->usual),
            ),
            Quantity::Speed => array_map(
                static fn(SpeedState $s): string => $s->value,
                SpeedState::possible($circuit->kindIn($test)),
            ),
            Quantity::Lamp => array_map(static fn(LampState $s): string => $s->value, LampState::cases()),
            default => [],
        };
    }

    /**
     * @param float    $number as {@see Predictions} gives it
     * @param int|null $ear    whose ears, see {@see SpeedState::chances()}
     *
     * @return array<string, float> chance of each answer
     */
    public static function chances(CircuitModel $circuit, Test $test, float $number, ?int $ear = null): array
    {
        return $test->probe->quantity === Quantity::Lamp
            ? LampState::chances($number)
            : SpeedState::chances($number, $circuit->kindIn($test), $ear);
    }

    /** Whether it hangs on whose ears they are what a test is called. */
    public static function hangsOnEars(CircuitModel $circuit, Test $test): bool
    {
        return $test->probe->quantity === Quantity::Speed && $circuit->kindIn($test) === PositionKind::Runs;
    }
}
