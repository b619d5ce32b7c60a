<?php

declare(strict_types=1);

namespace Ispira\Core\Diagnosis\Inference;

use Ispira\Core\Device\CircuitModel;
use Ispira\Core\Device\Test;
use Ispira\Core\Reading\MeterAccuracy;
use Ispira\Core\Reading\Reading;

/**
 * What the standing readings of one test say together.
 *
 * Readings that agree are one measurement: the same meter on the same place errs alike again, so the second sharpens
 * nothing; but it is no slip. What counts as a fact is said by {@see CaseFile::facts()}.
 */
final readonly class Measurement
{
    /** Chance that a reading which was repeated alike, or kept as right, is a slip all the same. */
    private const SLIP_OF_A_FACT = 1e-4;

    /**
     * @param float|null             $value    mean of the readings; null when they are over range
     * @param non-empty-list<Reading> $readings
     * @param float                  $slip     chance that they are wrong
     * @param float                  $widening of the meter's spread
     */
    private function __construct(
        public Test $test,
        public ?float $value,
        public array $readings,
        public float $slip,
        public float $widening,
    ) {}

    /**
     * @param list<Reading> $readings of numbers, in any order
     *
     * @return list<self>
     */
    public static function all(CircuitModel $circuit, array $readings): array
    {
        $groups = [];
        foreach ($readings as $reading) {
            $open = !\is_float($reading->value);
            $groups[
                $reading->test . $reading->trust->value . $reading->supplyVolts . ($open ? 'open' : '')
            ][] = $reading;
        }
        $all = [];
        foreach ($groups as $group) {
            $test = $circuit->tests[$group[0]->test];
            usort($group, static fn(Reading $a, Reading $b): int => [$a->value, $a->id] <=> [$b->value, $b->id]);
            $together = [array_shift($group)];
            foreach ($group as $reading) {
                if (!MeterAccuracy::agree($test->probe->quantity, $together[0]->value, $reading->value)) {
                    $all[] = self::of($test, $together);
                    $together = [$reading];
                } else {
                    $together[] = $reading;
                }
            }
            $all[] = self::of($test, $together);
        }

        return $all;
    }

    /** @param non-empty-list<Reading> $readings that agree */
    private static function of(Test $test, array $readings): self
    {
        $numbers = array_map(static fn(Reading $r): ?float => \is_float($r->value) ? $r->value : null, $readings);
        $kept = array_filter($readings, static fn(Reading $r): bool => $r->kept) !== [];

        return new self(
            $test,
            $numbers[0] === null ? null : array_sum($numbers) / \count($numbers),
            $readings,
            $kept ? self::SLIP_OF_A_FACT : min(array_map(static fn(Reading $r): float => $r->slip(), $readings)),
            min(array_map(static fn(Reading $r): float => $r->widening(), $readings)),
        );
    }
}
