<?php

declare(strict_types=1);

namespace App\Bench;

use App\Instruments\Leads;
use App\Instruments\LiveMeter;
use App\Models\Job;
use App\Models\User;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Support\Carbon;
use Illuminate\Validation\ValidationException;
use Ispira\Core\Acts\TypedReading;
use Ispira\Core\Device\CircuitModel;
use Ispira\Core\Device\Test;
use Ispira\Core\Diagnosis\Inference\Judged;
use Ispira\Core\Kernel\DisplayUnits;
use Ispira\Core\Reading\Intake;
use Ispira\Core\Reading\Reading;
use Ispira\Core\Reading\RefusedReading;

final class RecordReadingRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'id' => ['required', 'ulid'],
            'test' => ['required', 'string', 'max:1000'],
            'value' => ['nullable', 'max:1000'],
            'choice' => ['nullable', 'string', 'max:1000'],
            'overRange' => ['boolean'],
            'steady' => ['boolean'],
            'supplyVolts' => ['nullable', 'max:1000'],
            'misbehaved' => ['nullable', 'boolean'],
            'meter' => ['nullable', 'string', 'max:40'],
            'series' => ['boolean'],
            'seenOn' => ['bail', 'nullable', 'string', 'date_format:Y-m-d', 'after:1969-12-31', 'before:today'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['seenOn.*' => 'Give the day on which it was seen, before today: what is so now needs none.'];
    }

    /** When it was seen, where that was before this job. */
    public function seenOn(): ?Carbon
    {
        $day = $this->string('seenOn')->toString();

        return $day === '' ? null : Carbon::parse($day, 'UTC')->setTime(12, 0);
    }

    /** @throws ValidationException */
    public function reading(Job $job, CircuitModel $circuit, LiveMeter $live): Reading
    {
        $intake = Judged::intake($circuit, app(DisplayUnits::class));
        try {
            return $this->taken($job, $intake, $live);
        } catch (RefusedReading $refused) {
            $this->fail($refused->field === RefusedReading::SUPPLY ? 'supplyVolts' : 'value', $refused->getMessage());
        }
    }

    /** @throws RefusedReading */
    private function taken(Job $job, Intake $intake, LiveMeter $live): Reading
    {
        $test = $intake->test($this->string('test')->toString());
        $meter = $this->string('meter')->toString();
        if ($meter !== '' && $test->probe->quantity->isNumber()) {
            return $this->fromMeter($job, $intake, $test, $live, $meter);
        }

        return $this->typed($intake)->read($this->string('id')->toString(), $this->all(), $this->seenOn() !== null);
    }

    /** What the meter holds; nothing is taken from the page. */
    private function fromMeter(Job $job, Intake $intake, Test $test, LiveMeter $live, string $meter): Reading
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
        $leads = $held->value === null ? 0.0 : $this->typed($intake)->leads($test);

        return new Reading(
            $this->string('id')->toString(),
            $test->key,
            $held->value === null ? null : $intake->within($test, $held->value, $leads),
            !$held->wandered,
            supplyVolts: $intake->supply($this->input('supplyVolts')),
            misbehaved: $this->input('misbehaved') === null ? null : $this->boolean('misbehaved'),
            instrument: $address->name,
            leadOhms: $leads,
        );
    }

    private function typed(Intake $intake): TypedReading
    {
        return new TypedReading($intake, Leads::ohms($this->session()));
    }

    private function fail(string $field, string $message): never
    {
        throw ValidationException::withMessages([$field => $message]);
    }
}
