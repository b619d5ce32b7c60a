<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Instruments\LiveMeter;
use App\Measuring\Leads;
use App\Models\Job;
use App\Models\User;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\ValidationException;
use Ispira\Core\Device\CircuitModel;
use Ispira\Core\Device\Quantity;
use Ispira\Core\Device\Test;
use Ispira\Core\Diagnosis\Inference\Judged;
use Ispira\Core\Kernel\DisplayUnits;
use Ispira\Core\Kernel\Measure;
use Ispira\Core\Kernel\MeasureReader;
use Ispira\Core\Kernel\UnreadableNumber;
use Ispira\Core\Reading\Reading;

final class RecordReadingRequest extends FormRequest
{
    /** Beyond this, in V, A or 10 MΩ, no instrument of the trade reads. */
    private const LARGEST = [
        'volts' => 1000.0,
        'amps' => 500.0,
        'ohms' => 1e8,
        'duty' => 100.0,
        'vacuum' => 110.0,
        'capacitance' => 1e4,
        'rise' => 200.0,
        'pressure' => 1e4,
        'frequency' => 1e5,
    ];

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
            'meter' => ['nullable', 'string', 'max:40'],
            'series' => ['boolean'],
        ];
    }

    /** @throws ValidationException */
    public function reading(Job $job, CircuitModel $circuit, LiveMeter $live): Reading
    {
        $test =
            $circuit->tests[$this->string('test')->toString()] ??
            throw ValidationException::withMessages([
                'value' => 'This circuit has no such test. Reload the page: the circuit may have been changed.',
            ]);

        $meter = $this->string('meter')->toString();
        if ($meter !== '' && $test->probe->quantity->isNumber()) {
            return $this->fromMeter($job, $circuit, $test, $live, $meter);
        }

        return new Reading(
            $this->string('id')->toString(),
            $test->key,
            $test->probe->quantity->isNumber() ? $this->number($test) : $this->outcome($circuit, $test),
            $this->boolean('steady', true),
            supplyVolts: $this->supply($circuit),
            misbehaved: $this->input('misbehaved') === null ? null : $this->boolean('misbehaved'),
            leadOhms: $this->boolean('overRange') ? 0.0 : $this->leadOhms($test),
        );
    }

    /** What the meter holds; nothing is taken from the page. */
    private function fromMeter(Job $job, CircuitModel $circuit, Test $test, LiveMeter $live, string $meter): Reading
    {
        $user = $this->user();
        $address = $user instanceof User ? $user->workshop->meters()->find($meter) : null;
        if (!($user instanceof User) || $address === null) {
            $this->fail(
                'value',
                'That meter is not on the workshop\'s list any more: choose another, or type the reading.',
            );
        }
        $held =
            $live->toRecord($user, $job, $test, $address) ??
            $this->fail(
                'value',
                'The meter was not read for a while: wait until it shows a value again, or type the reading.',
            );
        $leads = $held->value === null ? 0.0 : $this->leadOhms($test);

        return new Reading(
            $this->string('id')->toString(),
            $test->key,
            $held->value === null ? null : ($leads > 0.0 ? max(0.0, $held->value - $leads) : $held->value),
            !$held->wandered,
            supplyVolts: $this->supply($circuit),
            misbehaved: $this->input('misbehaved') === null ? null : $this->boolean('misbehaved'),
            instrument: $address->name,
            leadOhms: $leads,
        );
    }

    private function number(Test $test): ?float
    {
        $quantity = $test->probe->quantity;
        if ($this->boolean('overRange')) {
            return null;
        }
        $measure = $this->measure('value', $this->input('value'), $quantity->unit());
        if ($measure->isOverRange()) {
            return null;
        }
        $number = (float) $measure->inBase() - $this->leadOhms($test);
        if ($quantity === Quantity::Ohms && $number < -0.1) {
            $this->fail(
                'value',
                $this->leadOhms($test) > 0.0
                    ? 'That is less than the leads alone: measure the leads again, or take their value off the list.'
                    : 'A resistance is never below zero. Was the part live, or were the leads not zeroed?',
            );
        }
        if (abs($number) > (self::LARGEST[$quantity->value] ?? 0.0)) {
            $this->fail(
                'value',
                'No meter of the trade reads that much. Check the prefix and the decimal point, or press over range.',
            );
        }

        return $quantity === Quantity::Ohms ? max(0.0, $number) : $number;
    }

    /** What the leads were found to have in this session, taken off of every resistance. */
    private function leadOhms(Test $test): float
    {
        return $test->probe->quantity === Quantity::Ohms ? Leads::ohms($this->session()) : 0.0;
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
        return $this->measure($field, $given, $unit)->inBase() ??
            $this->fail($field, 'Over-range is no number here: type a value.');
    }

    private function measure(string $field, mixed $given, string $base): Measure
    {
        try {
            return MeasureReader::read($given, $base, app(DisplayUnits::class)->unit($base)->symbol);
        } catch (UnreadableNumber $error) {
            $this->fail($field, $error->getMessage());
        }
    }

    private function fail(string $field, string $message): never
    {
        throw ValidationException::withMessages([$field => $message]);
    }
}
