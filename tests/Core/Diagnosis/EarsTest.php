<?php

declare(strict_types=1);

namespace Tests\Core\Diagnosis;

use Ispira\Core\Device\PositionKind;
use Ispira\Core\Device\Quantity;
use Ispira\Core\Diagnosis\Inference\Heard;
use Ispira\Core\Diagnosis\Inference\Judged;
use Ispira\Core\Diagnosis\Inference\NoStore;
use Ispira\Core\Diagnosis\Inference\Predictions;
use Ispira\Core\Diagnosis\Inference\SpeedState;
use Ispira\Core\Reading\Reading;
use PHPUnit\Framework\Attributes\DataProviderExternal;
use PHPUnit\Framework\TestCase;
use Tests\Core\Families;

/**
 * Some call a fan slow at six percent, others at eighteen; but each of them does so in every position.
 */
final class EarsTest extends TestCase
{
    private const RATIOS = [0.0, 0.04, 0.3, 0.8, 0.85, 0.88, 0.9, 0.92, 0.94, 1.0, 1.05, 1.08, 1.1, 1.15, 1.2, 1.6];

    public function testAnybodysEarsAreTheMeanOfAll(): void
    {
        foreach (self::RATIOS as $ratio) {
            $anybody = SpeedState::chances($ratio, PositionKind::Runs);
            foreach ($anybody as $state => $chance) {
                $sum = 0.0;
                for ($ear = 0; $ear < SpeedState::EARS; ++$ear) {
                    $sum += SpeedState::chances($ratio, PositionKind::Runs, $ear)[$state];
                }
                self::assertEqualsWithDelta($chance, $sum / SpeedState::EARS, 2e-3, "$state at $ratio");
            }
        }
    }

    public function testTheSharpestEarsCallItSlowFirst(): void
    {
        foreach (self::RATIOS as $ratio) {
            $before = INF;
            for ($ear = 0; $ear < SpeedState::EARS; ++$ear) {
                $chances = SpeedState::chances($ratio, PositionKind::Runs, $ear);
                self::assertEqualsWithDelta(1.0, array_sum($chances), 0.01);
                $called = $chances['slow'] + $chances['fast'];
                self::assertLessThanOrEqual($before + 1e-9, $called, "ear $ear at $ratio");
                $before = $called;
            }
        }
    }

    public function testWhatStandsOrParksOrHoldsIsTheSameToAllEars(): void
    {
        foreach (
            [PositionKind::Stands, PositionKind::Parks, PositionKind::ParksFromAnywhere, PositionKind::Holds]
            as $kind
        ) {
            foreach ([0.0, 0.5, 1.0, NAN] as $ratio) {
                self::assertSame(SpeedState::chances($ratio, $kind), SpeedState::chances($ratio, $kind, 2));
            }
        }
    }

    /** Alone, a reading weighs the same whoever's ears they are; two that agree are likelier than by chance. */
    #[DataProviderExternal(Families::class, 'all')]
    public function testPositionsThatAreAsSlowAreCalledAlike(string $family): void
    {
        $bench = new Bench([], false, $family);
        $heard = new Heard(new Predictions($bench->circuit, $bench->hypotheses['none'], new NoStore()));
        $running = array_values(
            array_filter(
                $bench->circuit->tests,
                static fn($test): bool => $test->probe->quantity === Quantity::Speed &&
                    Judged::hangsOnEars($bench->circuit, $test),
            ),
        );
        if (\count($running) < 2) {
            self::assertLessThan(4, \count($bench->circuit->positions), 'few positions run');

            return;
        }
        foreach (\array_slice($bench->hypotheses, 0, 25) as $hypothesis) {
            if ($hypothesis->comesAndGoes || $hypothesis->key === 'something-else') {
                continue;
            }
            foreach (['right', 'slow'] as $called) {
                $logs = $alone = [];
                foreach (\array_slice($running, 0, 2) as $n => $test) {
                    $reading = new Reading("$n/$hypothesis->key/$called", $test->key, $called);
                    $logs[] = $heard->logs($hypothesis, $reading, $test);
                    $alone[] = $heard->chance($hypothesis, $reading, $test)[0];
                    self::assertEqualsWithDelta(log($alone[$n]), Heard::together($logs[$n]), 1e-9);
                    self::assertSame(0, \count($logs[$n]) % SpeedState::EARS);
                }
                $both = Heard::together(Heard::and($logs[0], $logs[1]));
                self::assertLessThan(min(array_map(log(...), $alone)) + 1e-9, $both);
            }
        }
    }
}
