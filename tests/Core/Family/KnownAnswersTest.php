<?php

declare(strict_types=1);

namespace Tests\Core\Family;

use Ispira\Core\Diagnosis\Inference\Parking;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Core\NominalMachine;

/**
 * What the trade knows of vehicles' circuits, found again by simulation alone.
 */
final class KnownAnswersTest extends KnownAnswers
{
    /** @return iterable<string, array{0: string, 1: array{0: float, 1: float}, 2: array{0: float, 1: float}}> fault, speeds of both fans on low and on high over the right ones */
    public static function fanPair(): iterable
    {
        yield 'first relay dead' => ['k1-coil-open#0', [0.0, 0.0], [0.0, 1.0]];
        yield 'second relay stuck at rest' => ['k2-coil-open#0', [1.0, 1.0], [0.0, 1.0]];
        yield 'second relay, work contact burnt' => ['k2-contact-open#0', [1.0, 1.0], [0.0, 1.0]];
        yield 'second relay welded' => ['k2-welded#0', [1.89, 0.0], [1.0, 1.0]];
        yield 'second relay, rest contact burnt' => ['k2-rest-burnt#0', [0.0, 0.0], [1.0, 1.0]];
        yield 'third relay dead' => ['k3-coil-open#0', [1.0, 1.0], [1.0, 0.0]];
        yield 'third relay welded' => ['k3-welded#0', [0.0, 1.89], [1.0, 1.0]];
        yield 'main fan open' => ['fan-open-a#0', [0.0, 0.0], [0.0, 1.0]];
        yield 'second fan open' => ['fan-open-b#0', [0.0, 0.0], [1.0, 0.0]];
        yield 'main fan seized' => ['seized-a#0', [0.0, 1.68], [0.0, 0.88]];
        yield 'main fan dragging' => ['drag-a#1', [0.53, 1.32], [0.95, 1.0]];
    }

    /**
     * @param array{0: float, 1: float} $low
     * @param array{0: float, 1: float} $high
     */
    #[DataProvider('fanPair')]
    public function testOneFanOfAPairDecidesWhatBothDo(string $fault, array $low, array $high): void
    {
        $cells = ['low-a' => $low[0], 'low-b' => $low[1], 'high-a' => $high[0], 'high-b' => $high[1]];
        foreach ($cells as $cell => $expected) {
            self::assertEqualsWithDelta(
                $expected,
                self::shows('radiator-fan', ['arrangement' => 'pair', 'motorAmps' => '15.2'], $fault, "speed@$cell"),
                0.07,
                $cell,
            );
        }
    }

    public function testOnlyTheFirstFanOfAPairShowsSupplyAtItsFeedOnLow(): void
    {
        $pair = ['arrangement' => 'pair'];
        self::assertGreaterThan(12.0, self::shows('radiator-fan', $pair, 'fan-open-a#0', 'feed-a@low'));
        self::assertEqualsWithDelta(
            0.0,
            self::shows('radiator-fan', $pair, 'fan-open-a#0', 'feed-b@low'),
            0.1,
            'no voltage here is not its fault',
        );
    }

