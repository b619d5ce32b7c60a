<?php

declare(strict_types=1);

namespace Ispira\Core\Planning\TemperatureRise;

use Ispira\Core\Device\Parameter;
use Ispira\Core\Device\ParameterError;
use Ispira\Core\Device\ParameterList;
use Ispira\Core\Device\Quantity;
use Ispira\Core\Device\Texts;
use Ispira\Core\Planning\Figure;
use Ispira\Core\Planning\FilledFromJob;
use Ispira\Core\Planning\KnownOfJob;
use Ispira\Core\Planning\Plan;
use Ispira\Core\Planning\Worked;
use Ispira\Core\Planning\Worksheet;

/**
 * Rise of the air through a heater from two thermometers.
 */
final class TemperatureRisePlanner implements Worksheet, FilledFromJob
{
    private ?Texts $texts = null;

    public function key(): string
    {
        return 'temperature-rise';
    }

    public function parameters(): ParameterList
    {
        return new ParameterList([
            Parameter::choice('scale', ['celsius', 'fahrenheit'], 'celsius'),
            Parameter::figure('return', '°', -60.0, 200.0, 19.0)->example(),
            Parameter::figure('supply', '°', -60.0, 300.0, 46.0)->example(),
            Parameter::figure('from', '°', 0.0, 200.0, 17.0)->example(),
            Parameter::figure('to', '°', 0.0, 200.0, 36.0)->example(),
        ]);
    }

    public function quantities(): array
    {
        return [Quantity::Rise];
    }

    public function tests(): array
    {
        return [];
    }

    public function filled(KnownOfJob $known): array
    {
        return $known->values(['from' => ['riseLeast'], 'to' => ['riseMost']]);
    }

    public function texts(): Texts
    {
        return $this->texts ??= Texts::fromFile(__DIR__ . '/texts.en.json');
    }

    public function plan(array $values): Plan
    {
        $n = static fn(string $key): ?float => ParameterList::numberIn($values, $key);
        if (($n('to') ?? 0.0) <= ($n('from') ?? 0.0)) {
            throw new ParameterError(['to' => $this->texts()->get('problems.range')]);
        }
        $rise = ($n('supply') ?? 0.0) - ($n('return') ?? 0.0);
        $fahrenheit = ($values['scale'] ?? 'celsius') === 'fahrenheit';
        $kelvin = $fahrenheit ? $rise / 1.8 : $rise;
        $unit = $fahrenheit ? ' °F' : ' K';
        $key = match (true) {
            $rise <= 0.0 => 'none',
            $rise < ($n('from') ?? 0.0) => 'low',
            $rise > ($n('to') ?? 0.0) => 'high',
            default => 'inside',
        };

        return new Plan(
            cautions: $this->texts()->list('cautions'),
            findings: [$this->texts()->get("findings.$key")],
            steps: $this->texts()->list('steps'),
            figures: [
                new Figure(
                    $this->texts()->get('figures.rise'),
                    number_format($rise, 1) . $unit,
                    $key === 'inside' ? 'fine' : 'refused',
                    $this->texts()->get('figures.range', [
                        'from' => number_format($n('from') ?? 0.0, 0),
                        'to' => number_format($n('to') ?? 0.0, 0) . $unit,
                    ]),
                ),
                new Figure(
                    $this->texts()->get('figures.other'),
                    $fahrenheit ? number_format($kelvin, 1) . ' K' : number_format(1.8 * $kelvin, 1) . ' °F',
                ),
            ],
            worked: $rise > 0.0 ? [new Worked(Quantity::Rise, $kelvin, $this->texts()->get('figures.rise'))] : [],
        );
    }
}
