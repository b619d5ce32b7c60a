<?php

declare(strict_types=1);

namespace Tests\Core\Diagnosis;

use Ispira\Core\Device\Adjustment;
use Ispira\Core\Device\FamilyRegistry;
use Ispira\Core\Diagnosis\Decision\DecisionSettings;
use Ispira\Core\Diagnosis\Decision\Diagnosis;
use Ispira\Core\Diagnosis\Decision\Engine;
use Ispira\Core\Diagnosis\Inference\Hypothesis;
use Ispira\Core\Diagnosis\Inference\MemoryStore;
use Ispira\Core\Kernel\RandomSource;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Core\NominalMachine;

/**
 * Jobs as workshops know them: ordinary values of ordinary machines, and what has to follow from them.
 */
final class KnownExamplesTest extends TestCase
{
    /** @var array<string, Engine> */
    private static array $engines = [];

    public static function tearDownAfterClass(): void
    {
        self::$engines = [];
    }

    /**
     * @param array<array-key, string>         $states     by position
     * @param array<string, float|string|null> $readings   by test
     * @param array<string, string>            $parameters
     */
    private static function diagnosed(
        string $family,
        array $states,
        array $readings,
        array $parameters = [],
        int $shuffle = 0,
    ): Diagnosis {
        $found = FamilyRegistry::shipped()->get($family);
        $case = Bench::case($states, $readings);
        if ($shuffle > 0) {
            $case = $case->withReadings((new RandomSource($shuffle))->shuffled($case->readings));
        }

        return (self::$engines[$family] ??= new Engine(new MemoryStore()))->diagnose(
            $found->circuit($found->parameters()->read($parameters)),
            $case,
            new DecisionSettings(),
        );
    }

    /** @return array<string, float> by remedy */
    private static function odds(Diagnosis $diagnosis): array
    {
        return array_column($diagnosis->suspects, 'probability', 'remedy');
    }

    /** @return iterable<string, array{0: float, 1: float}> 24 V side and line */
    public static function supplies(): iterable
    {
        yield 'low transformer' => [22.3, 231.0];
        yield 'low line' => [24.1, 204.0];
        yield 'high line' => [27.5, 250.0];
        yield 'high transformer' => [28.8, 238.0];
    }

    #[DataProvider('supplies')]
    public function testADeadModuleIsFoundWithAnyOrdinarySupplyInAnyOrder(float $secondary, float $line): void
    {
        $dead = ['off' => 'right', 'fan' => 'dead', 'heat' => 'dead', 'cool' => 'dead'];
        $readings = [
            'secondary' => $secondary,
            'plug-volts' => $line,
            'tap-volts@cool' => $secondary - 0.4,
            'tap-volts@heat' => $secondary - 0.3,
            'spin' => 'free',
            'phase-ab' => 4.9,
            'phase-bc' => 4.95,
            'phase-ca' => 4.85,
        ];
        foreach ([0, 1, 2] as $order) {
            $diagnosis = self::diagnosed('ecm-blower', $dead, $readings, [], $order);
            self::assertGreaterThan(0.9, self::odds($diagnosis)['module']);
            self::assertNull($diagnosis->misfit);
        }
        $unequal = self::diagnosed('ecm-blower', $dead, ['phase-bc' => 2.6, 'phase-ab' => 2.7] + $readings);
        self::assertSame('motor', $unequal->suspects[0]->remedy);
    }

