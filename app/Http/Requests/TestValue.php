<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Validation\ValidationException;
use Ispira\Core\Device\CircuitModel;
use Ispira\Core\Device\Test;
use Ispira\Core\Diagnosis\Inference\Judged;
use Ispira\Core\Kernel\DisplayUnits;
use Ispira\Core\Kernel\MeasureReader;
use Ispira\Core\Kernel\UnreadableNumber;

/**
 * Reads what a test showed, where one field takes it: a number in the user's unit, over range, or an answer.
 */
final class TestValue
{
    /**
     * @param string $field at which it says what is wrong
     *
     * @return float|string|null null for over range
     *
     * @throws ValidationException
     */
    public static function read(
        string $given,
        Test $test,
        CircuitModel $circuit,
        DisplayUnits $units,
        string $field,
    ): float|string|null {
        $base = $test->probe->quantity->unit();
        if (!$test->probe->quantity->isNumber()) {
            return in_array($given, Judged::answers($circuit, $test), true)
                ? $given
                : throw ValidationException::withMessages([$field => 'Choose what it shows.']);
        }
        try {
            return MeasureReader::read($given, $base, $units->unit($base)->symbol)->inBase();
        } catch (UnreadableNumber $error) {
            throw ValidationException::withMessages([$field => $error->getMessage()]);
        }
    }
}
