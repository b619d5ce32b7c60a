<?php

declare(strict_types=1);

namespace Tests\Core\Repair;

use Ispira\Core\Device\FamilyRegistry;
use Ispira\Core\Device\OfferedRemedy;
use Ispira\Core\Device\Repairable;
use Ispira\Core\Device\RepairSheet;
use Ispira\Core\Diagnosis\Decision\DecisionSettings;
use Ispira\Core\Diagnosis\Decision\Diagnosis;
use Ispira\Core\Diagnosis\Decision\Engine;
use Ispira\Core\Diagnosis\Inference\CaseFile;
use Ispira\Core\Diagnosis\Inference\MemoryStore;
use Ispira\Core\Diagnosis\Presentation\Words;
use Ispira\Core\Reading\Reading;
use Ispira\Core\Repair\Fit\PartType;
use Ispira\Core\Repair\Proof\ProofChecks;
use Ispira\Core\Repair\Remedy\BreakEven;
use Ispira\Core\Repair\Remedy\CauseLeft;
use Ispira\Core\Repair\Remedy\Outlook;
use Ispira\Core\Repair\Remedy\Priced;
use Ispira\Core\Repair\Remedy\Remedies;
use PHPUnit\Framework\Attributes\DataProviderExternal;
use PHPUnit\Framework\TestCase;
use Tests\Core\Diagnosis\Bench;
use Tests\Core\Families;

final class RemediesTest extends TestCase
{
    private const ONLY_HIGH = [
        'key-off' => 'right',
        'off' => 'right',
        '1' => 'dead',
        '2' => 'dead',
        '3' => 'dead',
        '4' => 'right',
    ];

    /** @return array{0: Bench, 1: Diagnosis, 2: RepairSheet} */
    private static function onlyHigh(): array
    {
        $bench = new Bench();
        $family = FamilyRegistry::shipped()->get('stepped-blower');
        self::assertInstanceOf(Repairable::class, $family);

        return [$bench, $bench->diagnose(Bench::case(self::ONLY_HIGH)), $family->repairSheet()];
    }

    /** @param list<Priced> $priced */
    private static function named(array $priced, string $key): Priced
    {
        return array_values(array_filter($priced, static fn(Priced $one): bool => $one->offer->key === $key))[0];
    }

    public function testAPartComesInThreeMakesAndItsComponentCuresLess(): void
    {
        [$bench, $diagnosis, $sheet] = self::onlyHigh();
        $priced = (new Remedies($bench->circuit, $sheet, new DecisionSettings(60.0, 1.5)))->of($diagnosis);
        $original = self::named($priced, 'pack');
        $salvage = self::named($priced, 'pack:salvage');
        $component = self::named($priced, 'pack-fuse');
        $assembly = self::named($priced, 'pack-and-plug');
        self::assertSame($original->fixes, $salvage->fixes);
        self::assertLessThan($original->offer->price, $salvage->offer->price);
        self::assertLessThan($original->fixes, $component->fixes, 'The fuse alone cures only an open fuse.');
        self::assertGreaterThan($original->fixes, $assembly->fixes, 'The plug goes along.');
        // By hand: 38 and 25 min at 60 an hour, and 3 % of 90 for the visit and 25 for the labour; the warranty pays
        // the part.
        self::assertEqualsWithDelta(38.0 + 25.0 + 0.03 * (90.0 + 25.0), $original->expected, 1e-9);
        // 15.20, 25 min and 20 to find and test it, 16 % of the visit, the labour and the part again: one month of
        // warranty.
        self::assertEqualsWithDelta(15.2 + 45.0 + 0.16 * (90.0 + 45.0 + 15.2), $salvage->expected, 1e-9);
        self::assertEqualsWithDelta($original->expected / 10.0, $original->perYear(), 1e-9);
    }

    public function testWaitingCostsByTheDayAndWhatCannotBeHadIsNotTried(): void
    {
        [$bench, $diagnosis, $sheet] = self::onlyHigh();
        $own = [
            new OfferedRemedy(
                'number:X',
                'Pack, X',
                'part',
                ['pack'],
                [],
                1.0,
                1.0,
                null,
                24,
                10.0,
                0.0,
                0.0,
                'cheap',
                'not to be had',
            ),
        ];
        $remedies = new Remedies($bench->circuit, $sheet, new DecisionSettings(60.0), $own, 40.0);
        $priced = $remedies->of($diagnosis);
        self::assertSame(3.0 * 40.0, self::named($priced, 'pack')->standing);
        self::assertFalse(self::named($priced, 'number:X')->canBeHad());
        $order = $remedies->order($priced, $diagnosis);
        self::assertNotContains(
            'number:X',
            array_map(static fn($attempt): string => $attempt->option->key, $order->attempts),
        );
        // At 40 a day the copy that is here tomorrow goes before the original.
        self::assertLessThan(
            self::named($priced, 'pack')->expected,
            self::named($priced, 'pack:aftermarket')->expected,
        );
    }