    public function testTheMoreCurrentTheMoreDrag(): void
    {
        $machine = new NominalMachine('stepped-blower', ['motorAmps' => '14']);
        $before = $drawn = 0.0;
        foreach ([0.08, 0.15, 0.25, 0.4, 0.6] as $torque) {
            $drag = new Hypothesis('drag', [], [], 1.0, [Adjustment::add('motor.frictionTorque', $torque)]);
            $states = $readings = [];
            foreach (array_keys($machine->circuit->positions) as $position) {
                $states[$position] = $machine->calledIn($drag, (string) $position);
            }
            foreach (['current@4', 'plus-volts@4', 'minus-volts@4'] as $test) {
                $readings[$test] = $machine->showsIn($drag, $test);
            }
            self::assertGreaterThan($drawn, $machine->showsIn($drag, 'current@4'));
            $drawn = $machine->showsIn($drag, 'current@4');
            $odds = 0.0;
            foreach (
                self::diagnosed('stepped-blower', $states, $readings, ['motorAmps' => '14'])->suspects
                as $suspect
            ) {
                foreach ($suspect->faults as $fault => $chance) {
                    $odds += preg_match('/drag|wheel-|seized|turns/', $fault) === 1 ? $chance : 0.0;
                }
            }
            self::assertGreaterThan($before - 0.02, $odds, "$drawn A");
            $before = $odds;
        }
        self::assertGreaterThan(0.9, $before);
    }

    /** @return iterable<string, array{0: list<float>}> volts on the speed wire, from the most to the least frequent setting */
    public static function stalks(): iterable
    {
        yield 'wide' => [[10.9, 8.8, 6.6, 4.2, 2.3]];
        yield 'narrow' => [[9.8, 8.4, 7.0, 5.6, 4.6]];
        yield 'uneven' => [[10.2, 9.1, 6.0, 5.0, 2.6]];
    }

    /** @param list<float> $volts */
    #[DataProvider('stalks')]
    public function testAnyOrderedStalkIsClearedByItsVolts(array $volts): void
    {
        $states = ['off' => 'right', 'low' => 'dead', 'high' => 'right'];
        $readings = [];
        foreach ($volts as $n => $one) {
            $states['int-' . ($n + 1)] = 'dead';
            $readings['speed-volts@int-' . ($n + 1)] = $one;
        }
        $before = self::odds(self::diagnosed('wiper-interval', $states, []));
        $after = self::odds(self::diagnosed('wiper-interval', $states, $readings));
        self::assertLessThan(0.5 * $before['stalk'], $after['stalk']);
        self::assertGreaterThan($before['module'], $after['module']);
    }

    public function testFullSupplyAtEverySettingSpeaksForTheInputAndIsNoVerdictYet(): void
    {
        $states = ['off' => 'right', 'low' => 'dead', 'high' => 'right'];
        $readings = [];
        foreach ([1, 2, 3, 4, 5] as $n) {
            $states["int-$n"] = 'dead';
            $readings["speed-volts@int-$n"] = 12.8;
        }
        $diagnosis = self::diagnosed('wiper-interval', $states, $readings);
        self::assertSame('module', $diagnosis->suspects[0]->remedy);
        self::assertNotNull($diagnosis->next, 'the input itself is measured first');
    }

    public function testAnySteadyFeedbackOnTheBenchClearsTheMotor(): void
    {
        $states = ['off' => 'right', 'low' => 'cuts-out', 'medium' => 'cuts-out', 'high' => 'cuts-out'];
        foreach ([14.0, 40.0, 95.0, 120.0] as $hertz) {
            $odds = self::odds(
                self::diagnosed('five-wire-fan', $states, ['speed@bench' => 'right', 'bench-hertz' => $hertz]),
            );
            self::assertLessThan(0.1, $odds['motor'] ?? 0.0, "$hertz Hz");
        }
    }

    public function testOverVoltageOfTheLogicSupplyIsTheBoards(): void
    {
        $states = ['off' => 'right', 'low' => 'right', 'medium' => 'right', 'high' => 'right'];
        $odds = self::odds(self::diagnosed('five-wire-fan', $states, ['board-vcc' => 21.5, 'vcc-volts' => 21.4]));
        self::assertGreaterThan(0.5, $odds['board']);
    }

    /** @return iterable<string, array{0: list<float>}> duty of each step */
    public static function tables(): iterable
    {
        yield 'low to full' => [[14.0, 33.0, 54.0, 76.0, 98.0]];
        yield 'high start' => [[32.0, 44.0, 55.0, 63.0, 70.0]];
        yield 'bowed' => [[18.0, 24.0, 37.0, 58.0, 88.0]];
    }

