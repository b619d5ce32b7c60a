<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\ValidationException;
use Ispira\Core\Diagnosis\Judged;
use Ispira\Core\Diagnosis\Reading;
use Ispira\Core\Family\CircuitModel;
use Ispira\Core\Family\Quantity;
use Ispira\Core\Family\Test;
use Ispira\Core\Measurement\NumberReader;
use Ispira\Core\Measurement\UnreadableNumber;

final class RecordReadingRequest extends FormRequest
{
    /** Beyond this, in V, A or 10 MΩ, no instrument of the trade reads. */
    private const LARGEST = ['volts' => 1000.0, 'amps' => 500.0, 'ohms' => 1e8, 'duty' => 100.0, 'vacuum' => 110.0, 'capacitance' => 1e4, 'rise' => 200.0, 'pressure' => 1e4, 'frequency' => 1e5];

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'id' => ['required', 'ulid'],
            'test' => ['required', 'string', 'max:80'],
            'value' => ['nullable', 'max:40'],
            'choice' => ['nullable', 'string', 'max:40'],
            'overRange' => ['boolean'],
            'steady' => ['boolean'],
            'supplyVolts' => ['nullable', 'max:40'],
            'misbehaved' => ['nullable', 'boolean'],
        ];
    }

    /** @throws ValidationException */
    public function reading(CircuitModel $circuit): Reading
    {
        $test = $circuit->tests[$this->string('test')->toString()] ?? throw ValidationException::withMessages(['value' => 'This circuit has no such test. Reload the page: the circuit may have been changed.']);

        return new Reading(
            $this->string('id')->toString(),
            $test->key,
            $test->probe->quantity->isNumber() ? $this->number($test) : $this->outcome($circuit, $test),
            $this->boolean('steady', true),
            supplyVolts: $this->supply($circuit),
            misbehaved: $this->input('misbehaved') === null ? null : $this->boolean('misbehaved'),
        );
    }

    private function number(Test $test): ?float
    {
        $quantity = $test->probe->quantity;
        if ($this->boolean('overRange')) {
            return null;
        }
        $number = $this->read('value', $this->input('value'), $quantity->unit());
        if ($quantity === Quantity::Ohms && $number < 0.0) {
            $this->fail('value', 'A resistance is never below zero. Was the part live, or were the leads not zeroed?');
        }
        if (abs($number) > (self::LARGEST[$quantity->value] ?? 0.0)) {
            $this->fail('value', 'No meter of the trade reads that much. Check the prefix and the decimal point, or press over range.');
        }

        return $number;
    }

    private function outcome(CircuitModel $circuit, Test $test): string
    {
        $choice = $this->string('choice')->toString();
        if (!in_array($choice, Judged::answers($circuit, $test), true)) {
            $this->fail('value', 'Choose what you saw or heard.');
        }

        return $choice;
    }

    private function supply(CircuitModel $circuit): ?float
    {
        $given = $this->input('supplyVolts');
        if ($given === null || $given === '') {
            return null;
        }
        $unit = $circuit->texts->find('potential.unit') ?? 'V';
        $volts = $this->read('supplyVolts', $given, $unit);
        if ($volts < 5.0 || $volts > 60.0) {
            $this->fail('supplyVolts', "The supply of this circuit lies between 5 and 60 $unit.");
        }

        return $volts;
    }

    private function read(string $field, mixed $given, string $unit): float
    {
        try {
            return NumberReader::read($given, $unit);
        } catch (UnreadableNumber $error) {
            $this->fail($field, $error->getMessage());
        }
    }

    private function fail(string $field, string $message): never
    {
        throw ValidationException::withMessages([$field => $message]);
    }
}
