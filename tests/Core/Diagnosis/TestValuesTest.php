<?php

declare(strict_types=1);

namespace Tests\Core\Diagnosis;

use Ispira\Core\Diagnosis\Decision\DecisionSettings;
use Ispira\Core\Diagnosis\Decision\Diagnosis;
use Ispira\Core\Diagnosis\Decision\Engine;
use Ispira\Core\Diagnosis\Decision\TestChoice;
use Ispira\Core\Diagnosis\Inference\CaseFile;
use Ispira\Core\Reading\Reading;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/**
 * What makes a test worth doing.
 */
final class TestValuesTest extends TestCase
{
    private const ONLY_HIGH = [
        'key-off' => 'right',
        'off' => 'right',
        '1' => 'dead',
        '2' => 'dead',
        '3' => 'dead',
        '4' => 'right',
    ];
    private const ALL_DEAD = [
        'key-off' => 'right',
        'off' => 'right',
        '1' => 'dead',
        '2' => 'dead',
        '3' => 'dead',
        '4' => 'dead',
    ];
    private const WEAK = ['1' => 'slow', '2' => 'slow', '3' => 'slow', '4' => 'slow'];

    private function diagnose(CaseFile $case, ?DecisionSettings $settings = null): Diagnosis
    {
        return (new Engine())->diagnose((new Bench())->circuit, $case, $settings ?? new DecisionSettings());
    }

    /** @return array<string, TestChoice> by key */
    private function choices(Diagnosis $diagnosis): array
    {
        $all = $diagnosis->next === null ? $diagnosis->others : [$diagnosis->next, ...$diagnosis->others];

        return array_combine(array_map(static fn(TestChoice $c): string => $c->test->key, $all), $all);
    }

    /** @return iterable<string, array{0: array<array-key, string>}> */
    public static function maps(): iterable
    {
        yield 'only the highest works' => [self::ONLY_HIGH];
        yield 'all dead' => [self::ALL_DEAD];
        yield 'weak everywhere' => [self::WEAK];
        yield 'runs on in off' => [['off' => 'runs', '1' => 'right']];
    }

    /** @param array<array-key, string> $map */
    #[DataProvider('maps')]
    public function testNoTestIsExpectedToTakeKnowledgeAway(array $map): void
    {
        foreach ($this->choices($this->diagnose(Bench::case($map))) as $choice) {
            self::assertGreaterThan(-1e-9, $choice->information, $choice->test->key);
            self::assertGreaterThan(-1e-9, $choice->saves, $choice->test->key);
            self::assertGreaterThan(0.0, $choice->cost);
        }
    }

    /** @param array<array-key, string> $map */
    #[DataProvider('maps')]
    public function testTheProposalIsTheBestOfAll(array $map): void
    {
        $diagnosis = $this->diagnose(Bench::case($map));
        self::assertNotNull($diagnosis->next);
        foreach ($diagnosis->others as $other) {
            self::assertLessThanOrEqual($diagnosis->next->gain() + 1e-9, $other->gain());
        }
    }

    public function testTheSpeedMapItselfIsNotProposed(): void
    {
        foreach (array_keys($this->choices($this->diagnose(Bench::case(self::WEAK)))) as $key) {
            self::assertDoesNotMatchRegularExpression('/^speed@\d/', $key);
        }
    }

    public function testWhatIsOpenAlreadyCostsNoAccessAgain(): void
    {
        $before = $this->choices($this->diagnose(Bench::case(self::ALL_DEAD)));
        $after = $this->choices($this->diagnose(Bench::case(self::ALL_DEAD, ['plus-volts@4' => 0.02])));
        self::assertEqualsWithDelta(
            3.0,
            $before['minus-volts@4']->minutes - $after['minus-volts@4']->minutes,
            1e-9,
            'the blower plug is in sight now',
        );
        self::assertSame($before['fuse-out@4']->minutes, $after['fuse-out@4']->minutes);
    }

    public function testATestThatWasDoneIsNotProposedAgain(): void
    {
        $choices = $this->choices($this->diagnose(Bench::case(self::ALL_DEAD, ['plus-volts@4' => 0.02])));
        self::assertArrayNotHasKey('plus-volts@4', $choices);
    }

    public function testAStruckReadingMayBeTakenAgain(): void
    {
        $case = Bench::case(self::ALL_DEAD)->with(new Reading('x', 'plus-volts@4', 0.02, struck: true));
        self::assertArrayHasKey('plus-volts@4', $this->choices($this->diagnose($case)));
    }