    /** @param list<float> $duties */
    #[DataProvider('tables')]
    public function testAnyRisingTableOfDutiesClearsTheController(array $duties): void
    {
        $states = ['key-off' => 'right', 'off' => 'right'];
        $readings = [];
        foreach ($duties as $n => $duty) {
            $states[(string) ($n + 1)] = 'dead';
            $readings['command@' . ($n + 1)] = $duty;
        }
        self::assertLessThan(
            0.05,
            self::odds(self::diagnosed('electronic-blower', $states, $readings))['controller'] ?? 0.0,
        );
    }

    public function testAModuleThatIsStuckIsNoVerdictOnTheControllerFromTheMap(): void
    {
        foreach (
            [
                ['fast', 'fast', 'right', 'slow', 'slow'],
                ['fast', 'fast', 'fast', 'fast', 'right'],
                ['right', 'slow', 'slow', 'slow', 'slow'],
            ]
            as $steps
        ) {
            $states = ['key-off' => 'right', 'off' => 'right'];
            foreach ($steps as $n => $state) {
                $states[(string) ($n + 1)] = $state;
            }
            $diagnosis = self::diagnosed('electronic-blower', $states, []);
            self::assertLessThan(0.9, self::odds($diagnosis)['controller'] ?? 0.0);
            self::assertNull($diagnosis->verdict);
        }
    }

    /** @return iterable<string, array{0: float, 1: 'contactor'|'relay'}> */
    public static function coils(): iterable
    {
        yield 'large contactor' => [6.0, 'contactor'];
        yield 'small contactor' => [27.0, 'contactor'];
        yield 'relay' => [60.0, 'relay'];
        yield 'small relay' => [200.0, 'relay'];
    }

    #[DataProvider('coils')]
    public function testAnOrdinaryCoilIsClearedByItsOhms(float $ohms, string $load): void
    {
        $states = ['off' => 'right', 'call' => 'dead', 'all' => 'dead'];
        $diagnosis = self::diagnosed('control-output', $states, ['coil-ohms' => $ohms], ['load' => $load]);
        self::assertNull($diagnosis->misfit);
        $before = self::odds(self::diagnosed('control-output', $states, [], ['load' => $load]));
        self::assertLessThan($before['contactor'], self::odds($diagnosis)['contactor']);
    }

    public function testAFieldWireIsToldByTheOhmsFromItsLiftedEnd(): void
    {
        $states = ['off' => 'right', 'call' => 'dead', 'all' => 'dead'];
        $coil = ['coil-ohms' => 12.0];
        foreach (['broken' => null, 'resistive' => 180.0, 'shorted' => 0.4] as $how => $ohms) {
            $diagnosis = self::diagnosed('control-output', $states, $coil + ['field-ohms' => $ohms]);
            self::assertContains('field-wire', explode('+', $diagnosis->suspects[0]->remedy), $how);
        }
    }

    public function testAJammedContactorHums(): void
    {
        $states = ['off' => 'right', 'call' => 'cuts-out', 'all' => 'cuts-out'];
        $odds = self::odds(
            self::diagnosed('control-output', $states, ['coil-volts@call' => 25.4, 'push-armature' => 'stuck']),
        );
        self::assertGreaterThan(0.8, $odds['contactor']);
    }

    public function testAnActuatorThatTurnsOffItsDoorLeavesTheDoor(): void
    {
        $stands = ['rest' => 'right', 'cold' => 'dead', 'warm' => 'dead'];
        $volts = ['motor-volts@cold' => -12.6, 'motor-volts@warm' => 12.6];
        $runs = self::diagnosed('air-door', $stands, $volts + ['free@cold' => 'right']);
        self::assertSame('door', $runs->suspects[0]->remedy);
        $runs = self::diagnosed('air-door', $stands, ['direct@cold' => 'right', 'lever' => 'lever-alone']);
        self::assertSame('door', $runs->suspects[0]->remedy);
        $stays = self::diagnosed('air-door', $stands, $volts + ['free@cold' => 'dead']);
        self::assertSame('actuator', $stays->suspects[0]->remedy);
        self::assertLessThan(0.02, self::odds($stays)['door']);
    }

