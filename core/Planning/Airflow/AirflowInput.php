<?php

declare(strict_types=1);

namespace Ispira\Core\Planning\Airflow;

use Ispira\Core\Device\ParameterError;
use Ispira\Core\Device\ParameterList;
use Ispira\Core\Kernel\UnreadableNumber;

/**
 * What was measured and read off plates, in SI units.
 */
final readonly class AirflowInput
{
    /**
     * @param list<TapCurve>            $curves
     * @param float                     $static total external, in Pa
     * @param float                     $watts  that reach the air
     * @param array{0: float, 1: float} $range  of the rise on the plate, in K
     * @param float|null                $cooling W; null without
     */
    private function __construct(
        public Units $units,
        public array $curves,
        public string $measuredOn,
        public float $static,
        public float $oldFilter,
        public float $newFilter,
        public float $ratedStatic,
        public float $watts,
        public float $density,
        public array $range,
        public ?float $cooling,
        public Assignment $now,
        public Assignment $wanted,
    ) {}

    /**
     * @param array<string, mixed> $values
     *
     * @throws ParameterError
     */
    public static function read(array $values): self
    {
        $units = Units::from(\is_string($values['units'] ?? null) ? $values['units'] : 'metric');
        $of = static fn(string $key): float => ParameterList::numberIn($values, "$key-$units->value") ?? 0.0;
        $text = static fn(string $key): string => \is_string($values[$key] ?? null) ? trim($values[$key]) : '';
        try {
            $curves = BlowerTable::read($text("table-$units->value"), $units);
        } catch (UnreadableNumber $error) {
            throw new ParameterError(["table-$units->value" => $error->getMessage()]);
        }
        $taps = array_column($curves, 'tap');
        $problems = [];
        foreach (['measuredOn', 'heatNow', 'coolNow', 'fanNow', 'heatWanted', 'coolWanted'] as $key) {
            if (
                !\in_array($text($key), $taps, true) &&
                ($text($key) !== '' || $key === 'measuredOn' || $key === 'heatNow')
            ) {
                $problems[$key] = 'Name a column of the table: ' . implode(', ', $taps) . '.';
            }
        }
        $static = ($of('supplyStatic') + abs($of('returnStatic'))) * $units->pascals();
        if ($static <= 0.0) {
            $problems["supplyStatic-$units->value"] =
                'Give the static pressure in the supply, measured against the room.';
        }
        if ($of('riseFrom') >= $of('riseTo')) {
            $problems["riseTo-$units->value"] = 'The range has to end above its beginning.';
        }
        if ($problems !== []) {
            throw new ParameterError($problems);
        }
        $share = static fn(string $key): float => (ParameterList::numberIn($values, $key) ?? 0.0) / 100.0;
        $calls = static fn(string $when): Assignment => new Assignment(
            array_filter(
                [
                    'heat' => $text("heat$when"),
                    'cool' => $text("cool$when"),
                    'fan' => $when === 'Now' ? $text('fanNow') : '',
                ],
                static fn(string $tap): bool => $tap !== '',
            ),
        );
        $cooling = $of('cooling') * ($units === Units::Us ? 3517.0 : 1000.0);

        return new self(
            $units,
            $curves,
            $text('measuredOn'),
            $static,
            $of('oldFilter') * $units->pascals(),
            $of('newFilter') * $units->pascals(),
            $of('ratedStatic') * $units->pascals(),
            $of('input') * $units->watts() * $share('efficiency') * (1.0 - $share('derate')),
            AirHeating::densityRatio($of('altitude') * $units->metres()),
            [$of('riseFrom') * $units->kelvin(), $of('riseTo') * $units->kelvin()],
            $cooling > 0.0 ? $cooling : null,
            $calls('Now'),
            $calls('Wanted'),
        );
    }
}
