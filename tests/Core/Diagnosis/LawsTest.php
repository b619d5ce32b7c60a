<?php

declare(strict_types=1);

namespace Tests\Core\Diagnosis;

use Ispira\Core\Device\Adjustment;
use Ispira\Core\Device\Test;
use Ispira\Core\Diagnosis\Decision\DecisionSettings;
use Ispira\Core\Diagnosis\Decision\Diagnosis;
use Ispira\Core\Diagnosis\Decision\Engine;
use Ispira\Core\Diagnosis\Inference\CaseFile;
use Ispira\Core\Diagnosis\Inference\Hypothesis;
use Ispira\Core\Diagnosis\Inference\HypothesisList;
use Ispira\Core\Diagnosis\Inference\MemoryStore;
use Ispira\Core\Diagnosis\Presentation\Shown\OutcomeShown;
use Ispira\Core\Diagnosis\Presentation\TestCard;
use Ispira\Core\Diagnosis\Trial\SimulatedUnit;
use Ispira\Core\Kernel\RandomSource;
use Ispira\Core\Reading\Reading;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\DataProviderExternal;
use PHPUnit\Framework\TestCase;
use Tests\Core\Families;
use Tests\Core\NominalMachine;

/**
 * What holds for the diagnosis of any family, whatever is wrong.
 */
final class LawsTest extends TestCase
{
    private const MOST_TESTS = 6;

    /** @var array<string, Engine> by family, so that its predictions are kept */
    private static array $engines = [];

    /** @var array<string, NominalMachine> */
    private static array $machines = [];

    public static function tearDownAfterClass(): void
    {
        self::$engines = self::$machines = [];
    }

    private static function machine(string $family): NominalMachine
    {
        return self::$machines[$family] ??= new NominalMachine($family);
    }

    private static function diagnose(string $family, CaseFile $case): Diagnosis
    {
        return (self::$engines[$family] ??= new Engine(new MemoryStore()))->diagnose(
            self::machine($family)->circuit,
            $case,
            new DecisionSettings(),
        );
    }

    /**
     * A job on a unit with a fault of its own chance, followed for a few tests.
     *
     * @return list<array{0: CaseFile, 1: Diagnosis}> as it stood after each reading, the map first
     */
    private static function job(string $family, int $seed): array
    {
        $machine = self::machine($family);
        $lasting = array_filter(
            $machine->hypotheses,
            static fn(Hypothesis $h): bool => $h->parts !== [] && !$h->comesAndGoes && $h->adjustments !== [],
        );
        $chance = new RandomSource($seed);
        $unit = new SimulatedUnit(
            $machine->circuit,
            $lasting[$chance->pick(array_map(static fn(Hypothesis $h): float => $h->prior, $lasting))],
            $chance,
            0.0,
        );
        $case = new CaseFile($unit->map(), [], false);
        $steps = [[$case, self::diagnose($family, $case)]];
        for ($n = 0; $n < self::MOST_TESTS; ++$n) {
            $next = $steps[\count($steps) - 1][1]->next;
            if ($next === null) {
                break;
            }
            $case = $case->with($unit->read("t$n", $next->test, 0));
            $steps[] = [$case, self::diagnose($family, $case)];
        }

        return $steps;
    }

    /** @return array<string, float> by remedy */
    private static function odds(Diagnosis $diagnosis): array
    {
        return array_column($diagnosis->suspects, 'probability', 'remedy');
    }

    #[DataProviderExternal(Families::class, 'all')]
    public function testTheOrderOfReadingsDoesNotMatter(string $family): void
    {
        foreach ([1, 2] as $seed) {
            $steps = self::job($family, $seed);
            [$case, $diagnosis] = $steps[\count($steps) - 1];
            $odds = self::odds($diagnosis);
            for ($shuffle = 1; $shuffle <= 2; ++$shuffle) {
                $mixed = self::diagnose(
                    $family,
                    $case->withReadings((new RandomSource($shuffle))->shuffled($case->readings)),
                );
                foreach (self::odds($mixed) as $remedy => $chance) {
                    self::assertEqualsWithDelta($odds[$remedy], $chance, 0.01, $remedy);
                }
            }
        }
    }