    public function testTheWireOfTheFeedbackIsToldFromABoardThatDoesNotSeeIt(): void
    {
        $retries = ['off' => 'right', 'low' => 'cuts-out', 'medium' => 'cuts-out', 'high' => 'cuts-out'];
        $readings = ['bench-hertz' => 140.0, 'look-plug' => 'fine'];
        $open = self::diagnosed('five-wire-fan', $retries, $readings);
        self::assertNull($open->verdict);
        self::assertSame('fg-wire-ohms', $open->next?->test->key);
        $through = self::diagnosed('five-wire-fan', $retries, $readings + ['fg-wire-ohms' => 0.3]);
        self::assertSame('board', $through->suspects[0]->remedy);
        self::assertLessThan(0.02, self::odds($through)['cable']);
        $broken = self::diagnosed('five-wire-fan', $retries, $readings + ['fg-wire-ohms' => null]);
        self::assertGreaterThan(0.9, self::odds($broken)['cable']);
    }

    /**
     * @return iterable<string, array{
     *     string, array<string, string>, array<string, float|string|null>, string, float|null, string, float|null, string,
     * }>
     */
    public static function alikeUntilMeasured(): iterable
    {
        $line = 233.0;
        yield 'a tripped breaker' => [
            'ecm-blower',
            ['off' => 'right', 'fan' => 'dead', 'heat' => 'dead', 'cool' => 'dead'],
            ['plug-volts' => 0.0, 'breaker-drop' => $line, 'case-ohms' => null],
            'line-ohms',
            null,
            'breaker',
            4.2,
            'module',
        ];
        yield 'a flue fan that runs on' => [
            'flue-fan',
            ['off' => 'runs', 'full' => 'right'],
            ['proves' => 'lights'],
            'idle-volts-fast',
            $line,
            'control',
            0.1,
            'wiring',
        ];
        yield 'a contactor that stays in' => [
            'control-output',
            ['off' => 'runs', 'call' => 'right', 'all' => 'right'],
            ['push-armature' => 'free', 'look-contactor' => 'clean'],
            'output-idle@idle',
            25.1,
            'board',
            0.02,
            'field-wire',
        ];
    }

    /**
     * @param array<string, string>            $states
     * @param array<string, float|string|null> $readings
     */
    #[DataProvider('alikeUntilMeasured')]
    public function testWhatLooksAlikeIsToldApartByOneTest(
        string $family,
        array $states,
        array $readings,
        string $test,
        ?float $one,
        string $speaksFor,
        ?float $other,
        string $or,
    ): void {
        $before = self::diagnosed($family, $states, $readings);
        self::assertNull($before->verdict);
        self::assertSame($test, $before->next?->test->key);
        $first = self::diagnosed($family, $states, $readings + [$test => $one]);
        self::assertSame($speaksFor, $first->suspects[0]->remedy);
        self::assertLessThan(0.05, self::odds($first)[$or]);
        $second = self::diagnosed($family, $states, $readings + [$test => $other]);
        self::assertSame($or, $second->suspects[0]->remedy);
        self::assertLessThan(0.05, self::odds($second)[$speaksFor]);
    }

    public function testACommandOfTheLogicSupplyIsTheCables(): void
    {
        $runs = ['off' => 'runs', 'low' => 'fast', 'medium' => 'fast', 'high' => 'right'];
        $touching = self::diagnosed('five-wire-fan', $runs, ['vsp-volts@low' => 14.8]);
        self::assertSame('cable', $touching->suspects[0]->remedy);
        $stuck = self::diagnosed('five-wire-fan', $runs, ['vsp-volts@low' => 4.9, 'vsp-idle' => 4.9]);
        self::assertSame('board', $stuck->suspects[0]->remedy);
        self::assertGreaterThan(0.9, self::odds($stuck)['board']);
    }
}
