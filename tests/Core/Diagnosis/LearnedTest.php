<?php

declare(strict_types=1);

namespace Tests\Core\Diagnosis;

use Ispira\Core\Device\PositionKind;
use Ispira\Core\Device\Quantity;
use Ispira\Core\Device\Test;
use Ispira\Core\Diagnosis\Decision\DecisionSettings;
use Ispira\Core\Diagnosis\Decision\Engine;
use Ispira\Core\Diagnosis\Decision\Evidence;
use Ispira\Core\Diagnosis\Inference\CaseFile;
use Ispira\Core\Diagnosis\Inference\Hypothesis;
use Ispira\Core\Diagnosis\Inference\LearnedValue;
use Ispira\Core\Diagnosis\Inference\Learning;
use Ispira\Core\Diagnosis\Inference\OneMachine;
use Ispira\Core\Diagnosis\Inference\ReadingScale;
use Ispira\Core\Diagnosis\Presentation\DiagnosisFormat;
use Ispira\Core\Diagnosis\Presentation\FaultsTogether;
use Ispira\Core\Diagnosis\Presentation\Learned;
use Ispira\Core\Kernel\RandomSource;
use Ispira\Core\Reading\Reading;
use PHPUnit\Framework\Attributes\DataProviderExternal;
use PHPUnit\Framework\TestCase;
use Tests\Core\Families;

/**
 * What readings teach about values of one machine, against machines whose values are known.
 */
final class LearnedTest extends TestCase
{
    /** Numeric tests that are read on each machine. */
    private const READ = 8;

    #[DataProviderExternal(Families::class, 'all')]
    public function testWhatIsLearnedHoldsAndIsNeverWiderThanBefore(string $family): void
    {
        $bench = new Bench([], false, $family);
        $sound = $bench->hypotheses['none'];
        foreach ([3, 8] as $seed) {
            $random = new RandomSource($seed);
            $machine = OneMachine::drawn($bench->circuit, static fn(): float => max(-1.8, min(1.8, $random->normal())));
            $readings = [];
            foreach ($this->numeric($bench) as $test) {
                $shown = $machine->shows($test, $sound);
                $readings[] = new Reading("r-$test->key", $test->key, is_finite($shown) ? $shown : null);
            }
            $evidence = $bench->diagnose(new CaseFile($readings))->evidence;
            $learning = new Learning(['none' => $sound], $evidence->belief, $evidence->predictions);
            foreach ($bench->circuit->learnables as $value) {
                $truth = array_sum(array_map($machine->value(...), $value->parameters));
                $before = $learning->before($value->quantity, $value->parameters);
                $after = $learning->after($value->quantity, $value->parameters);
                self::assertNotNull($after, "$family $value->key");
                self::assertLessThanOrEqual($before->variance * 1.0001, $after->variance, "$family $value->key");
                self::assertLessThan(3.5, self::off($before, $truth, 0.0), "$family $value->key before");
                // Straight lines through bent curves and meters that show digits may be off by a little.
                self::assertLessThan(3.5, self::off($after, $truth, 0.12), "$family $value->key after");
            }
        }
    }

    /** Deviations from the truth, with a spread of its own for what is not straight. */
    private static function off(LearnedValue $value, float $truth, float $bent): float
    {
        $place = ReadingScale::to($value->quantity, $truth) - ReadingScale::to($value->quantity, $value->middle());

        return abs($place) / hypot(sqrt($value->variance), $bent);
    }

    /** @return list<Test> spread over all that give a number */
    private function numeric(Bench $bench): array
    {
        $numeric = array_values(
            array_filter(
                $bench->circuit->tests,
                static fn(Test $t): bool => \in_array(
                    $t->probe->quantity,
                    [Quantity::Volts, Quantity::Amps, Quantity::Ohms, Quantity::Capacitance],
                    true,
                ),
            ),
        );
        $step = max(1, intdiv(\count($numeric), self::READ));

        return array_values(array_filter($numeric, static fn(int $n): bool => $n % $step === 0, \ARRAY_FILTER_USE_KEY));
    }

    public function testAReadPackIsLearnedAndSaidInOhms(): void
    {
        $bench = new Bench();
        $ohms = array_values(
            array_filter(
                $bench->circuit->tests,
                static fn(Test $t): bool => $t->probe->quantity === Quantity::Ohms && str_contains($t->key, 'pack'),
            ),
        );
        $machine = OneMachine::asDeclared($bench->circuit);
        $readings = [];
        foreach ($ohms as $test) {
            $readings[] = new Reading("r-$test->key", $test->key, $machine->shows($test, $bench->hypotheses['none']));
        }
        $values = (new Learned($bench->circuit, $bench->diagnose(new CaseFile([]))->evidence))->values();
        self::assertSame(['supply', 'packOhms'], array_column($values, 'key'));
        self::assertSame([null, null], array_column($values, 'after'));
        $values = (new Learned($bench->circuit, $bench->diagnose(new CaseFile($readings))->evidence))->values();
        $total = $machine->value('resistor-1.ohms') + $machine->value('resistor-2.ohms');
        $total += $machine->value('resistor-3.ohms');
        self::assertMatchesRegularExpression('/^about [\d.]+ Ω$/', (string) $values[1]->after);
        self::assertEqualsWithDelta($total, (float) substr((string) $values[1]->after, 6), 0.35 * $total);
        self::assertNull($values[0]->after, 'ohms say nothing of the supply');
    }

