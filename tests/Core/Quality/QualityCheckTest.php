<?php

declare(strict_types=1);

namespace Tests\Core\Quality;

use Ispira\Core\Device\FamilyRegistry;
use Ispira\Core\Diagnosis\Inference\CaseFile;
use Ispira\Core\Diagnosis\Inference\MemoryStore;
use Ispira\Core\Diagnosis\Trial\SimulatedUnit;
use Ispira\Core\Kernel\RandomSource;
use Ispira\Core\Quality\Doubt;
use Ispira\Core\Quality\QualityCheck;
use Ispira\Core\Quality\QualityRule;
use Ispira\Core\Reading\Reading;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Core\Diagnosis\Bench;

final class QualityCheckTest extends TestCase
{
    private static ?MemoryStore $store = null;

    /**
     * @return iterable<string, array{0: string, 1: list<Reading>, 2: Reading, 3: Reading}> rule, what stood before, a reading that triggers it and one that does not
     */
    public static function cases(): iterable
    {
        $read = static fn(
            string $test,
            ?float $value,
            bool $steady = true,
            ?float $supply = null,
            float $leads = 0.0,
        ): Reading => new Reading("r$value$test", $test, $value, $steady, supplyVolts: $supply, leadOhms: $leads);
        yield 'wandering' => ['wandering', [], $read('motor-volts@2', 8.0, false), $read('motor-volts@2', 8.0)];
        yield 'over-range that wanders' => [
            'wandering',
            [],
            $read('common-ohms', null, false),
            $read('common-ohms', null),
        ];
        yield 'impossible' => ['impossible', [], $read('motor-volts@4', 41.0), $read('motor-volts@4', 12.0)];
        yield 'reversed' => ['reversed', [], $read('motor-volts@4', -12.1), $read('motor-volts@4', 12.1)];
        yield 'reversed clamp' => ['reversed', [], $read('current@4', -18.0), $read('current@4', 18.0)];
        yield 'thousandfold' => ['thousandfold', [], $read('battery-volts@4', 0.0126), $read('battery-volts@4', 12.6)];
        yield 'decimal place' => ['decimal-place', [], $read('battery-volts@4', 1.26), $read('battery-volts@4', 12.6)];
        yield 'on AC volts' => ['wrong-function', [], $read('battery-volts@4', 28.0), $read('battery-volts@4', 12.6)];
        yield 'low rail' => [
            'rail-outside',
            [],
            $read('motor-volts@4', 9.4, supply: 10.2),
            $read('motor-volts@4', 12.0, supply: 12.9),
        ];
        yield 'high rail' => [
            'rail-outside',
            [],
            $read('motor-volts@4', 15.4, supply: 16.4),
            $read('motor-volts@4', 12.0),
        ];
        yield 'unchanged' => [
            'unchanged',
            [$read('motor-volts@4', 12.1), $read('motor-volts@3', 12.1)],
            $read('motor-volts@2', 12.1),
            $read('motor-volts@2', 7.3),
        ];
        yield 'contradicts' => [
            'contradicts',
            [$read('motor-volts@2', 7.3)],
            $read('motor-volts@2', 4.1),
            $read('motor-volts@2', 7.4),
        ];
        yield 'weak low ohms' => [
            'weak-low-ohms',
            [],
            $read('common-ohms', 0.4, leads: 0.3),
            $read('common-ohms', 1.8, leads: 0.3),
        ];
    }

    /** @param list<Reading> $before */
    #[DataProvider('cases')]
    public function testEachRuleSpeaksWhenItShouldAndIsSilentElse(
        string $rule,
        array $before,
        Reading $doubted,
        Reading $fine,
    ): void {
        $case = new CaseFile($before);
        $doubts = self::rulesOf($case, $doubted);
        self::assertContains($rule, array_keys($doubts));
        self::assertMatchesRegularExpression('/[.?]$/', $doubts[$rule]);
        self::assertStringNotContainsString('{', $doubts[$rule]);
        self::assertNotContains($rule, array_keys(self::rulesOf($case, $fine)));
    }

    public function testVoltagesBetweenThreePlacesMustAddUp(): void
    {
        $bench = new Bench(['side' => 'feed']);
        $byProbe = [];
        foreach ($bench->circuit->tests as $test) {
            if ($test->probe->quantity->value === 'volts') {
                $byProbe[$test->setUp][$test->probe->at][$test->probe->against] = $test->key;
            }
        }
        foreach ($byProbe as $pairs) {
            foreach ($pairs as $at => $againsts) {
                foreach ($againsts as $middle => $first) {
                    foreach ($pairs[$middle] ?? [] as $to => $second) {
                        $whole = $pairs[$at][$to] ?? null;
                        if ($whole !== null) {
                            $case = new CaseFile([new Reading('a', $first, 1.0), new Reading('b', $second, 11.0)]);
                            self::assertArrayHasKey(
                                'sum-of-parts',
                                self::rulesOf($case, new Reading('c', $whole, 6.0)),
                            );
                            self::assertArrayNotHasKey(
                                'sum-of-parts',
                                self::rulesOf($case, new Reading('c', $whole, 12.0)),
                            );

                            return;
                        }
                    }
                }
            }
        }
        self::fail('No three places of this circuit are measured against each other.');
    }

