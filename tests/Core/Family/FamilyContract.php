<?php

declare(strict_types=1);

namespace Tests\Core\Family;

use Ispira\Core\Circuit\Element;
use Ispira\Core\Device\Adjustment;
use Ispira\Core\Device\AdjustmentKind;
use Ispira\Core\Device\CircuitModel;
use Ispira\Core\Device\Drawing\DrawnBlock;
use Ispira\Core\Device\Drawing\DrawnElement;
use Ispira\Core\Device\Drawing\SheetProof;
use Ispira\Core\Device\FamilyRegistry;
use Ispira\Core\Device\Quantity;
use Ispira\Core\Diagnosis\Inference\HypothesisList;
use Ispira\Core\Diagnosis\Inference\Judged;
use Ispira\Core\Diagnosis\Inference\NoStore;
use Ispira\Core\Diagnosis\Inference\OneMachine;
use Ispira\Core\Diagnosis\Inference\Predictions;
use Ispira\Core\Diagnosis\Inference\SpeedState;
use Ispira\Core\Diagnosis\Presentation\SoundCircuit;
use Ispira\Core\Diagnosis\Presentation\Words;
use Ispira\Core\Diagnosis\Trial\Trial;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/**
 * What every family has to keep to, in each of its variants.
 */
abstract class FamilyContract extends TestCase
{
    abstract protected static function registry(): FamilyRegistry;

    /** @return iterable<string, array{0: string, 1: array<string, string>}> */
    public static function variants(): iterable
    {
        foreach (static::registry()->all() as $key => $family) {
            foreach ((new Trial($family, 1))->variants() as $name => $parameters) {
                yield "$key, $name" => [$key, $parameters];
            }
        }
    }

    /** @param array<string, string> $parameters */
    private static function circuit(string $family, array $parameters): CircuitModel
    {
        $found = static::registry()->get($family);

        return $found->circuit($found->parameters()->read($parameters));
    }

    /** @param array<string, string> $parameters */
    #[DataProvider('variants')]
    public function testEverythingDeclaredHasItsWordsAndItsCounterpart(string $family, array $parameters): void
    {
        $circuit = self::circuit($family, $parameters);
        $words = new Words($circuit);
        foreach ($circuit->tests as $test) {
            self::assertNotSame('', $words->test($test) . $words->setUp($test));
            self::assertStringNotContainsString('{', $words->test($test), "$test->key names everything");
            foreach (
                ['cautions' => $test->cautions, 'tools' => $test->tools, 'access' => $test->access]
                as $group => $keys
            ) {
                foreach ($keys as $key) {
                    self::assertNotSame('', $circuit->texts->get("$group.$key"));
                }
            }
            foreach ($test->access as $place) {
                self::assertArrayHasKey($place, $circuit->accessMinutes, $test->key);
            }
            foreach (Judged::answers($circuit, $test) as $answer) {
                self::assertNotSame('', $words->choice($test, $answer));
            }
            self::assertGreaterThan(0.0, $test->minutes);
        }
        foreach ($circuit->faults as $fault) {
            self::assertStringNotContainsString(
                '{',
                $circuit->texts->get("faults.$fault->text", $fault->words),
                $fault->key,
            );
            self::assertArrayHasKey($fault->part, $circuit->parts, $fault->key);
            self::assertEqualsWithDelta(
                1.0,
                array_sum(array_map(static fn($s): float => $s->share, $fault->severities)),
                1e-6,
                $fault->key,
            );
            if ($fault->element !== '') {
                self::assertArrayHasKey($fault->element, $circuit->netlist->elements, $fault->key);
            }
            foreach ([$fault->observed, $fault->observedPassing] as $observed) {
                foreach ($observed as $key => $chances) {
                    self::assertArrayHasKey($key, $circuit->observations, $fault->key);
                    self::assertEqualsWithDelta(1.0, array_sum($chances), 1e-6, "$fault->key: $key");
                    self::assertEqualsCanonicalizing(
                        array_keys($circuit->observations[$key]->usual),
                        array_keys($chances),
                        "$fault->key: $key",
                    );
                }
            }
        }
        foreach ($circuit->parts as $part) {
            self::assertNotSame('', $words->part($part->key));
        }
        foreach ($circuit->observations as $observation) {
            self::assertEqualsWithDelta(1.0, array_sum($observation->usual), 1e-6, $observation->key);
        }
        foreach ($circuit->causeChecks as $check) {
            self::assertArrayHasKey($check->part, $circuit->parts, $check->text);
            self::assertArrayHasKey($check->test, $circuit->tests, $check->text);
            self::assertNotSame('', $circuit->texts->get("causes.$check->text"));
        }
    }

