<?php

declare(strict_types=1);

namespace App\Instruments;

use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\ValidationException;
use Ispira\Core\Kernel\NumberReader;
use Ispira\Core\Kernel\UnreadableNumber;
use Ispira\Core\Planning\BenchSupply\BenchRun;

/**
 * What was read while a motor ran alone, with its pulses a second.
 */
final class BenchRunRequest extends FormRequest
{
    private const MOST_POINTS = 12;

    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return [
            'id' => ['required', 'ulid'],
            'model' => ['required', 'string', 'max:80'],
            'turned' => ['required', 'boolean'],
            'steady' => ['required', 'boolean'],
            'smooth' => ['required', 'boolean'],
            'loaded' => ['required', 'boolean'],
            'note' => ['nullable', 'string', 'max:500'],
            'points' => ['array', 'max:' . self::MOST_POINTS],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['model.required' => 'Give the model from the motor\'s plate: its reference curve is kept under it.'];
    }

    public function pulses(): float
    {
        return $this->number('pulses', 1.0, 48.0) ??
            throw ValidationException::withMessages(['pulses' => 'Give the pulses a turn, such as 8.']);
    }

    public function amps(): ?float
    {
        return $this->number('amps', 0.0, 20.0);
    }

    public function benchRun(): BenchRun
    {
        $turned = $this->boolean('turned');
        $starts = $this->number('startsAt', 0.0, 15.0);
        if ($turned && $starts === null) {
            throw ValidationException::withMessages([
                'startsAt' => 'Give the command in volts at which it began to turn.',
            ]);
        }

        return new BenchRun(
            $turned ? $starts : null,
            $turned ? $this->points() : [],
            $this->boolean('steady'),
            $this->boolean('smooth'),
            $this->boolean('loaded'),
        );
    }

    /** @return list<array{0: float, 1: float}> */
    private function points(): array
    {
        $given = $this->input('points', []);
        $pulses = $this->pulses();
        $points = $problems = [];
        foreach (is_array($given) ? array_values($given) : [] as $row => $point) {
            [$volts, $hertz] = [
                is_array($point) ? $point['volts'] ?? '' : '',
                is_array($point) ? $point['hertz'] ?? '' : '',
            ];
            if ($volts === '' && $hertz === '') {
                continue;
            }
            try {
                $points[] = [NumberReader::read($volts, 'V'), BenchRun::rpm(NumberReader::read($hertz, 'Hz'), $pulses)];
            } catch (UnreadableNumber $error) {
                $problems["points.$row"] = $error->getMessage();
            }
        }
        if ($problems !== []) {
            throw ValidationException::withMessages($problems);
        }
        usort($points, static fn(array $a, array $b): int => $a[0] <=> $b[0]);

        return $points;
    }

    private function number(string $key, float $least, float $most): ?float
    {
        $given = $this->input($key);
        if ($given === null || $given === '') {
            return null;
        }
        try {
            $number = NumberReader::read($given, '');
        } catch (UnreadableNumber $error) {
            throw ValidationException::withMessages([$key => $error->getMessage()]);
        }
        if ($number < $least || $number > $most) {
            throw ValidationException::withMessages([$key => "Give a value from $least to $most."]);
        }

        return $number;
    }
}