    #[DataProviderExternal(Families::class, 'all')]
    public function testABadJointIsToldInOhmsAndMoreWhereItIsWorse(string $family): void
    {
        $bench = new Bench([], false, $family);
        $slices = array_values(
            array_filter(
                $bench->hypotheses,
                static fn(Hypothesis $h): bool => str_ends_with($h->faultKey(), '-resistive') &&
                    \count($h->parts) === 1 &&
                    !$h->comesAndGoes,
            ),
        );
        self::assertNotSame([], $slices, $family);
        $fault = $slices[0]->faultKey();
        $told = [];
        $evidence = $bench->diagnose(new CaseFile([]))->evidence;
        foreach ($slices as $slice) {
            if ($slice->faultKey() !== $fault) {
                continue;
            }
            $one = new Learned(
                $bench->circuit,
                new Evidence(
                    ['none' => $bench->hypotheses['none'], $slice->key => $slice],
                    $evidence->belief,
                    $evidence->values,
                    $evidence->foreseen,
                    $evidence->predictions,
                ),
            );
            $said = (string) $one->degree($fault);
            self::assertMatchesRegularExpression('/^(about )?[\d.]+ k?Ω/u', $said, "$family $slice->key");
            // What holds or does not has no speed.
            self::assertStringNotContainsString(
                $bench->circuit->positions[$bench->circuit->highest()->position]->kind === PositionKind::Holds
                    ? 'speed'
                    : 'is on',
                $said,
                "$family $slice->key",
            );
            $told[] = (new Learning([$slice->key => $slice], $evidence->belief, $evidence->predictions))
                ->degree(
                    Quantity::Ohms,
                    $slice->adjustments[0]->parameter,
                    $bench->circuit->setUps[(string) array_key_last($bench->circuit->positions)],
                    [$slice->key => $slice],
                )
                ?->middle();
        }
        $sorted = $told;
        sort($sorted);
        self::assertSame($sorted, $told, $family);
    }

    public function testADragIsToldInAmperesAndABreakHasNoDegree(): void
    {
        $bench = new Bench();
        $evidence = $bench->diagnose(new CaseFile([]))->evidence;
        $learned = new Learned($bench->circuit, $evidence);
        $told = array_filter(
            array_map(
                static fn(Hypothesis $h): ?string => $h->faults === [] ? null : $learned->degree($h->faultKey()),
                $bench->hypotheses,
            ),
        );
        self::assertNotSame([], preg_grep('/^draws about [\d.]+ A at full speed, [\d.]+ A when sound$/', $told));
        self::assertNull($learned->degree('fuse-open'));
        self::assertNull($learned->degree('no-such-fault'));
    }

    /** @return array<string, string> how bad each fault is, by fault */
    private static function degrees(Bench $bench, CaseFile $case): array
    {
        $learned = new Learned($bench->circuit, $bench->diagnose($case)->evidence);
        $told = [];
        foreach ($bench->hypotheses as $hypothesis) {
            if (\count($hypothesis->faults) === 1 && !$hypothesis->comesAndGoes) {
                $told[$hypothesis->faultKey()] ??= (string) $learned->degree($hypothesis->faultKey());
            }
        }

        return array_filter($told, static fn(string $one): bool => $one !== '');
    }

    #[DataProviderExternal(Families::class, 'all')]
    public function testAMachineThatDrawsLittleIsComparedWithItself(string $family): void
    {
        $bench = new Bench([], false, $family);
        $machine = OneMachine::asDeclared($bench->circuit);
        $readings = [];
        foreach ($bench->circuit->tests as $test) {
            $amps =
                $test->probe->quantity === Quantity::Amps ? $machine->shows($test, $bench->hypotheses['none']) : 0.0;
            if ($amps > 1.0 && is_finite($amps)) {
                $readings = [new Reading('little', $test->key, 0.8 * $amps)];
            }
        }
        $draws = static fn(array $told): array => array_filter(
            array_map(static function (string $one): ?int {
                return preg_match('/draws about ([\d.]+) A .*, ([\d.]+) A when sound/', $one, $found) === 1
                    ? (float) $found[1] <=> (float) $found[2]
                    : null;
            }, $told),
        );
        $before = $draws(self::degrees($bench, new CaseFile([])));
        $after = $draws(self::degrees($bench, new CaseFile($readings)));
        $both = array_intersect_key($after, $before);
        self::assertSame(array_intersect_key($before, $both), $both, $family);
    }