    /**
     * What two fans do whose main one has a low and a high input, worked out on paper: a fan whose low input is open
     * still gets what the other fan's windings let through between the two lines.
     *
     * @return iterable<string, array{0: string, 1: string, 2: array<string, string>}> arrangement, fault, what is not
     *     right
     */
    public static function fansWithTwoInputs(): iterable
    {
        yield 'second beside the low input, low input open' => [
            'second-with-low',
            'low-brush-open#0',
            ['low-a' => 'dead'],
        ];
        yield 'second beside the low input, second open' => [
            'second-with-low',
            'fan-open-b#0',
            ['low-b' => 'dead', 'high-b' => 'dead'],
        ];
        yield 'second beside the low input, main motor open' => [
            'second-with-low',
            'fan-open-a#0',
            ['low-a' => 'dead', 'high-a' => 'dead'],
        ];
        yield 'second before the low input, second open: the main fan loses its low' => [
            'second-before-low',
            'fan-open-b#0',
            ['low-a' => 'dead', 'low-b' => 'dead'],
        ];
        yield 'second before the low input, low input of the main fan open' => [
            'second-before-low',
            'low-brush-open#0',
            ['low-a' => 'dead', 'low-b' => 'dead'],
        ];
        yield 'second before the low input, high pin of the main fan open: its low stays, both share it' => [
            'second-before-low',
            'high-pin-open#0',
            ['high-a' => 'slow', 'high-b' => 'runs'],
        ];
        yield 'second beside the high input, second open' => [
            'second-with-high',
            'fan-open-b#0',
            ['low-a' => 'fast', 'low-b' => 'dead', 'high-b' => 'dead'],
        ];
        yield 'second beside the high input, low input of the main fan open: nothing feeds it backwards' => [
            'second-with-high',
            'low-brush-open#0',
            ['low-a' => 'dead', 'low-b' => 'dead'],
        ];
        yield 'each with two inputs, low input of the second open: the high line carries it on low' => [
            'two-inputs-each',
            'low-brush-open-b#0',
            ['low-a' => 'slow', 'low-b' => 'slow'],
        ];
        yield 'each with two inputs, high pin of the second open: it is slow on high' => [
            'two-inputs-each',
            'high-pin-open-b#0',
            ['high-b' => 'slow'],
        ];
        yield 'each with two inputs, low wire broken before the splice' => [
            'two-inputs-each',
            'stage-1-open#0',
            ['low-a' => 'dead', 'low-b' => 'dead'],
        ];
    }

    /** @param array<string, string> $wrong by cell */
    #[DataProvider('fansWithTwoInputs')]
    public function testASecondFanBesideAMainOneWithTwoInputs(string $arrangement, string $fault, array $wrong): void
    {
        foreach (['off-a', 'off-b', 'low-a', 'low-b', 'high-a', 'high-b'] as $cell) {
            self::assertSame(
                $wrong[$cell] ?? 'right',
                self::called('radiator-fan', ['arrangement' => $arrangement], $fault, $cell),
                $cell,
            );
        }
    }

    public function testEachFanIsTestedByItselfOnEachOfItsInputs(): void
    {
        $each = ['arrangement' => 'two-inputs-each'];
        foreach (['a' => '', 'b' => '-b'] as $fan => $own) {
            $open = "low-brush-open$own#0";
            self::assertEqualsWithDelta(1.0, self::shows('radiator-fan', $each, $open, "direct-$fan"), 0.02);
            self::assertSame(0.0, self::shows('radiator-fan', $each, $open, "direct-low$own"));
            self::assertSame(\INF, self::shows('radiator-fan', $each, $open, "fan-ohms-low$own"));
        }
        $series = ['arrangement' => 'second-before-low'];
        self::assertEqualsWithDelta(1.0, self::shows('radiator-fan', $series, 'fan-open-a#0', 'direct-b'), 0.02);
        self::assertEqualsWithDelta(1.0, self::shows('radiator-fan', $series, 'fan-open-b#0', 'direct-low'), 0.02);
        self::assertGreaterThan(12.0, self::shows('radiator-fan', $series, 'fan-open-a#0', 'feed-b@low'));
        self::assertEqualsWithDelta(0.0, self::shows('radiator-fan', $series, 'fan-open-b#0', 'low-pin@low'), 0.1);
    }