    #[DataProviderExternal(Families::class, 'all')]
    public function testEveryProposalSeparatesAndItsTableSaysWhatFollows(string $family): void
    {
        $rows = 0;
        foreach ([3, 4] as $seed) {
            foreach (self::job($family, $seed) as [$case, $diagnosis]) {
                if ($diagnosis->next === null) {
                    continue;
                }
                $test = $diagnosis->next->test;
                self::assertGreaterThan(0.0, $diagnosis->next->information, $test->key);
                // Nothing saves more than guessing would waste as the odds stand.
                self::assertLessThan($diagnosis->guessing + 1.0, $diagnosis->next->saves, $test->key);
                $card = (new TestCard(self::machine($family)->circuit, $case, $diagnosis))->of($test);
                foreach ($test->probe->quantity->isNumber() ? $card->outcomes : [] as $outcome) {
                    $rows += $this->leadsTo($family, $case, $test, $outcome);
                }
            }
        }
        self::assertGreaterThan(0, $rows);
    }

    /**
     * Enters the middle of a row that is likely and clear, and looks whether its leader leads then.
     */
    private function leadsTo(string $family, CaseFile $case, Test $test, OutcomeShown $outcome): int
    {
        $first = $outcome->remedies[0] ?? null;
        $clear = $first !== null && $first->probability > 2.0 * ($outcome->remedies[1]->probability ?? 0.0);
        if (!$clear || $outcome->probability < 0.05) {
            return 0;
        }
        // The pages show amperes, ohms and volts in these units themselves; others are left out.
        if (
            $outcome->from === null ||
            $outcome->to === null ||
            !\in_array($test->probe->quantity->value, ['volts', 'amps', 'ohms'], true)
        ) {
            return 0;
        }
        $middle = 0.5 * ($outcome->from + $outcome->to);
        $after = self::diagnose($family, $case->with(new Reading('row', $test->key, $middle, true)));
        self::assertSame(
            $first->remedy,
            $after->suspects[0]->remedy,
            "$family, $test->key at $middle, of " . json_encode($outcome),
        );

        return 1;
    }

    /** A sound machine at the edges of its populations: nothing that is true of it is refused once it was repeated. */
    #[DataProviderExternal(Families::class, 'all')]
    public function testNothingTrueOfASoundMachineIsRefusedTwice(string $family): void
    {
        $circuit = self::machine($family)->circuit;
        $sound = self::machine($family)->hypotheses[HypothesisList::NOTHING_WRONG];
        foreach ([-1.96, 1.96] as $edge) {
            $number = 0;
            $machine = new NominalMachine($family, [], static function () use (&$number, $edge): float {
                return ++$number % 2 === 0 ? $edge : -$edge;
            });
            $readings = [];
            foreach ($circuit->positions as $position => $_) {
                $readings[] = new Reading("m$position", $circuit->speedTest((string) $position)->key, 'right', true);
            }
            $tests = array_filter(
                $circuit->tests,
                static fn(Test $test): bool => $test->offered && $test->probe->quantity->isNumber(),
            );
            foreach (\array_slice((new RandomSource(7))->shuffled(array_values($tests)), 0, 6) as $test) {
                $shown = $machine->shows($sound->key, $test->key);
                foreach (['a', 'b'] as $time) {
                    $readings[] = new Reading("$test->key$time", $test->key, is_finite($shown) ? $shown : null, true);
                }
            }
            $diagnosis = self::diagnose($family, new CaseFile($readings, [], false));
            self::assertNull($diagnosis->misfit, json_encode($diagnosis->misfit->spoiling ?? [], \JSON_THROW_ON_ERROR));
        }
    }