    public function testResistanceReadOnVoltsIsAskedAbout(): void
    {
        self::assertArrayHasKey(
            'wrong-function',
            self::rulesOf(new CaseFile([]), new Reading('r', 'common-ohms', 12.9)),
        );
    }

    public function testWhatWasTakenAgainAndShowsTheSameIsNotAskedTwice(): void
    {
        $odd = new Reading('r1', 'battery-volts@4', 1.26);
        self::assertNotSame([], self::rulesOf(new CaseFile([]), $odd));
        self::assertSame([], self::rulesOf(new CaseFile([$odd]), new Reading('r2', 'battery-volts@4', 1.26)));
        self::assertNotSame(
            [],
            self::rulesOf(new CaseFile([$odd->struckOut()]), new Reading('r2', 'battery-volts@4', 1.26)),
            'A struck reading confirms nothing.',
        );
    }

    public function testADoubtedReadingCountsForLess(): void
    {
        $bench = new Bench();
        $heard = ['key-off' => 'right', 'off' => 'right', '1' => 'dead', '2' => 'dead', '3' => 'dead', '4' => 'right'];
        $case = Bench::case($heard);
        $reading = new Reading('r', 'common-volts@3', 0.02);
        $plain = $bench->diagnose($case->with($reading));
        $doubted = $bench->diagnose($case->with($reading->doubtedBy(['contradicts'])));
        $start = $bench->diagnose($case);
        $of = static fn($diagnosis, string $remedy): float => array_column(
            $diagnosis->suspects,
            'probability',
            'remedy',
        )[$remedy] ?? 0.0;
        $leader = $plain->suspects[0]->remedy;
        self::assertGreaterThan($of($start, $leader), $of($plain, $leader));
        self::assertLessThan($of($plain, $leader), $of($doubted, $leader));
    }

    public function testTheRulesHaveKeysOfTheirOwn(): void
    {
        $keys = array_map(static fn(QualityRule $rule): string => $rule->key(), QualityCheck::rules());
        self::assertSame($keys, array_unique($keys));
    }

    /** On units that are only measured, not misread, almost nothing is asked; most misread numbers are. */
    public function testHonestReadingsAreLeftAloneAndSlipsAreCaught(): void
    {
        $asked = $honest = $caught = $slipped = 0;
        foreach (FamilyRegistry::shipped()->all() as $key => $family) {
            $circuit = $family->circuit($family->parameters()->read([]));
            $check = new QualityCheck(new MemoryStore());
            $bench = new Bench([], false, $key);
            $faults = array_values(array_filter($bench->hypotheses, static fn($h): bool => $h->parts !== []));
            foreach ([1, 5] as $number) {
                $unit = new SimulatedUnit($circuit, $faults[$number], new RandomSource($number), 0.0);
                $case = new CaseFile([]);
                foreach (
                    \array_slice(
                        array_filter($circuit->tests, static fn($test): bool => $test->probe->quantity->isNumber()),
                        0,
                        8,
                    )
                    as $test
                ) {
                    $reading = $unit->read("r$honest", $test, 0);
                    $asked +=
                        array_filter(
                            $check->of($circuit, $case, $reading),
                            static fn(Doubt $doubt): bool => $doubt->rule !== 'wandering',
                        ) === []
                            ? 0
                            : 1;
                    ++$honest;
                    if (\is_float($reading->value) && abs($reading->value) > 0.5) {
                        foreach ([10.0, 1e3] as $factor) {
                            $caught +=
                                $check->of($circuit, $case, $reading->showing($reading->value * $factor)) === []
                                    ? 0
                                    : 1;
                            ++$slipped;
                        }
                    }
                    $case = $case->with($reading);
                }
            }
        }
        self::assertGreaterThan(150, $honest);
        self::assertLessThanOrEqual(0.03 * $honest, $asked);
        self::assertGreaterThan(0.6 * $slipped, $caught);
    }

    /** @return array<string, string> sentence by rule */
    private static function rulesOf(CaseFile $case, Reading $reading): array
    {
        $circuit = (new Bench(['side' => 'feed']))->circuit;
        $doubts = (new QualityCheck((self::$store ??= new MemoryStore())))->of($circuit, $case, $reading);

        return array_combine(
            array_map(static fn(Doubt $d): string => $d->rule, $doubts),
            array_map(static fn(Doubt $d): string => $d->sentence, $doubts),
        );
    }
}
