<?php

declare(strict_types=1);

namespace Tests\Core\Diagnosis;

use Ispira\Core\Device\CircuitModel;
use Ispira\Core\Diagnosis\Inference\Measurement;
use Ispira\Core\Diagnosis\Inference\Visit;
use Ispira\Core\Reading\Reading;
use Ispira\Core\Reading\Trust;
use PHPUnit\Framework\TestCase;

/**
 * Which readings are one measurement, and which belong to one visit to a set-up.
 */
final class MeasurementTest extends TestCase
{
    private static ?CircuitModel $circuit = null;

    private static function circuit(): CircuitModel
    {
        return self::$circuit ??= (new Bench())->circuit;
    }

    /**
     * @param list<Reading> $readings
     *
     * @return list<Measurement>
     */
    private static function measured(array $readings): array
    {
        return Measurement::all(self::circuit(), $readings);
    }

    /**
     * @param list<Reading> $readings
     *
     * @return list<Visit>
     */
    private static function visits(array $readings): array
    {
        return Visit::all(self::circuit(), $readings);
    }

    public function testReadingsThatAgreeAreOneAtTheirMean(): void
    {
        $all = self::measured([
            new Reading('a', 'motor-volts@4', 12.61),
            new Reading('b', 'motor-volts@4', 12.59),
            new Reading('c', 'motor-volts@4', 12.6),
        ]);
        self::assertCount(1, $all);
        self::assertCount(3, $all[0]->readings);
        self::assertEqualsWithDelta(12.6, $all[0]->value, 1e-12);
    }

    public function testReadingsThatDisagreeAreTwo(): void
    {
        $all = self::measured([
            new Reading('a', 'motor-volts@4', 12.6),
            new Reading('b', 'motor-volts@4', 8.1),
            new Reading('c', 'motor-volts@4', 12.61),
        ]);
        self::assertCount(2, $all);
        self::assertSame([8.1], [$all[0]->value]);
        self::assertEqualsWithDelta(12.605, $all[1]->value, 1e-12);
    }

    public function testOverRangeIsOneOfItsOwn(): void
    {
        $all = self::measured([
            new Reading('a', 'pack-ohms-1', null),
            new Reading('b', 'pack-ohms-1', 1.9),
            new Reading('c', 'pack-ohms-1', null),
        ]);
        self::assertSame([null, 1.9], array_column($all, 'value'));
        self::assertCount(2, $all[0]->readings);
    }

    public function testWhatWasKeptIsAFactAndTheBestOfSeveralCounts(): void
    {
        $doubted = (new Reading('a', 'motor-volts@4', 12.6))->doubtedBy(['rounded']);
        $plain = new Reading('b', 'motor-volts@4', 12.6);
        self::assertSame(0.25, self::measured([$doubted])[0]->slip);
        self::assertSame(3.0, self::measured([$doubted])[0]->widening);
        $both = self::measured([$doubted, $plain])[0];
        self::assertSame(0.02, $both->slip);
        self::assertSame(1.0, $both->widening);
        self::assertSame(1e-4, self::measured([$doubted->answeredFor(), $plain])[0]->slip);
    }

    public function testAnotherSupplyAndWhatIsRememberedAreApart(): void
    {
        $all = self::measured([
            new Reading('a', 'motor-volts@4', 12.6),
            new Reading('b', 'motor-volts@4', 12.6, supplyVolts: 13.1),
            new Reading('c', 'motor-volts@4', 12.6, trust: Trust::Remembered),
        ]);
        self::assertCount(3, $all);
        self::assertSame([0.02, 0.02, 0.2], array_column($all, 'slip'));
    }

    public function testTheOrderInWhichTheyStandDoesNotMatter(): void
    {
        $readings = [
            new Reading('a', 'motor-volts@4', 12.61),
            new Reading('b', 'motor-volts@4', 12.59),
            new Reading('c', 'motor-volts@3', 9.2),
            new Reading('d', 'motor-volts@4', 3.0),
        ];
        $values = static function (Reading ...$readings): array {
            $values = array_column(self::measured(array_values($readings)), 'value');
            sort($values);

            return $values;
        };
        self::assertSame($values(...$readings), $values(...array_reverse($readings)));
        self::assertSame($values(...$readings), $values($readings[2], $readings[0], $readings[3], $readings[1]));
    }

    public function testReadingsOfOneSetUpAreOneVisitWheneverTheyWereTaken(): void
    {
        $visits = self::visits([
            new Reading('a', 'speed@4', 'slow'),
            new Reading('b', 'speed@3', 'slow'),
            new Reading('c', 'motor-volts@4', 12.6),
            new Reading('d', 'plus-volts@4', 12.9),
        ]);
        $bySetUp = array_column($visits, null, 'setUp');
        self::assertCount(\count($visits), $bySetUp);
        foreach ($visits as $visit) {
            foreach ($visit->judged as $reading) {
                self::assertSame($visit->setUp, self::circuit()->tests[$reading->test]->setUp);
            }
        }
        $measured = array_filter($visits, static fn(Visit $one): bool => $one->measurements !== []);
        self::assertCount(1, $measured);
        self::assertCount(2, array_values($measured)[0]->measurements);
    }

    public function testWhatTheMachineDidPartsOneVisitFromTheNext(): void
    {
        $visits = self::visits([
            new Reading('a', 'motor-volts@4', 12.6, misbehaved: true),
            new Reading('b', 'motor-volts@4', 12.7, misbehaved: false),
            new Reading('c', 'motor-volts@4', 12.6),
        ]);
        self::assertSame([true, false, null], array_column($visits, 'misbehaved'));
    }

    public function testWhatIsHeardAgainIsCountedByItsTest(): void
    {
        $visit = self::visits([
            new Reading('a', 'speed@4', 'slow'),
            new Reading('b', 'speed@4', 'slow'),
            new Reading('c', 'speed@4', 'right'),
        ])[0];
        self::assertSame(3, $visit->times('speed@4'));
        self::assertSame(0, $visit->times('speed@3'));
    }
}