    public function testWhatLosesVoltsAndWhatLetsCurrentByIsToldWhereItIsAtWork(): void
    {
        $told = self::degrees(new Bench(), new CaseFile([]));
        self::assertMatchesRegularExpression('/ V lost at full speed, /', $told['contact-4-resistive']);
        // Open at full speed, and so nothing that could be told there.
        self::assertMatchesRegularExpression(
            '/^0\.0\d Ω to [\d.]+ Ω: [\d.]+ V lost in position 1, /u',
            $told['contact-1-resistive'],
        );
        self::assertMatchesRegularExpression('/ A through it in position 1, /', $told['resistor-1-low']);
        self::assertMatchesRegularExpression('/ V lost in position 1, /', $told['resistor-1-high']);
    }

    #[DataProviderExternal(Families::class, 'all')]
    public function testNothingIsToldOfWhatStandsOpen(string $family): void
    {
        foreach (self::degrees(new Bench([], false, $family), new CaseFile([])) as $fault => $told) {
            self::assertDoesNotMatchRegularExpression('/\d{3} MΩ/u', $told, "$family $fault");
        }
    }

    public function testAHoseIsToldByItsVacuum(): void
    {
        $told = self::degrees(new Bench(['kind' => 'vacuum'], false, 'air-door'), new CaseFile([]));
        self::assertNotSame([], $told);
        foreach ($told as $fault => $one) {
            self::assertMatchesRegularExpression(
                '/^[\d.]+ kPa (left there|lost) (while the door is held|in position \w+)$/',
                $one,
                $fault,
            );
        }
    }

    public function testWhatNoListHoldsIsSaidWithWhatIsSoundAndWhatIsNot(): void
    {
        $bench = new Bench();
        $machine = OneMachine::asDeclared($bench->circuit);
        $readings = [];
        foreach (array_keys($bench->circuit->positions) as $position) {
            foreach (['a', 'b'] as $time) {
                $readings[] = new Reading("m-$position-$time", "speed@$position", 'right');
            }
        }
        $number = 0;
        // Half the voltage everywhere, and more or less of it from place to place, though every speed is right.
        foreach ($bench->circuit->tests as $test) {
            if ($test->probe->quantity === Quantity::Ohms) {
                $shown = $machine->shows($test, $bench->hypotheses['none']);
                $readings[] = new Reading($test->key, $test->key, is_finite($shown) ? $shown : null);
            }
            if ($test->probe->quantity === Quantity::Volts && str_contains($test->key, '@4')) {
                $shown = $machine->shows($test, $bench->hypotheses['none']);
                $odd = $shown > 5.0 ? 0.5 * $shown + 3.0 * ($number++ % 2) : $shown + 2.0;
                foreach (['a', 'b'] as $time) {
                    $readings[] = new Reading("$test->key-$time", $test->key, $odd);
                }
            }
        }
        $case = new CaseFile($readings);
        $found = (new Engine())->diagnose($bench->circuit, $case, new DecisionSettings());
        $format = (new DiagnosisFormat($bench->circuit, $case, $found))->shown();
        self::assertSame('something-else', $found->suspects[0]->remedy);
        self::assertNull($found->verdict);
        $elsewhere = $format->elsewhere;
        self::assertNotNull($elsewhere);
        self::assertNotSame([], $elsewhere->odd);
        self::assertNotSame([], $elsewhere->sound);
        self::assertNotSame([], $elsewhere->cleared);
        self::assertStringContainsString('where sound machines show', $elsewhere->odd[0]);
        self::assertNotSame([], $elsewhere->narrows);
        foreach ($elsewhere->narrows as $test) {
            self::assertTrue($bench->circuit->tests[$test->key]->probe->quantity->isNumber(), $test->key);
            self::assertNotContains($test->key, array_map(static fn(Reading $r): string => $r->test, $readings));
        }
    }

    public function testTwoFaultsThatExplainItBetweenThemAreSaid(): void
    {
        $bench = new Bench();
        $readings = [];
        foreach (array_keys($bench->circuit->positions) as $position) {
            $slow = !\in_array((string) $position, ['off', 'key-off'], true);
            $readings[] = new Reading("m-$position", "speed@$position", $slow ? 'slow' : 'right');
        }
        foreach (['feed-drop@4' => 4.6, 'ground-drop@4' => 4.2] as $test => $volts) {
            foreach (['a', 'b'] as $time) {
                $readings[] = new Reading("$test-$time", $test, $volts);
            }
        }
        $case = new CaseFile($readings);
        $told = FaultsTogether::of($case, $bench->diagnose($case)->evidence);
        self::assertNotSame([], $told);
        foreach ($told as $two) {
            self::assertContains('ground-wire', [...$two->one->parts, ...$two->other->parts]);
            self::assertNotSame($two->one->parts, $two->other->parts);
        }
        $sound = Bench::case(array_fill_keys(array_keys($bench->circuit->positions), 'right'), [
            'battery-volts@4' => 12.9,
        ]);
        self::assertSame([], FaultsTogether::of($sound, $bench->diagnose($sound)->evidence));
    }
}
