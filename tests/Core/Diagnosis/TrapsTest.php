<?php

declare(strict_types=1);

namespace Tests\Core\Diagnosis;

use Ispira\Core\Diagnosis\Decision\TestChoice;
use Ispira\Core\Diagnosis\Inference\CaseFile;
use Ispira\Core\Diagnosis\Presentation\DiagnosisFormat;
use Ispira\Core\Diagnosis\Presentation\Traps;
use Ispira\Core\Reading\Reading;
use PHPUnit\Framework\TestCase;

/**
 * The traps of the trade: the readings show them, and the user is told.
 */
final class TrapsTest extends TestCase
{
    /** @return array<string, string> sentence by trap */
    private static function told(Bench $bench, CaseFile $case): array
    {
        return array_column((new Traps($bench->circuit, $case, $bench->diagnose($case)))->all(), 'sentence', 'trap');
    }

    /**
     * @param array<string, float|string|null> $readings by test
     *
     * @return array{0: Bench, 1: CaseFile}
     */
    private static function blower(array $readings): array
    {
        $bench = new Bench(family: 'electronic-blower');
        $case = Bench::case(
            [
                'key-off' => 'right',
                'off' => 'right',
                '1' => 'dead',
                '2' => 'dead',
                '3' => 'dead',
                '4' => 'dead',
                '5' => 'dead',
            ],
            $readings,
        );

        return [$bench, $case];
    }

    public function testAnIdleTapAGhostAndAStillPulseLineProveNothing(): void
    {
        foreach (
            [
                [
                    'tapped-blower',
                    ['off' => 'right', 'heat' => 'dead', 'cool' => 'right'],
                    'idle-volts',
                    258.0,
                    'idle-tap',
                    'Lift the wire',
                ],
                [
                    'ecm-blower',
                    ['off' => 'right', 'fan' => 'right', 'heat' => 'right', 'cool' => 'dead'],
                    'idle-volts',
                    24.0,
                    'ghost',
                    'low-impedance meter',
                ],
                [
                    'five-wire-fan',
                    ['off' => 'right', 'low' => 'cuts-out', 'medium' => 'cuts-out', 'high' => 'cuts-out'],
                    'fg-hand',
                    15.0,
                    'averaged',
                    'half the pull-up',
                ],
            ]
            as [$family, $map, $test, $volts, $trap, $words]
        ) {
            $bench = new Bench(family: $family);
            $case = Bench::case($map, [$test => $volts]);
            self::assertStringContainsString($words, self::told($bench, $case)[$trap] ?? '', $family);
        }
    }

    public function testAFullReadingWithoutALoadProvesNothing(): void
    {
        [$bench, $case] = self::blower(['unplugged-volts' => 13.0]);
        self::assertStringContainsString('Take it again with a load', self::told($bench, $case)['no-load'] ?? '');
        $parts = array_column($bench->diagnose($case)->suspects, 'probability', 'remedy');
        self::assertGreaterThan(0.01, $parts['feed-wire'], 'a last strand is still possible');
        [$bench, $case] = self::blower(['unplugged-volts' => 0.1]);
        self::assertArrayNotHasKey('no-load', self::told($bench, $case));
    }

    public function testALampClearsLessThanItSeems(): void
    {
        [$bench, $case] = self::blower(['lamp' => 'bright', 'probe-light' => 'bright']);
        $told = self::told($bench, $case);
        self::assertStringContainsString('tenth of an ohm', $told['lamp']);
        self::assertStringContainsString('load lamp', $told['small-lamp']);
        [$bench, $case] = self::blower(['lamp' => 'dark']);
        self::assertArrayNotHasKey('lamp', self::told($bench, $case));
    }

    public function testALampNeverGoesOnACommandWire(): void
    {
        $bench = new Bench(family: 'electronic-blower');
        $case = new CaseFile([]);
        $card = (new DiagnosisFormat($bench->circuit, $case, $bench->diagnose($case)))->shown('command@3')->card;
        self::assertNotNull($card);
        self::assertStringContainsString('load lamp never goes', implode(' ', $card->cautions));
    }