    /** @return iterable<string, array{0: string, 1: string, 2: string, 3: string, 4: string}> kind of motor, fault, off, low, high */
    public static function wipers(): iterable
    {
        yield 'compound, strap broken' => ['compound', 'strap-open#0', 'stays', 'right', 'right'];
        yield 'compound, RUN wire broken' => ['compound', 'run-open#0', 'right', 'dead', 'dead'];
        yield 'compound, RUN shorted' => ['compound', 'run-short#0', 'runs', 'right', 'right'];
        yield 'compound, FIELD wire broken' => ['compound', 'field-open#0', 'fast', 'fast', 'right'];
        yield 'compound, FIELD shorted' => ['compound', 'field-short#0', 'right', 'right', 'slow'];
        yield 'compound, armature open' => ['compound', 'armature-open#0', 'stays', 'dead', 'dead'];
        yield 'compound, park contact never opens' => ['compound', 'park-never-opens#0', 'runs', 'right', 'right'];
        yield 'compound, park contact open' => ['compound', 'park-open#0', 'stays', 'right', 'right'];
        yield 'three brushes, low brush open' => ['three-brush', 'low-brush#0', 'stays', 'dead', 'right'];
        yield 'three brushes, high brush open' => ['three-brush', 'high-brush#0', 'right', 'right', 'dead'];
        yield 'three brushes, common brush open' => ['three-brush', 'common-brush#0', 'stays', 'dead', 'dead'];
        yield 'three brushes, park contact never opens' => [
            'three-brush',
            'park-never-opens#0',
            'runs',
            'right',
            'right',
        ];
        yield 'three brushes, park contact open' => ['three-brush', 'park-open#0', 'stays', 'right', 'right'];
        yield 'three brushes, no brake path' => ['three-brush', 'no-brake#0', 'overruns', 'right', 'right'];
        yield 'gear stripped' => ['three-brush', 'gear-stripped#0', 'stays', 'dead', 'dead'];
        yield 'linkage binding' => ['three-brush', 'linkage-binding#2', 'right', 'slow', 'slow'];
    }

    #[DataProvider('wipers')]
    public function testAWiperFaultGivesItsRowOfTheTable(
        string $motor,
        string $fault,
        string $off,
        string $low,
        string $high,
    ): void {
        foreach (['off' => $off, 'low' => $low, 'high' => $high] as $position => $state) {
            self::assertSame($state, self::called('wiper', ['motor' => $motor], $fault, $position), $position);
        }
    }

    public function testABindingLinkageIsGoneOnTheBenchAndADraggingMotorIsNot(): void
    {
        self::assertEqualsWithDelta(1.0, self::shows('wiper', [], 'linkage-binding#2', 'free-low'), 0.01);
        self::assertEqualsWithDelta(1.0, self::shows('wiper', [], 'linkage-binding#2', 'bench-low'), 0.01);
        self::assertLessThan(0.9, self::shows('wiper', [], 'dragging#2', 'free-low'));
        self::assertGreaterThan(4.0, self::shows('wiper', [], 'dragging#2', 'free-current'));
    }

    public function testTheBenchTruthTableOfACompoundMotor(): void
    {
        $compound = ['motor' => 'compound'];
        self::assertEqualsWithDelta(
            1.0,
            self::shows('wiper', $compound, 'none', 'bench-park'),
            0.02,
            'FIELD alone: on slowly to rest',
        );
        self::assertLessThan(
            Parking::NEVER_STOPS,
            self::shows('wiper', $compound, 'none', 'bench-none'),
            'neither, away from rest: on to rest',
        );
        self::assertGreaterThan(
            Parking::NEVER_STOPS,
            self::shows('wiper', $compound, 'park-never-opens#0', 'bench-none'),
        );
    }

    public function testTheIdleBrushIsAlive(): void
    {
        self::assertEqualsWithDelta(8.8, self::shows('wiper', [], 'none', 'high-pin@low'), 0.6);
        self::assertEqualsWithDelta(17.0, self::shows('wiper', [], 'none', 'low-pin@high'), 1.0, 'above the supply');
    }