    public function testAConversionNeedsAVerdictComesLastAndIsNeverTried(): void
    {
        $family = FamilyRegistry::shipped()->get('tapped-blower');
        self::assertInstanceOf(Repairable::class, $family);
        $bench = new Bench(family: 'tapped-blower');
        $remedies = new Remedies($bench->circuit, $family->repairSheet(), new DecisionSettings(60.0));
        $dead = ['off' => 'right', 'heat' => 'dead', 'cool' => 'dead'];
        $kinds = static fn(array $priced): array => array_map(
            static fn(Priced $one): string => $one->offer->kind,
            $priced,
        );
        $open = $bench->diagnose(Bench::case($dead));
        self::assertNull($open->verdict);
        self::assertNotContains('conversion', $kinds($remedies->of($open)));
        $settled = $bench->diagnose(
            Bench::case($dead, [
                'line-volts' => 231.0,
                'door-volts' => 230.0,
                'secondary' => 27.1,
                'call-volts@heat' => 26.8,
                'terminal-volts@heat' => 229.0,
                'tap-volts@heat' => 229.0,
                'tap-ohms@high' => null,
                'auxiliary-ohms' => null,
                'spin' => 'free',
                'look-filter' => 'clean',
                'microfarads' => 9.9,
            ]),
        );
        self::assertSame('motor', $settled->verdict?->suspect->remedy);
        $priced = $remedies->of($settled);
        self::assertSame('conversion', $kinds($priced)[\count($priced) - 1]);
        self::assertNotContains('conversion', \array_slice($kinds($priced), 0, -1));
        self::assertNotContains(
            'variable-speed',
            array_map(static fn($a): string => $a->option->key, $remedies->order($priced, $settled)->attempts),
        );
    }

    public function testNothingIsSolderedInAPottedPartAndAnApplianceCuresAll(): void
    {
        [$bench, $diagnosis, $sheet] = self::onlyHigh();
        $whole = new OfferedRemedy(
            'all',
            'The whole heater',
            'appliance',
            [],
            [],
            900.0,
            120.0,
            1,
            24,
            15.0,
            0.0,
            0.0,
            'all new',
            'dear',
        );
        $keys = static fn(bool $potted): array => array_map(
            static fn(Priced $one): string => $one->offer->key,
            (new Remedies($bench->circuit, $sheet, new DecisionSettings(), [$whole], 0.0, $potted))->of($diagnosis),
        );
        self::assertContains('pack-fuse', $keys(false));
        self::assertNotContains('pack-fuse', $keys(true));
        $all = self::named(
            (new Remedies($bench->circuit, $sheet, new DecisionSettings(), [$whole]))->of($diagnosis),
            'all',
        );
        self::assertEqualsWithDelta(
            1.0 -
                array_sum(
                    array_filter(
                        Remedies::chances($diagnosis),
                        static fn(string $key): bool => str_starts_with($key, 'none'),
                        \ARRAY_FILTER_USE_KEY,
                    ),
                ),
            $all->fixes,
            1e-9,
        );
    }

    public function testTheOutlookOrdersByMoneyAndPricesOneMoreTest(): void
    {
        [$bench, $diagnosis, $sheet] = self::onlyHigh();
        $shown = (new Outlook($bench->circuit, new Remedies($bench->circuit, $sheet, new DecisionSettings())))->shown(
            $diagnosis,
        );
        self::assertEqualsWithDelta(1.0, $shown->attempts[0]->reached, 1e-5);
        foreach (\array_slice($shown->attempts, 1) as $n => $attempt) {
            self::assertLessThan(
                $shown->attempts[$n]->reached,
                $attempt->reached,
                'Each is reached less often than the one before.',
            );
        }
        self::assertNotNull($shown->test);
        self::assertGreaterThan($shown->attempts[0]->money, $shown->money);
        self::assertEqualsWithDelta(1.0, array_sum(Remedies::chances($diagnosis)), 1e-6);
    }

    public function testACauseThatWasMeasuredIsToldWithTheWaysThatLeaveItInTheMachine(): void
    {
        $bench = new Bench();
        $family = FamilyRegistry::shipped()->get('stepped-blower');
        self::assertInstanceOf(Repairable::class, $family);
        $sheet = $family->repairSheet();
        $left = static function (array $readings) use ($bench, $sheet): array {
            $case = Bench::case(self::ONLY_HIGH, $readings);
            $diagnosis = $bench->diagnose($case);
            $checks = new ProofChecks($bench->circuit, $sheet, $diagnosis->evidence);
            $remedies = new Remedies($bench->circuit, $sheet, new DecisionSettings());
            $outlook = new Outlook($bench->circuit, $remedies, new CauseLeft($bench->circuit, $checks, $case));

            return array_map(
                static fn(array $left): array => array_column($left, 'test'),
                array_column($outlook->shown($diagnosis)->options, 'left', 'key'),
            );
        };
        $sound = $left(['current@4' => 14.0]);
        self::assertSame([], $sound['pack']);
        $high = $left(['current@4' => 40.0, 'look-pack-plug' => 'burnt']);
        self::assertCount(2, $high['pack'], 'The current and the pins stay.');
        self::assertCount(1, $high['pack-and-plug'], 'The pins go with the plug.');
        self::assertSame((new Words($bench->circuit))->test($bench->circuit->tests['current@4']), $high['pack'][0]);
    }

