<?php

declare(strict_types=1);

namespace App\Captures;

use App\Models\Capture;
use Ispira\Core\Capture\StepTable;
use Ispira\Core\Device\CircuitModel;
use Ispira\Core\Device\Quantity;
use Ispira\Core\Diagnosis\Presentation\Words;
use Ispira\Core\Kernel\DisplayUnits;

/**
 * Captures as the page shows them.
 */
final class CaptureView
{
    public static function of(Capture $capture, CircuitModel $circuit): CaptureShown
    {
        $head = $capture->shape();
        $words = new Words($circuit, app(DisplayUnits::class));

        return new CaptureShown(
            id: $capture->id,
            name: $capture->name,
            position: $capture->position,
            positionLabel: $capture->position === null
                ? null
                : ($circuit->positions[$capture->position] ?? null)?->label,
            takenAt: $capture->taken_at->toIso8601String(),
            count: $head->count,
            interval: $head->interval,
            start: $head->start,
            repairs: $head->repairs,
            channels: array_map(
                static function (string $name, string $unit, int $channel) use (
                    $capture,
                    $circuit,
                    $words,
                ): ChannelShown {
                    $readings = [];
                    foreach (self::readings($capture, $circuit, $channel) as $test => $value) {
                        $readings[] = new ChannelReading(
                            test: (string) $test,
                            title: $words->test($circuit->tests[$test]),
                            value: $words->number($value, $circuit->tests[$test]->probe->quantity),
                        );
                    }

                    return new ChannelShown(
                        name: $name,
                        unit: $unit,
                        pulses: $capture->pulsesOf($channel),
                        readings: $readings,
                    );
                },
                $head->channels,
                $head->units,
                array_keys($head->channels),
            ),
        );
    }

    /**
     * What a channel shows of the tests in the capture's position: duty, frequency, or the mean of a voltage.
     *
     * @return array<string, float> value by test
     */
    public static function readings(Capture $capture, CircuitModel $circuit, int $channel): array
    {
        $pulses = $capture->pulsesOf($channel);
        if ($pulses === null) {
            return [];
        }
        $readings = [];
        foreach ($circuit->tests as $test) {
            if (
                !$test->offered ||
                $capture->position === null ||
                (string) $circuit->setUps[$test->setUp]->position !== $capture->position
            ) {
                continue;
            }
            $value = match ($test->probe->quantity) {
                Quantity::Duty => $pulses->duty ?? ($pulses->mean > 0.5 * $test->probe->full ? 100.0 : 0.0),
                Quantity::Frequency => $pulses->frequency ?? 0.0,
                Quantity::Volts => $circuit->netlist->alternates() ? null : $pulses->mean,
                default => null,
            };
            if (
                $value !== null &&
                ($capture->shape()->units[$channel] !== '' || $test->probe->quantity !== Quantity::Volts)
            ) {
                $readings[$test->key] = $value;
            }
        }

        // What only a capture shows well comes first.
        uksort(
            $readings,
            static fn(string $a, string $b): int => ($circuit->tests[$a]->probe->quantity === Quantity::Volts
                ? 1
                : 0) <=> ($circuit->tests[$b]->probe->quantity === Quantity::Volts ? 1 : 0),
        );

        return $readings;
    }

    /**
     * The steps of the selector beside each other, from the newest capture of each position.
     *
     * @param list<Capture> $captures oldest first
     */
    public static function steps(array $captures, CircuitModel $circuit): StepsShown
    {
        $byPosition = [];
        foreach ($circuit->positions as $key => $position) {
            foreach ($captures as $capture) {
                $pulses = $capture->position === (string) $key ? $capture->pulsesOf(0) : null;
                if ($pulses !== null) {
                    $byPosition[$position->label] = $pulses;
                }
            }
        }
        $table = new StepTable($byPosition);
        $duties = $table->duties();

        return new StepsShown(
            rows: array_map(
                static fn(int|string $label): StepShown => new StepShown(
                    position: (string) $label,
                    duty: $duties[$label],
                    pulsed: $byPosition[$label]->isPulsed(),
                    frequency: $byPosition[$label]->frequency,
                    low: $byPosition[$label]->low,
                    high: $byPosition[$label]->high,
                    missing: $byPosition[$label]->missing,
                ),
                array_keys($byPosition),
            ),
            findings: $table->findings(),
        );
    }
}
