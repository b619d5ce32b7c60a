<?php

declare(strict_types=1);

namespace Tests\Core\Diagnosis;

use Ispira\Core\Device\Quantity;
use Ispira\Core\Device\Test;
use Ispira\Core\Diagnosis\Inference\CaseFile;
use Ispira\Core\Diagnosis\Inference\Hypothesis;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Core\NominalMachine;

/**
 * Where nothing is driven, a meter beside live wires shows tenths of a volt, and that is as good as nothing.
 */
final class IdlePlacesTest extends TestCase
{
    /** @return iterable<string, array{0: string}> */
    public static function alternating(): iterable
    {
        foreach (['control-output', 'ecm-blower', 'flue-fan', 'tapped-blower'] as $family) {
            yield $family => [$family];
        }
    }

    /**
     * Tests that show nothing at all under one fault and line or a secondary when all is well.
     *
     * @return list<array{0: Hypothesis, 1: Test}>
     */
    private static function deadPlaces(Bench $bench): array
    {
        $places = [];
        foreach ($bench->circuit->tests as $test) {
            if ($test->probe->quantity !== Quantity::Volts || abs($bench->shows('none', $test->key)) < 15.0) {
                continue;
            }
            foreach ($bench->hypotheses as $key => $hypothesis) {
                $single = \count($hypothesis->parts) === 1 && !$hypothesis->comesAndGoes && $hypothesis->faults !== [];
                if ($single && abs($bench->shows($key, $test->key)) < 1e-3) {
                    $places[$hypothesis->parts[0]] ??= [$hypothesis, $test];
                }
            }
        }

        return array_values($places);
    }

    /** @return array<string, float> by remedy */
    private static function odds(Bench $bench, Hypothesis $fault, Test $test, float $volts): array
    {
        $machine = new NominalMachine($bench->circuit->identity[0]);
        $states = [];
        foreach (array_keys($bench->circuit->positions) as $position) {
            $states[$position] = $machine->called($fault->key, (string) $position);
        }
        $diagnosis = $bench->diagnose(Bench::case($states, [$test->key => $volts]));
        self::assertNull($diagnosis->misfit, "$fault->key: $volts V at $test->key");

        return array_column($diagnosis->suspects, 'probability', 'remedy');
    }

    #[DataProvider('alternating')]
    public function testTenthsOfAVoltSayWhatNothingSays(string $family): void
    {
        $bench = new Bench([], false, $family);
        $places = self::deadPlaces($bench);
        self::assertGreaterThan(2, \count($places), 'there are dead places to measure at');
        foreach ($places as [$fault, $test]) {
            $nothing = self::odds($bench, $fault, $test, 0.0);
            foreach ([0.2, 0.6] as $volts) {
                $odds = self::odds($bench, $fault, $test, $volts);
                $remedy = $fault->remedy();
                // Wires that idle beside live ones show as much too, so it is no more than nearly the same.
                self::assertEqualsWithDelta($nothing[$remedy], $odds[$remedy], 0.12, "$fault->key, $volts V");
            }
        }
    }

    /** What is foreseen of a dead place reaches to a volt or so, so that no such reading is doubted. */
    #[DataProvider('alternating')]
    public function testWhatIsForeseenOfADeadPlaceReachesToAVolt(string $family): void
    {
        $bench = new Bench([], false, $family);
        $foreseen = $bench->diagnose(new CaseFile([]))->evidence->foreseen;
        foreach (self::deadPlaces($bench) as [$fault, $test]) {
            [$low, $high] = $foreseen->rangeOfAny($fault, $test, 2.0);
            self::assertGreaterThan(0.6, $high, "$fault->key at $test->key");
            self::assertLessThan(3.0, $high);
            self::assertLessThan(0.0, $low);
        }
    }

    /** Direct current is no such neighbour: half a volt there is half a volt. */
    public function testDirectCurrentPicksNextToNothingUp(): void
    {
        $bench = new Bench();
        $foreseen = $bench->diagnose(new CaseFile([]))->evidence->foreseen;
        $test = $bench->circuit->tests['fuse-out@4'];
        [, $high] = $foreseen->rangeOfAny($bench->hypotheses['fuse-open#0'], $test, 2.0);
        self::assertLessThan(0.15, $high);
    }
}