    public function testATesterPaysAfterItsPriceOverItsSaving(): void
    {
        // 280 for a clamp that saves 35 on each of 16 jobs a year: 8 jobs, half a year.
        $even = new BreakEven(280.0, 35.0, 16.0);
        self::assertSame(8, $even->jobs);
        self::assertEqualsWithDelta(6.0, (float) $even->months, 1e-9);
        self::assertSame(9, (new BreakEven(281.0, 35.0, 16.0))->jobs);
        self::assertNull((new BreakEven(280.0, 0.0, 16.0))->jobs);
        self::assertNull((new BreakEven(280.0, 35.0, 0.0))->months);
    }

    #[DataProviderExternal(Families::class, 'all')]
    public function testASheetNamesOnlyWhatItsFamilyHas(string $key): void
    {
        $family = FamilyRegistry::shipped()->get($key);
        self::assertInstanceOf(Repairable::class, $family);
        $sheet = $family->repairSheet();
        $parts = $tests = $faults = [];
        foreach (
            [
                [],
                ['kind' => 'vacuum'],
                ['kind' => 'two-wire'],
                ['zones' => 'two'],
                ['arrangement' => 'pair'],
                ['arrangement' => 'resistor', 'control' => 'relay'],
                ['module' => 'own'],
                ['cooling' => 'yes'],
                ['high' => 'relay', 'selector' => 'electronic', 'modeContact' => 'feed'],
            ]
            as $given
        ) {
            try {
                $circuit = $family->circuit($family->parameters()->read($given));
            } catch (\Ispira\Core\Device\ParameterError) {
                continue;
            }
            $parts += $circuit->parts;
            foreach ($circuit->tests as $test) {
                $tests[explode('@', $test->key)[0]] = true;
            }
            foreach ($circuit->faults as $fault) {
                $faults[$fault->text] = true;
            }
        }
        foreach ($sheet->options as $option) {
            self::assertSame([], array_diff($option->parts, array_keys($parts)), $option->key);
            self::assertSame([], array_diff($option->faults, array_keys($faults)), $option->key);
            self::assertContains($option->kind, [
                'component',
                'module',
                'part',
                'assembly',
                'salvage',
                'conversion',
                'revision',
                'temporary',
                'appliance',
            ]);
        }
        self::assertSame([], array_diff($sheet->proof, array_keys($tests)));
        self::assertNotEmpty($sheet->proof);
        foreach ($sheet->types as $type) {
            self::assertNotNull(PartType::tryFrom($type));
        }
    }

    /** What only bridges stands after what lasts and is never the first attempt; a flue fan is not bought used. */
    public function testAFlueFanIsBridgedOrNewButNeverUsed(): void
    {
        $family = FamilyRegistry::shipped()->get('flue-fan');
        self::assertInstanceOf(Repairable::class, $family);
        $circuit = $family->circuit($family->parameters()->read([]));
        $case = new CaseFile(
            [
                new Reading('a', 'speed@full', 'slow'),
                new Reading('b', 'spin', 'gritty'),
                new Reading('c', 'noise', 'squeal'),
            ],
            [],
            false,
        );
        $diagnosis = (new Engine(new MemoryStore()))->diagnose($circuit, $case, new DecisionSettings());
        self::assertSame('fan', $diagnosis->suspects[0]->remedy);
        $remedies = new Remedies($circuit, $family->repairSheet(), new DecisionSettings());
        $priced = $remedies->of($diagnosis);
        $keys = array_map(static fn($one): string => $one->offer->key, $priced);
        self::assertContains('bearings-oiled', $keys, 'From the start, with its price.');
        self::assertContains('fan:aftermarket', $keys);
        self::assertNotContains('fan:salvage', $keys);
        $temporary = array_map(static fn($one): bool => $one->offer->isTemporary(), $priced);
        $sorted = $temporary;
        sort($sorted);
        self::assertSame($sorted, $temporary);
        $attempts = array_map(
            static fn($one): string => $one->option->key,
            $remedies->order($priced, $diagnosis)->attempts,
        );
        self::assertNotContains('bearings-oiled', $attempts);
    }
}