    public function testAfterAReplacementEverythingMayBeTestedAgain(): void
    {
        $readings = Bench::case(self::ONLY_HIGH, ['common-volts@3' => 0.02])->readings;
        $choices = $this->choices($this->diagnose(new CaseFile($readings, ['pack'])));
        self::assertArrayHasKey('common-volts@3', $choices);
    }

    public function testMovingAPartIsWorthRepeatingWhileAFaultComesAndGoes(): void
    {
        $map = ['1' => 'cuts-out', '2' => 'cuts-out', '3' => 'cuts-out', '4' => 'right'];
        $once = $this->diagnose(Bench::case($map, ['wiggle-pack-plug' => 'steady'], true));
        self::assertArrayHasKey('wiggle-pack-plug', $this->choices($once));
        $lasting = $this->diagnose(Bench::case(self::ONLY_HIGH, ['wiggle-pack-plug' => 'steady']));
        self::assertArrayNotHasKey('wiggle-pack-plug', $this->choices($lasting));
        $often = Bench::case($map, ['wiggle-pack-plug' => 'steady'], true)
            ->with(new Reading('b', 'wiggle-pack-plug', 'steady'))
            ->with(new Reading('c', 'wiggle-pack-plug', 'steady'));
        self::assertArrayNotHasKey('wiggle-pack-plug', $this->choices($this->diagnose($often)));
    }

    public function testOnlyTestsForTheToolsAtHandAreOffered(): void
    {
        $bare = $this->choices(
            $this->diagnose(
                Bench::case(self::WEAK),
                new DecisionSettings(missingTools: ['meter', 'clamp', 'lamp', 'jumper', 'reader']),
            ),
        );
        self::assertArrayHasKey('look-motor-plug', $bare);
        self::assertArrayNotHasKey('motor-volts@4', $bare);
        $meter = $this->choices(
            $this->diagnose(
                Bench::case(self::WEAK),
                new DecisionSettings(missingTools: ['clamp', 'lamp', 'jumper', 'reader']),
            ),
        );
        self::assertArrayHasKey('motor-volts@4', $meter);
        self::assertArrayNotHasKey('current@4', $meter);
        self::assertArrayNotHasKey('lamp-volts@4', $meter);
    }

    public function testADearerComeBackMakesTestsWorthMore(): void
    {
        $cheap = $this->diagnose(Bench::case(self::ONLY_HIGH), new DecisionSettings(comeBackHours: 0.0));
        $dear = $this->diagnose(Bench::case(self::ONLY_HIGH), new DecisionSettings(comeBackHours: 4.0));
        self::assertGreaterThan($cheap->guessing, $dear->guessing);
        self::assertGreaterThan($cheap->next->saves ?? 0.0, $dear->next->saves ?? 0.0);
    }

    public function testADearerPartMakesItsWrongPurchaseDearer(): void
    {
        $ordinary = $this->diagnose(Bench::case(self::ONLY_HIGH));
        $dear = $this->diagnose(Bench::case(self::ONLY_HIGH), new DecisionSettings(prices: ['pack' => 400.0]));
        self::assertGreaterThan($ordinary->suspects[0]->cost, $dear->suspects[0]->cost);
        self::assertNotEqualsWithDelta($ordinary->guessing, $dear->guessing, 1.0);
    }

    public function testFaultsOfOnePartNeedNoSplitting(): void
    {
        // Pins 1 to 3 open against the common: thermal fuse or resistor 3, either way the pack.
        $bench = new Bench();
        $case = Bench::case(self::ONLY_HIGH, [
            'common-volts@3' => 0.01,
            'pack-ohms-3' => null,
            'look-pack-plug' => 'fine',
            'spin' => 'free',
            'look-wheel' => 'clean',
            'current@4' => $bench->shows('none', 'current@4'),
        ]);
        $diagnosis = $this->diagnose($case);
        $faults = $diagnosis->suspects[0]->faults;
        self::assertGreaterThan(0.05, $faults['resistor-3-open'] ?? 0.0);
        self::assertGreaterThan(0.05, $faults['common-open'] ?? 0.0);
        self::assertNotContains($diagnosis->next->test->key ?? 'none', [
            'common-ohms',
            'pack-pair-1',
            'pack-pair-2',
            'look-pack',
        ]);
    }
}