    public function testTwoConnectedPartsHideBehindEachOtherUntilTheyAreSeparated(): void
    {
        $bench = new Bench(family: 'wiper-interval');
        $readings = [];
        foreach (['int-1' => 12.5, 'int-3' => 12.6, 'int-5' => 12.6] as $setting => $volts) {
            $readings["speed-volts@$setting"] = $volts;
        }
        $case = Bench::case([], $readings);
        $together = $bench->diagnose($case);
        self::assertStringContainsString('separate them', self::told($bench, $case)['together']);
        self::assertNull($together->verdict, 'it cannot be told yet');
        $parts = array_column($together->suspects, 'probability', 'remedy');
        self::assertGreaterThan(0.1, $parts['module']);
        self::assertGreaterThan(0.1, $parts['stalk']);
        $worth = array_slice(
            array_map(static fn(TestChoice $c): string => $c->test->key, [
                ...$together->next === null ? [] : [$together->next],
                ...$together->others,
            ]),
            0,
            8,
        );
        self::assertNotSame(
            [],
            array_filter(
                $worth,
                static fn(string $test): bool => preg_match('/^(loaded|alone|stalk-ohms|input-ohms)/', $test) === 1,
            ),
            'a test that separates them stands among the best: ' . implode(', ', $worth),
        );

        $stalkGood = $bench->diagnose(Bench::case([], $readings + ['loaded@int-3' => 6.3, 'loaded@int-5' => 2.6]));
        self::assertSame('module', $stalkGood->suspects[0]->remedy);
        $stalkBad = $bench->diagnose(Bench::case([], $readings + ['loaded@int-3' => 12.6, 'loaded@int-5' => 12.5]));
        self::assertSame('stalk', $stalkBad->suspects[0]->remedy);
        $moduleGood = $bench->diagnose(
            Bench::case([], $readings + ['alone-half' => 'right', 'stalk-ohms@int-5' => 0.5]),
        );
        self::assertSame('stalk', $moduleGood->suspects[0]->remedy);
    }

    public function testAHighRangeOnALowPartIsDoubted(): void
    {
        $bench = new Bench();
        $case = Bench::case(
            ['1' => 'dead', '2' => 'right', '3' => 'right', '4' => 'right'],
            ['pack-ohms-3' => 420000.0],
        );
        self::assertStringContainsString('Low range', self::told($bench, $case)['range']);
    }

    public function testASectionThatReadsOpenAgainstTheRestAsksForThePinOrder(): void
    {
        $bench = new Bench();
        $case = Bench::case(['1' => 'right', '2' => 'right', '3' => 'right', '4' => 'dead'], ['pack-ohms-1' => null]);
        self::assertStringContainsString('order of the pins', self::told($bench, $case)['pin-order']);
    }

    public function testAWanderingReadingIsABadJoint(): void
    {
        $bench = new Bench();
        $case = Bench::case(['4' => 'slow'], [])->with(new Reading('w', 'motor-volts@4', 12.6, steady: false));
        self::assertStringContainsString('bad joint', self::told($bench, $case)['wanders']);
    }

    public function testItWorksNowClearsLittle(): void
    {
        $bench = new Bench([], true);
        $case = new CaseFile([new Reading('m', 'speed@4', 'right'), new Reading('v', 'motor-volts@4', 12.6)], [], true);
        self::assertStringContainsString('It works now', self::told($bench, $case)['comes-and-goes']);
        $always = new CaseFile($case->readings);
        self::assertArrayNotHasKey('comes-and-goes', self::told($bench, $always));
    }

    public function testNoiseAtTheLoadMayComeFromWhatDrivesIt(): void
    {
        $bench = new Bench(family: 'control-output');
        $case = Bench::case(['off' => 'right', 'call' => 'cuts-out', 'all' => 'cuts-out'], []);
        self::assertStringContainsString('what drives it', self::told($bench, $case)['upstream']);
        $before = $bench->diagnose($case);
        $after = $bench->diagnose(new CaseFile($case->readings, replacedBefore: 3));
        $upstream = static fn($diagnosis): float => array_sum(
            array_intersect_key(array_column($diagnosis->suspects, 'probability', 'remedy'), [
                'board' => 1,
                'transformer' => 1,
                'transformer-tap' => 1,
            ]),
        );
        self::assertGreaterThan(
            $upstream($before) + 0.05,
            $upstream($after),
            'three parts replaced before point upstream',
        );
    }

    public function testANewPartIsNotGoodBecauseItIsNew(): void
    {
        $bench = new Bench();
        $before = Bench::case(['1' => 'dead', '2' => 'dead', '3' => 'dead', '4' => 'right'], ['common-ohms' => null]);
        $case = $before->afterReplacing('pack');
        foreach (['1' => 'dead', '2' => 'dead', '3' => 'dead', '4' => 'right'] as $position => $state) {
            $case = $case->with(new Reading("after-$position", "speed@$position", $state, episode: 1));
        }
        self::assertStringContainsString('because it is new', self::told($bench, $case)['new-part']);
    }

    public function testOneOpenFanOfAPairIsFoundBySimulationAlone(): void
    {
        $bench = new Bench(['arrangement' => 'pair'], family: 'radiator-fan');
        $map = [
            'off-a' => 'right',
            'off-b' => 'right',
            'low-a' => 'dead',
            'low-b' => 'dead',
            'high-a' => 'dead',
            'high-b' => 'right',
        ];
        $parts = array_column($bench->diagnose(Bench::case($map))->suspects, 'probability', 'remedy');
        self::assertGreaterThan(0.4, $parts['fan-a'] + $parts['plug-a'], 'the main fan or its plug');
        self::assertLessThan(0.02, $parts['fan-b'] ?? 0.0, 'the silent second fan is not at fault');
        $tested = $bench->diagnose(Bench::case($map, ['feed-a@low' => 13.1, 'direct-a' => 'dead']));
        self::assertSame('fan-a', $tested->suspects[0]->remedy);
    }
}