    /** @return iterable<string, array{0: string, 1: string, 2: string, 3: list<string>}> family, element, its part, and what is read around it */
    public static function joints(): iterable
    {
        yield 'feed of a blower' => ['stepped-blower', 'feed', 'feed-wire', ['battery-volts@4', 'fuse-in@4']];
        yield 'plus pin of a blower' => [
            'stepped-blower',
            'plug-plus',
            'motor-plug',
            ['motor-plug-drop@4', 'feed-drop@4'],
        ];
        yield 'ground of a blower' => ['stepped-blower', 'ground', 'ground-wire', ['minus-volts@4']];
        yield 'ground of a module' => ['electronic-blower', 'ground', 'ground-wire', ['ground-drop@5', 'feed-volts@5']];
        yield 'ground of a fan' => ['radiator-fan', 'ground-a', 'ground-wire', ['ground-drop-a', 'plug-drop-a']];
        yield 'plug of a fan' => ['radiator-fan', 'plug-minus-a', 'plug-a', ['plug-drop-a', 'ground-drop-a']];
        yield 'ground of a wiper' => ['wiper', 'ground', 'ground-wire', ['ground-pin@low', 'ground-pin@high']];
        yield 'ground of an interval module' => ['wiper-interval', 'ground', 'ground-wire', ['ground-drop']];
    }

    /**
     * A joint of any degree is found, and a worse one is never less suspect.
     *
     * @param list<string> $tests
     */
    #[DataProvider('joints')]
    public function testAWorseJointIsNeverLessSuspect(string $family, string $element, string $part, array $tests): void
    {
        $before = 0.0;
        foreach ([0.5, 1.0, 2.0, 4.0, 8.0, 15.0, 30.0] as $ohms) {
            $state = new Hypothesis('joint', [], [], 1.0, [Adjustment::add("$element.ohms", $ohms)]);
            $machine = self::machine($family);
            $readings = [];
            foreach (array_keys($machine->circuit->positions) as $position) {
                $test = $machine->circuit->speedTest((string) $position)->key;
                $readings[] = new Reading("m$position", $test, $machine->calledIn($state, (string) $position), true);
            }
            foreach ($tests as $test) {
                $readings[] = new Reading($test, $test, $machine->showsIn($state, $test), true, kept: true);
            }
            $diagnosis = self::diagnose($family, new CaseFile($readings, [], false));
            self::assertSame($part, $diagnosis->suspects[0]->remedy, "$ohms Ω");
            self::assertGreaterThan($before - 0.05, $diagnosis->suspects[0]->probability, "$ohms Ω");
            $before = $diagnosis->suspects[0]->probability;
        }
    }

    /** What was called wrong twice is wrong: whatever else reads as on a sound machine, nobody says that nothing is. */
    #[DataProviderExternal(Families::class, 'all')]
    public function testNothingWrongIsNeverSaidWhileAPositionIsWrong(string $family): void
    {
        $machine = self::machine($family);
        $circuit = $machine->circuit;
        $wrong = (string) array_key_last($circuit->positions);
        $readings = [];
        foreach ($circuit->positions as $key => $position) {
            $readings[] = new Reading("m$key", "speed@$key", (string) $key === $wrong ? 'dead' : 'right');
        }
        $readings[] = new Reading('again', "speed@$wrong", 'dead');
        $sound = new SimulatedUnit($circuit, $machine->hypotheses['none'], new RandomSource(4), 0.0);
        for ($tests = 0; $tests < self::MOST_TESTS; ++$tests) {
            $diagnosis = self::diagnose($family, new CaseFile($readings, [], false));
            self::assertNotSame('none', $diagnosis->verdict?->suspect->remedy, "after $tests tests");
            if ($diagnosis->next === null) {
                break;
            }
            $readings[] = $sound->read("r$tests", $diagnosis->next->test, 0);
        }
    }
}