    /** @param array<string, string> $parameters */
    #[DataProvider('variants')]
    public function testEveryPositionHasItsSetUpItsTestAndSomethingRight(string $family, array $parameters): void
    {
        $circuit = self::circuit($family, $parameters);
        $hypotheses = HypothesisList::of($circuit, false);
        $predictions = new Predictions($circuit, $hypotheses['none'], new NoStore());
        foreach ($circuit->positions as $key => $position) {
            self::assertArrayHasKey($key, $circuit->setUps);
            self::assertArrayHasKey("speed@$key", $circuit->tests);
            $chances = array_fill_keys(Judged::answers($circuit, $circuit->speedTest((string) $key)), 0.0);
            foreach ($predictions->of($hypotheses['none'], $circuit->speedTest((string) $key)) as $number) {
                foreach (Judged::chances($circuit, $circuit->speedTest((string) $key), $number) as $state => $chance) {
                    $chances[$state] += $chance;
                }
            }
            arsort($chances);
            self::assertSame(SpeedState::Right->value, array_key_first($chances), "$key with nothing wrong");
        }
    }

    /** @param array<string, string> $parameters */
    #[DataProvider('variants')]
    public function testTheDrawingJoinsWhatTheNetlistJoinsInEverySetUp(string $family, array $parameters): void
    {
        $circuit = self::circuit($family, $parameters);
        foreach (array_keys($circuit->sheet->nodes) as $node) {
            self::assertArrayHasKey($node, $circuit->places);
        }
        foreach ($circuit->setUps as $key => $setUp) {
            self::assertSame([], SheetProof::of((new SoundCircuit($circuit))->placement($setUp)), (string) $key);
        }
        $sheet = (new SoundCircuit($circuit))->sheet($circuit->setUps[array_key_last($circuit->positions)]);
        self::assertTrue(
            array_filter($sheet->elements, static fn(DrawnElement $e): bool => $e->live) !== [] ||
                array_filter($sheet->blocks, static fn(DrawnBlock $b): bool => $b->live) !== [],
            'something is live in the last position',
        );
    }

    /** @param array<string, string> $parameters */
    #[DataProvider('variants')]
    public function testEveryFaultShowsSomewhere(string $family, array $parameters): void
    {
        $circuit = self::circuit($family, $parameters);
        $hypotheses = HypothesisList::of($circuit, false);
        $predictions = new Predictions($circuit, $hypotheses['none'], new NoStore());
        foreach ($circuit->faults as $fault) {
            $shows = $fault->observed !== [] || $fault->decouples !== null;
            foreach ($circuit->tests as $test) {
                if ($shows || $test->probe->quantity === Quantity::Observation) {
                    continue;
                }
                $worst = \count($fault->severities) - 1;
                $without = $predictions->of($hypotheses['none'], $test)[0];
                foreach (["$fault->key#$worst", "$fault->key#0"] as $degree) {
                    $with = $predictions->of($hypotheses[$degree], $test)[0];
                    $shows =
                        $shows ||
                        is_nan($with) !== is_nan($without) ||
                        is_infinite($with) !== is_infinite($without) ||
                        abs($with - $without) > 0.02 * abs($without) + 0.02;
                }
            }
            self::assertTrue($shows, "$fault->key changes no test at all");
        }
    }

    /** @param array<string, string> $parameters */
    #[DataProvider('variants')]
    public function testTheWordsOfATestAreItsHookUp(string $family, array $parameters): void
    {
        $circuit = self::circuit($family, $parameters);
        $words = new Words($circuit);
        $machine = OneMachine::asDeclared($circuit);
        $sound = HypothesisList::of($circuit, false)['none'];
        $called = [];
        foreach ($circuit->tests as $test) {
            if (!\in_array($test->probe->quantity, [Quantity::Volts, Quantity::Ohms, Quantity::Vacuum], true)) {
                continue;
            }
            $called[$test->probe->at] = $circuit->places[$test->probe->at];
            $called[$test->probe->against] = $circuit->places[$test->probe->against];
            if ($test->probe->quantity === Quantity::Volts && preg_match('/\blost\b/', $words->test($test)) === 1) {
                self::assertLessThan(
                    0.2 * abs($machine->value($circuit->supply)),
                    abs($machine->shows($test, $sound)),
                    "$test->key is said to be a loss",
                );
            }
        }
        self::assertSame($called, array_unique($called), 'no two places have the same words');
    }

    /** @param array<string, string> $parameters */
    #[DataProvider('variants')]
    public function testASetUpThatTakesSomethingOffSaysSo(string $family, array $parameters): void
    {
        $circuit = self::circuit($family, $parameters);
        self::assertNotSame([], $circuit->setUps);
        foreach ($circuit->setUps as $setUp) {
            $opened = array_filter(
                $setUp->adjustments,
                static fn(Adjustment $a): bool => str_ends_with($a->parameter, '.ohms') &&
                    $a->kind !== AdjustmentKind::AtMost &&
                    $a->value >= Element::OPEN_OHMS,
            );
            if ($opened !== []) {
                self::assertMatchesRegularExpression(
                    '/\b(off|out|unplugged|lifted|alone|pulled|selected)\b/i',
                    $setUp->text === null ? '' : $circuit->texts->get("setups.$setUp->text"),
                    "$setUp->key opens {$opened[array_key_first($opened)]->parameter}",
                );
            }
        }
    }
}
