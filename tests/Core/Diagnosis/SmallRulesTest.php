<?php

declare(strict_types=1);

namespace Tests\Core\Diagnosis;

use Ispira\Core\Device\PositionKind;
use Ispira\Core\Device\Quantity;
use Ispira\Core\Diagnosis\Decision\DecisionSettings;
use Ispira\Core\Diagnosis\Decision\Money;
use Ispira\Core\Diagnosis\Inference\LampState;
use Ispira\Core\Diagnosis\Inference\Likelihood;
use Ispira\Core\Diagnosis\Inference\Parking;
use Ispira\Core\Diagnosis\Inference\SpeedState;
use Ispira\Core\Diagnosis\Presentation\Words;
use PHPUnit\Framework\TestCase;

final class SmallRulesTest extends TestCase
{
    public function testChancesOfSpeedStatesAddUpAndChangeSmoothly(): void
    {
        foreach ([PositionKind::Runs, PositionKind::Stands, PositionKind::Parks] as $kind) {
            $last = null;
            for ($ratio = 0.0; $ratio <= 1.6; $ratio += 0.002) {
                $chances = SpeedState::chances($ratio, $kind);
                self::assertEqualsWithDelta(1.0, array_sum($chances), 0.02, "at $ratio");
                foreach ($last ?? [] as $state => $before) {
                    self::assertLessThan(0.06, abs($chances[$state] - $before), "$state at $ratio");
                }
                $last = $chances;
            }
        }
    }

    public function testTheLikeliestStateIsTheOneAPersonWouldName(): void
    {
        foreach (
            [
                '0' => 'dead',
                '0.5' => 'slow',
                '0.8' => 'slow',
                '0.9' => 'right',
                1 => 'right',
                '1.08' => 'right',
                '1.3' => 'fast',
            ]
            as $ratio => $state
        ) {
            $chances = SpeedState::chances((float) $ratio, PositionKind::Runs);
            arsort($chances);
            self::assertSame($state, array_key_first($chances), "at $ratio");
        }
        self::assertGreaterThan(0.8, SpeedState::chances(\NAN, PositionKind::Runs)['cuts-out']);
        self::assertGreaterThan(0.9, SpeedState::chances(0.5, PositionKind::Stands)['runs']);
    }

    public function testEveryStateThatMakesSenseHasItsChance(): void
    {
        foreach (PositionKind::cases() as $kind) {
            $possible = array_map(static fn(SpeedState $s): string => $s->value, SpeedState::possible($kind));
            foreach ([0.0, 0.5, 1.0, Parking::NEVER_STOPS + 1.0, Parking::OVERRUNS + 1.0, \NAN] as $number) {
                $chances = SpeedState::chances($number, $kind);
                self::assertEqualsCanonicalizing($possible, array_keys($chances), "$kind->value at $number");
                self::assertEqualsWithDelta(1.0, array_sum($chances), 0.02, "$kind->value at $number");
            }
        }
    }

    public function testAWayToRestIsPutIntoOneNumberAndNamed(): void
    {
        $named = static function (float $code): string {
            $chances = SpeedState::chances($code, PositionKind::Parks);
            arsort($chances);

            return (string) array_key_first($chances);
        };
        self::assertSame('right', $named(Parking::code(1.0, 0.0, 0.004, 0.004)));
        self::assertSame('stays', $named(Parking::code(0.0, 0.0, 0.004, 0.004)));
        self::assertSame('runs', $named(Parking::code(1.0, 0.9, 0.0, 0.004)));
        self::assertSame('overruns', $named(Parking::code(1.0, 0.0, 0.001, 0.004)));
        self::assertSame('right', $named(Parking::code(1.0, 0.0, 0.0, 0.0)), 'friction alone stops it');
        self::assertSame('slow', $named(Parking::code(0.4, 0.0, 0.0, 0.0)));
        self::assertSame('fast', $named(Parking::code(1.5, 0.0, 0.0, 0.0)));
        self::assertNan(Parking::code(\NAN, 0.0, 0.0, 0.0));
    }

    public function testALampTellsALoadedFeedFromADeadOne(): void
    {
        foreach (['0' => 'dark', '0.5' => 'dim', '0.7' => 'dim', '0.95' => 'bright'] as $share => $state) {
            $chances = LampState::chances((float) $share);
            arsort($chances);
            self::assertSame($state, array_key_first($chances), "at $share");
            self::assertEqualsWithDelta(1.0, array_sum($chances), 1e-9);
        }
    }

    public function testTheOrderOfTrialIsTheCheapestOfAll(): void
    {
        $circuit = (new Bench())->circuit;
        $money = new Money($circuit, ($settings = new DecisionSettings()));
        $parts = ['pack', 'motor', 'fuse', 'selector', 'wheel'];
        mt_srand(8);
        for ($n = 0; $n < 60; ++$n) {
            $weights = array_map(static fn(): int => mt_rand(1, 100), $parts);
            $chances = array_combine($parts, array_map(static fn(int $w): float => $w / array_sum($weights), $weights));
            $best = \INF;
            foreach ($this->orders($parts) as $order) {
                $left = 1.0;
                $wasted = 0.0;
                foreach ($order as $part) {
                    $left -= $chances[$part];
                    $wasted += max(0.0, $left) * ($money->ofRemedy($part) + $settings->comeBack());
                }
                $best = min($best, $wasted);
            }
            self::assertEqualsWithDelta($best, $money->wasted($chances), 1e-9);
        }
    }

    /**
     * @param list<string> $items
     *
     * @return iterable<list<string>>
     */
    private function orders(array $items): iterable
    {
        if (\count($items) < 2) {
            yield $items;

            return;
        }
        foreach ($items as $n => $first) {
            $rest = $items;
            unset($rest[$n]);
            foreach ($this->orders(array_values($rest)) as $order) {
                yield [$first, ...$order];
            }
        }
    }

    public function testMoneyOfARemedyIsPriceAndLabour(): void
    {
        $circuit = (new Bench())->circuit;
        $money = new Money($circuit, new DecisionSettings(60.0, prices: ['pack' => 50.0]));
        self::assertEqualsWithDelta(50.0 + 25.0, $money->ofRemedy('pack'), 1e-9);
        self::assertEqualsWithDelta(75.0 + 135.0 + 45.0, $money->ofRemedy('motor+pack'), 1e-9);
        self::assertSame(0.0, $money->ofRemedy('none'));
    }

    public function testAnOpenReadingFitsAnOpenPrediction(): void
    {
        [$open] = Likelihood::ofOpen(Quantity::Ohms, null, true, 0.02, 1.0);
        [$closed] = Likelihood::ofOpen(Quantity::Ohms, null, false, 0.02, 1.0);
        self::assertGreaterThan(0.9, $open);
        self::assertLessThan(0.01, $closed);
    }

    public function testNumbersAreWrittenAsAMeterShowsThem(): void
    {
        $words = new Words((new Bench())->circuit);
        self::assertSame('0.02 V', $words->number(0.0213, Quantity::Volts));
        self::assertSame('0.00 V', $words->number(-0.0004, Quantity::Volts));
        self::assertSame('12.6 V', $words->number(12.58, Quantity::Volts));
        self::assertSame('1.2 kΩ', $words->number(1180.0, Quantity::Ohms));
        self::assertSame('over range', $words->number(\INF, Quantity::Ohms));
    }
}
