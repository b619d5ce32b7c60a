<?php

declare(strict_types=1);

namespace Ispira\Core\Capture;

use Ispira\Core\Diagnosis\Presentation\Words;

/**
 * The pulses of each step of a selector beside each other: do they rise, evenly, and are some equal or missing?
 */
final readonly class StepTable
{
    /** Points of duty within which two steps are the same. */
    private const EQUAL_WITHIN = 1.5;

    /** Step over the mean step from which steps are uneven. */
    private const UNEVEN_FROM = 1.7;

    /** Share of the mean frequency within which all steps have the same. */
    private const SAME_FREQUENCY = 0.03;

    /** @var array<array-key, Pulses> by position, in the order of the selector */
    private array $steps;

    /** @param array<array-key, Pulses> $steps */
    public function __construct(array $steps)
    {
        $this->steps = $steps;
    }

    /**
     * Duty of each step in %, as a level without pulses has it too: 0 low, 100 high; null where that cannot be told.
     *
     * @return array<array-key, float|null>
     */
    public function duties(): array
    {
        $highest = max([0.0, ...array_map(static fn(Pulses $p): float => $p->high, array_values($this->steps))]);
        $lowest = min([$highest, ...array_map(static fn(Pulses $p): float => $p->low, array_values($this->steps))]);

        return array_map(static function (Pulses $pulses) use ($highest, $lowest): ?float {
            if ($pulses->duty !== null || $highest - $lowest <= 0.0) {
                return $pulses->duty;
            }
            $share = ($pulses->mean - $lowest) / ($highest - $lowest);

            return $share < 0.1 ? 0.0 : ($share > 0.9 ? 100.0 : null);
        }, $this->steps);
    }

    /** @return list<string> what the table says, in words */
    public function findings(): array
    {
        if (\count($this->steps) < 2) {
            return [];
        }
        $findings = [];
        $still = array_keys(array_filter($this->steps, static fn(Pulses $p): bool => !$p->isPulsed()));
        if ($still !== []) {
            $findings[] = Words::general('pulses.missing', ['positions' => Words::listed($still)]);
        }
        $duties = array_filter($this->duties(), static fn(?float $duty): bool => $duty !== null);
        $positions = array_map(strval(...), array_keys($duties));
        $values = array_values($duties);
        $equal = $changes = [];
        for ($n = 1; $n < \count($values); ++$n) {
            $changes[] = $values[$n] - $values[$n - 1];
            if (abs($values[$n] - $values[$n - 1]) < self::EQUAL_WITHIN) {
                $equal[] = $positions[$n - 1] . ' and ' . $positions[$n];
            }
        }
        if ($equal !== []) {
            $findings[] = Words::general('pulses.equal', ['pairs' => implode(', ', $equal)]);
        }
        if (\count($changes) >= 2) {
            $findings[] = $this->direction($changes);
            $even = $this->evenness($changes, $positions);
            if ($even !== null) {
                $findings[] = $even;
            }
        }
        $frequencies = array_filter(
            array_map(static fn(Pulses $p): ?float => $p->frequency, array_values($this->steps)),
        );
        if (
            \count($frequencies) >= 2 &&
            max($frequencies) - min($frequencies) >
                (self::SAME_FREQUENCY * array_sum($frequencies)) / \count($frequencies)
        ) {
            $findings[] = Words::general('pulses.frequency', [
                'from' => number_format(min($frequencies), 1),
                'to' => number_format(max($frequencies), 1),
            ]);
        }

        return $findings;
    }

    /** @param non-empty-list<float> $changes */
    private function direction(array $changes): string
    {
        $rises = max($changes) >= self::EQUAL_WITHIN;
        $falls = min($changes) <= -self::EQUAL_WITHIN;

        return Words::general(
            match (true) {
                $rises && $falls => 'pulses.turns',
                $rises => 'pulses.rises',
                $falls => 'pulses.falls',
                default => 'pulses.flat',
            },
        );
    }

    /**
     * @param non-empty-list<float> $changes
     * @param list<string>          $positions
     */
    private function evenness(array $changes, array $positions): ?string
    {
        $sizes = array_map(abs(...), $changes);
        $mean = array_sum($sizes) / \count($sizes);
        if ($mean < self::EQUAL_WITHIN) {
            return null;
        }
        $most = (int) array_search(max($sizes), $sizes, true);
        if ($sizes[$most] <= self::UNEVEN_FROM * $mean) {
            return Words::general('pulses.even');
        }

        return Words::general('pulses.uneven', [
            'from' => $positions[$most],
            'to' => $positions[$most + 1],
            'step' => number_format($sizes[$most], 0),
            'mean' => number_format($mean, 0),
        ]);
    }
}