    public function testTheIntervalStalkDividesTheSupply(): void
    {
        foreach (
            ['int-1' => 9.68, 'int-2' => 8.05, 'int-3' => 6.15, 'int-4' => 4.35, 'int-5' => 2.87]
            as $setting => $volts
        ) {
            self::assertEqualsWithDelta(
                $volts,
                self::shows('wiper-interval', [], 'none', "speed-volts@$setting"),
                0.1,
                $setting,
            );
            self::assertEqualsWithDelta(
                13.0,
                self::shows('wiper-interval', [], 'none', "unloaded@$setting"),
                0.1,
                'nothing loads it',
            );
            self::assertEqualsWithDelta(
                13.0,
                self::shows('wiper-interval', [], 'input-open#0', "speed-volts@$setting"),
                0.1,
                'full supply with an open input',
            );
            self::assertEqualsWithDelta(
                13.0,
                self::shows('wiper-interval', [], 'setting-bypassed#0', "speed-volts@$setting"),
                0.2,
                'and with a bypassed resistance',
            );
            self::assertEqualsWithDelta(
                $volts,
                self::shows('wiper-interval', [], 'input-open#0', "loaded@$setting"),
                0.1,
                'the stalk alone makes its table',
            );
            self::assertEqualsWithDelta(
                0.0,
                self::shows('wiper-interval', [], 'setting-open#0', "speed-volts@$setting"),
                0.1,
            );
        }
        self::assertEqualsWithDelta(13.0, self::shows('wiper-interval', [], 'setting-open#0', 'speed-volts@low'), 0.2);
        self::assertSame('dead', self::called('wiper-interval', [], 'low-path#0', 'low'));
        self::assertSame('right', self::called('wiper-interval', [], 'low-path#0', 'high'), 'steady on high');
    }

    public function testAWeakControlOutputLooksPerfectWithoutItsLoad(): void
    {
        self::assertGreaterThan(26.0, self::shows('control-output', [], 'output-resistive#2', 'output-open@lifted'));
        self::assertLessThan(18.0, self::shows('control-output', [], 'output-resistive#1', 'output-loaded@call'));
        self::assertLessThan(
            18.0,
            self::shows('control-output', [], 'output-resistive#1', 'output-test-load@test-load'),
        );
        self::assertNan(self::shows('control-output', [], 'output-resistive#1', 'speed@call'), 'it chatters');
        self::assertSame('runs', self::called('control-output', [], 'output-welded#0', 'off'));
        self::assertSame('runs', self::called('control-output', [], 'contactor-stuck#0', 'off'));
    }

    public function testADoorMotorIsReversedByItsHeadAndReportsItsPlace(): void
    {
        self::assertEqualsWithDelta(12.9, self::shows('air-door', [], 'none', 'motor-volts@warm'), 0.4);
        self::assertEqualsWithDelta(-12.9, self::shows('air-door', [], 'none', 'motor-volts@cold'), 0.4);
        foreach (['cold' => 0.85, 'middle' => 2.4, 'warm' => 3.9] as $place => $volts) {
            self::assertEqualsWithDelta($volts, self::shows('air-door', [], 'none', "told@$place"), 0.1, $place);
        }
    }

    /** @return iterable<string, array{0: array<string, string>, 1: string, 2: array<string, string>}> */
    public static function airDoors(): iterable
    {
        $vacuum = ['kind' => 'vacuum'];
        yield 'nothing reaches the doors: air at the windscreen only' => [
            $vacuum,
            'supply-off#0',
            ['windscreen' => 'right', 'face' => 'dead', 'feet' => 'dead', 'fresh' => 'dead', 'hill' => 'dead'],
        ];
        yield 'check valve lets the vacuum back' => [
            $vacuum,
            'check-stuck#0',
            ['face' => 'right', 'feet' => 'right', 'hill' => 'dead'],
        ];
        yield 'one diaphragm torn' => [
            $vacuum,
            'torn-feet#0',
            ['face' => 'right', 'feet' => 'dead', 'fresh' => 'right', 'hill' => 'right'],
        ];
        yield 'tank leaks' => [$vacuum, 'supply-leaks#0', ['face' => 'dead', 'feet' => 'dead', 'hill' => 'dead']];
        yield 'a port does not close' => [$vacuum, 'port-stuck-face#0', ['windscreen' => 'runs', 'face' => 'right']];
        yield 'one half of the reversing stage dead' => [
            ['kind' => 'two-wire'],
            'warm-stage#0',
            ['cold' => 'right', 'warm' => 'dead'],
        ];
        yield 'two wires, gear stripped' => [
            ['kind' => 'two-wire'],
            'gear-stripped#0',
            ['cold' => 'dead', 'warm' => 'dead'],
        ];
        yield 'no sense in the feedback, no drive' => [[], 'wiper-open#0', ['cold' => 'dead', 'warm' => 'dead']];
        yield 'feedback broken above its wiper says nothing either' => [
            [],
            'track-open-upper#0',
            ['cold' => 'dead', 'warm' => 'dead'],
        ];
        yield 'feedback at its upper end: warm is taken as reached' => [[], 'track-open#0', ['warm' => 'dead']];
        yield 'a binding door is slow both ways' => [[], 'door-binds#1', ['cold' => 'slow', 'warm' => 'slow']];
    }

