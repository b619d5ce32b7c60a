<?php

declare(strict_types=1);

namespace App\Bench;

use Illuminate\Validation\ValidationException;
use Ispira\Core\Device\CircuitModel;
use Ispira\Core\Device\Test;
use Ispira\Core\Diagnosis\Inference\Judged;
use Ispira\Core\Kernel\DisplayUnits;
use Ispira\Core\Reading\RefusedReading;

/**
 * Reads what a test showed, where one field takes it: a number in the user's unit, over range, or an answer.
 */
final class TestValue
{
    /**
     * @param array{test: string, value?: string|null} $given
     * @param string|null $field at which it says what is wrong; null for the key of the test
     *
     * @return array{0: Test, 1: float|string|null} the value is null for over range
     *
     * @throws ValidationException
     */
    public static function read(array $given, CircuitModel $circuit, DisplayUnits $units, ?string $field = null): array
    {
        $intake = Judged::intake($circuit, $units);
        try {
            $test = $intake->test($given['test']);

            return [$test, $intake->value($test, $given['value'] ?? '')];
        } catch (RefusedReading $error) {
            throw ValidationException::withMessages([$field ?? $given['test'] => $error->getMessage()]);
        }
    }
}
