<?php

declare(strict_types=1);

namespace Ispira\Core\Diagnosis\Trial;

use Ispira\Core\Device\CircuitModel;
use Ispira\Core\Device\Unknown;
use Ispira\Core\Kernel\RandomSource;

/**
 * Values of machines from a table of its own, foreign-world.json. What that does not name (each joint, each wire) is
 * drawn half again as wide as the family has it, with tails.
 */
final class ForeignWorld
{
    private const WIDER = 1.5;
    private const TAILS = ['share' => 0.05, 'wider' => 2.5];
    private const FARTHEST = 2.75;

    /** Times that the table may be wider than the family has a value: beyond, that was typed. */
    private const TYPED_FROM = 3.0;

    /** Factors between the middles of table and family within which they speak of the same circuit. */
    private const SAME_CIRCUIT = [0.6, 1.65];

    /** @var array<string, array<string, non-empty-list<array{0: float, 1: float, 2: float}>>>|null */
    private static ?array $table = null;

    private function __construct() {}

    /** @return array<string, float> by unknown */
    public static function machine(CircuitModel $circuit, RandomSource $chance): array
    {
        $family = \is_string($circuit->identity[0]) ? $circuit->identity[0] : '';
        $values = [];
        foreach ($circuit->unknowns as $unknown) {
            $ranges = self::table()[$family][$unknown->name] ?? (self::table()['any'][$unknown->name] ?? null);
            $values[$unknown->name] =
                $ranges === null || self::isTyped($unknown, $ranges)
                    ? $unknown->at(self::deviate($chance))
                    : self::drawn($unknown, $ranges, $chance);
        }

        return $values;
    }

    /** @param non-empty-list<array{0: float, 1: float, 2: float}> $ranges */
    private static function isTyped(Unknown $unknown, array $ranges): bool
    {
        $own = log(
            max($unknown->at(Unknown::NINETEEN_OF_TWENTY), 1e-9) /
                max($unknown->at(-Unknown::NINETEEN_OF_TWENTY), 1e-9),
        );

        return log(max(array_column($ranges, 2)) / min(array_column($ranges, 1))) > self::TYPED_FROM * abs($own);
    }

    /** @param non-empty-list<array{0: float, 1: float, 2: float}> $ranges share, low, high */
    private static function drawn(Unknown $unknown, array $ranges, RandomSource $chance): float
    {
        [, $low, $high] = $ranges[0];
        $left = $chance->between(0.0, array_sum(array_column($ranges, 0)));
        foreach ($ranges as [$share, $from, $to]) {
            if ($left >= 0.0) {
                [$low, $high] = [$from, $to];
            }
            $left -= $share;
        }
        $middle = sqrt(max(array_column($ranges, 2)) * min(array_column($ranges, 1)));
        $times = $unknown->at(0.0) / $middle;
        $scale = $times < self::SAME_CIRCUIT[0] || $times > self::SAME_CIRCUIT[1] ? $times : 1.0;

        return $scale * exp($chance->between(log($low), log($high)));
    }

    private static function deviate(RandomSource $chance): float
    {
        $wider = self::WIDER * ($chance->happens(self::TAILS['share']) ? self::TAILS['wider'] : 1.0);

        return max(-self::FARTHEST, min(self::FARTHEST, $wider * $chance->normal()));
    }

    /** @return array<string, array<string, non-empty-list<array{0: float, 1: float, 2: float}>>> */
    private static function table(): array
    {
        if (self::$table === null) {
            /** @var array<string, array<string, non-empty-list<array{0: float, 1: float, 2: float}>>> $read */
            $read = array_diff_key(
                (array) json_decode((string) file_get_contents(__DIR__ . '/foreign-world.json'), true),
                ['about' => true],
            );
            self::$table = $read;
        }

        return self::$table;
    }
}