    /**
     * @param array<string, string> $parameters
     * @param array<string, string> $expected
     */
    #[DataProvider('airDoors')]
    public function testAFaultOfADoorShowsWhereItMust(array $parameters, string $fault, array $expected): void
    {
        foreach ($expected as $position => $state) {
            self::assertSame($state, self::called('air-door', $parameters, $fault, $position), $position);
        }
    }

    public function testAClampedHoseBringsTheVacuumBackAndATornDiaphragmHoldsNone(): void
    {
        $vacuum = ['kind' => 'vacuum'];
        self::assertLessThan(35.0, self::shows('air-door', $vacuum, 'torn-face#0', 'tank@face'));
        self::assertGreaterThan(52.0, self::shows('air-door', $vacuum, 'torn-face#0', 'clamp@face'));
        self::assertLessThan(8.0, self::shows('air-door', $vacuum, 'torn-face#0', 'pump@face'));
        self::assertGreaterThan(55.0, self::shows('air-door', $vacuum, 'none', 'pump@face'));
    }

    public function testAJammedDoorIsFreeOnceItsActuatorIsOffAndASeizedMotorIsNot(): void
    {
        self::assertEqualsWithDelta(1.05, self::shows('air-door', [], 'door-jammed#0', 'free@warm'), 0.1);
        self::assertEqualsWithDelta(0.0, self::shows('air-door', [], 'motor-seized#0', 'free@warm'), 0.01);
    }

    /** @return iterable<string, array{0: array<string, string>, 1: string, 2: array<array-key, string>}> */
    public static function electronicBlowers(): iterable
    {
        yield 'shorted stage, fed all the time' => [
            [],
            'stage-shorted#0',
            ['key-off' => 'runs', 'off' => 'runs', '1' => 'fast', '5' => 'right'],
        ];
        yield 'shorted stage behind a relay' => [
            ['feed' => 'relay'],
            'stage-shorted#0',
            ['key-off' => 'right', 'off' => 'runs', '1' => 'fast'],
        ];
        yield 'shorted leg of a motor with electronics' => [
            ['module' => 'own'],
            'stage-shorted#0',
            ['key-off' => 'right', '1' => 'dead', '5' => 'dead'],
        ];
        yield 'command open, off' => [[], 'command-open#0', ['off' => 'right', '1' => 'dead', '5' => 'dead']];
        yield 'command open, full' => [
            ['openCommand' => 'full'],
            'command-open#0',
            ['off' => 'runs', '1' => 'fast', '5' => 'right'],
        ];
        yield 'command open, default' => [
            ['openCommand' => 'default'],
            'command-open#0',
            ['off' => 'runs', '1' => 'fast', '5' => 'slow'],
        ];
        yield 'command grounded, active low' => [
            ['active' => 'low'],
            'command-grounded#0',
            ['off' => 'runs', '1' => 'fast', '5' => 'right'],
        ];
        yield 'resistive feed' => [[], 'feed-resistive#1', ['1' => 'right', '5' => 'slow']];
        yield 'steps left out' => [[], 'missing-steps#0', ['3' => 'slow', '4' => 'right']];
        yield 'starved motor with electronics cuts in and out' => [
            ['module' => 'own'],
            'feed-resistive#2',
            ['1' => 'right', '5' => 'cuts-out'],
        ];
    }

    /**
     * @param array<string, string>            $parameters
     * @param array<array-key, string>         $states
     */
    #[DataProvider('electronicBlowers')]
    public function testAnElectronicBlowerShowsItsFaultAsTheTradeKnowsIt(
        array $parameters,
        string $fault,
        array $states,
    ): void {
        foreach ($states as $position => $state) {
            self::assertSame(
                $state,
                self::called('electronic-blower', $parameters, $fault, (string) $position),
                (string) $position,
            );
        }
    }

    public function testAProbeLightBurnsOnAFeedThatCannotRunAMotor(): void
    {
        self::assertGreaterThan(
            0.6,
            self::shows('electronic-blower', [], 'feed-strand#0', 'probe-light'),
            'the small lamp still burns',
        );
        self::assertLessThan(
            0.25,
            self::shows('electronic-blower', [], 'feed-strand#0', 'lamp'),
            'the load lamp does not',
        );
        self::assertGreaterThan(
            12.5,
            self::shows('electronic-blower', [], 'feed-strand#0', 'unplugged-volts'),
            'and the meter sees full voltage',
        );
        self::assertGreaterThan(
            0.9,
            self::shows('electronic-blower', [], 'feed-resistive#0', 'lamp'),
            '0.12 Ω hides from a lamp',
        );
    }

    /** With the fuse pulled a blower stops, however it is switched, unless it is fed from somewhere else. */
    public function testThePulledFuseStopsIt(): void
    {
        foreach (['none', 'relay-welded#0', 'contact-3-bridged#0'] as $fault) {
            self::assertEqualsWithDelta(
                0.0,
                self::shows('stepped-blower', ['positions' => '4'], $fault, 'fuse-pulled'),
                1e-3,
                $fault,
            );
        }
        self::assertEqualsWithDelta(0.0, self::shows('electronic-blower', [], 'stage-shorted#0', 'fuse-pulled'), 1e-3);
    }

    /** A duty table as it was typed is what each step sends, whichever way the signal works. */
    public function testATypedDutyTableIsWhatEachStepSends(): void
    {
        foreach (['high', 'low'] as $active) {
            $typed = $active === 'high' ? ['18', '31', '55'] : ['82', '69', '45'];
            $machine = new NominalMachine('electronic-blower', [
                'steps' => '4',
                'active' => $active,
                'duties' => $typed,
                'dutyTop' => $active === 'high' ? '88' : '12',
            ]);
            foreach ([...$typed, $active === 'high' ? '88' : '12'] as $step => $percent) {
                self::assertEqualsWithDelta(
                    (float) $percent,
                    $machine->shows('none', 'command@' . ($step + 1)),
                    1.5,
                    "$active, step " . ($step + 1),
                );
            }
        }
    }

    /** A lamp of half the watts draws half the current: a joint that drops 2 V with the large one drops half of it. */
    public function testAWeakerLampLoadsAJointLess(): void
    {
        $lost = static function (array $parameters): float {
            $machine = new NominalMachine('stepped-blower', ['positions' => '4'] + $parameters);
            $sound = $machine->shows('none', 'lamp-volts@4');

            return $sound - $machine->shows('feed-resistive#2', 'lamp-volts@4');
        };
        $usual = $lost([]);
        self::assertEqualsWithDelta($usual, $lost(['lampWatts' => '48']), 1e-6, '48 W is usual.');
        $half = $lost(['lampWatts' => '24']);
        self::assertGreaterThan(0.5 * $usual, $half);
        self::assertLessThan(0.75 * $usual, $half);
    }
}
