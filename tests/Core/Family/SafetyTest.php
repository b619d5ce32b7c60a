<?php

declare(strict_types=1);

namespace Tests\Core\Family;

use Ispira\Core\Device\CircuitModel;
use Ispira\Core\Device\Contact;
use Ispira\Core\Device\FamilyRegistry;
use Ispira\Core\Device\Hazard;
use Ispira\Core\Device\PositionKind;
use Ispira\Core\Device\Probe;
use Ispira\Core\Device\Quantity;
use Ispira\Core\Device\SetUp;
use Ispira\Core\Device\Test;
use Ispira\Core\Device\UnsafeTest;
use Ispira\Core\Diagnosis\Inference\HypothesisList;
use Ispira\Core\Diagnosis\Inference\OneMachine;
use Ispira\Core\Diagnosis\Presentation\Words;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\DataProviderExternal;
use PHPUnit\Framework\TestCase;
use Tests\Core\Families;

/**
 * Nobody's hand is sent to what is powered or moves, and words, state and circuit agree about it.
 */
final class SafetyTest extends TestCase
{
    /** Words of a person who reaches in, and those of one who does not though they sound like it. */
    private const REACHES_IN =
        '/\b(by hand|turn the|hold the|feel the|push the|pull and push|unplugged .* is turned|' .
        'wheel off|gaps|take the|suck|brush a|look into the .*plug|look at both halves|press the limit)/i';
    private const NOT_REACHING = '/\b(stick|hand pump|straight from the battery|smoke pencil)\b/i';

    /** @param array<string, string> $parameters */
    private static function circuit(string $family, array $parameters): CircuitModel
    {
        $found = FamilyRegistry::shipped()->get($family);

        return $found->circuit($found->parameters()->read($parameters));
    }

    /** @param array<string, string> $parameters */
    #[DataProviderExternal(Families::class, 'variants')]
    public function testNoFaultPowersOrMovesWhatIsIsolated(string $family, array $parameters): void
    {
        $circuit = self::circuit($family, $parameters);
        $machine = OneMachine::asDeclared($circuit);
        $isolated = array_filter($circuit->setUps, static fn(SetUp $s): bool => $s->isolated && $s->fedFrom === []);
        self::assertNotSame([], $isolated, 'there is a set-up for hands');
        foreach ($isolated as $setUp) {
            foreach (HypothesisList::of($circuit, false) as $hypothesis) {
                // A contactor whose armature is stuck stays pulled in without power: it does not move either.
                if (!str_starts_with($hypothesis->key, 'contactor-stuck')) {
                    self::assertEqualsWithDelta(
                        0.0,
                        $machine->shows($circuit->movingTest($setUp->key), $hypothesis),
                        1e-6,
                        "$setUp->key, $hypothesis->key: it moves",
                    );
                }
                foreach ($circuit->netlist->nodes as $node) {
                    $volts = new Test('volts', '', $setUp->key, Probe::volts((string) $node, '0'), 1.0);
                    self::assertEqualsWithDelta(
                        0.0,
                        $machine->shows($volts, $hypothesis),
                        1e-6,
                        "$setUp->key, $hypothesis->key: $node is live",
                    );
                }
            }
        }
    }

    /** @param array<string, string> $parameters */
    #[DataProviderExternal(Families::class, 'variants')]
    public function testWhatIsSaidToStandStillDoes(string $family, array $parameters): void
    {
        $circuit = self::circuit($family, $parameters);
        $machine = OneMachine::asDeclared($circuit);
        $still = array_filter($circuit->setUps, static fn(SetUp $s): bool => $s->still);
        self::assertGreaterThanOrEqual(0, \count($still));
        foreach ($still as $setUp) {
            foreach (HypothesisList::of($circuit, false) as $hypothesis) {
                self::assertEqualsWithDelta(
                    0.0,
                    $machine->shows($circuit->movingTest($setUp->key), $hypothesis),
                    1e-3,
                    "$setUp->key, $hypothesis->key",
                );
            }
        }
    }

    /** @param array<string, string> $parameters */
    #[DataProviderExternal(Families::class, 'variants')]
    public function testWhoReachesInFindsItDead(string $family, array $parameters): void
    {
        $circuit = self::circuit($family, $parameters);
        $words = new Words($circuit);
        $hands = 0;
        foreach ($circuit->tests as $test) {
            $setUp = $circuit->setUps[$test->setUp];
            $said = $words->test($test) . '. ' . $words->setUp($test);
            if (preg_match(self::REACHES_IN, $said) === 1 && preg_match(self::NOT_REACHING, $said) !== 1) {
                self::assertTrue($setUp->isolated, "$test->key: \"$said\" is done by hand on what is powered");
            }
            if ($test->contact === Contact::Hands) {
                ++$hands;
                self::assertTrue($setUp->isolated, $test->key);
            }
        }
        self::assertGreaterThan(0, $hands, 'something is looked at by hand');
    }

    /** @param array<string, string> $parameters */
    #[DataProviderExternal(Families::class, 'variants')]
    public function testEveryCautionAgreesWithTheStateOfItsSetUp(string $family, array $parameters): void
    {
        $circuit = self::circuit($family, $parameters);
        $words = new Words($circuit);
        $mains = \in_array(Hazard::Mains, $circuit->safety->hazards, true);
        foreach ($circuit->tests as $test) {
            $setUp = $circuit->setUps[$test->setUp];
            $hazards = $circuit->safety->hazards($setUp);
            $said = implode(' ', $words->cautions($test));
            if ($setUp->isolated) {
                self::assertNotSame('', $said, "$test->key says how it is made dead");
                self::assertDoesNotMatchRegularExpression(
                    '/during this test|line voltage (is|stands)|with vm present|the engine runs/i',
                    $said,
                    "$test->key is done dead",
                );
                if ($mains) {
                    $all = $said . ' ' . $words->setUp($test);
                    self::assertMatchesRegularExpression('/lock/i', $all, "$test->key: locked off");
                    self::assertMatchesRegularExpression('/prove|proven|measure/i', $all, "$test->key: proven dead");
                }
                continue;
            }
            self::assertDoesNotMatchRegularExpression(
                '/fuse out before|fuse before a hand|lock (it )?off|power off, wait|engine off and/i',
                $said,
                "$test->key is done with power",
            );
            if ($circuit->kindIn($test) === PositionKind::Runs && !\in_array(Hazard::Hot, $hazards, true)) {
                self::assertDoesNotMatchRegularExpression('/let it cool/i', $said, "$test->key runs");
            }
            if ($mains && $test->contact !== Contact::Eyes) {
                self::assertMatchesRegularExpression('/rated probes|bench supply/i', $said, "$test->key: rated probes");
                self::assertMatchesRegularExpression('/licen[cs]ed|qualified/i', $said, "$test->key: who may do it");
            }
            if ($test->contact === Contact::Stick) {
                self::assertMatchesRegularExpression('/insulated stick/i', $said, $test->key);
            }
            if (\in_array(Hazard::Moving, $hazards, true) && $test->access !== [] && $family !== 'air-door') {
                self::assertMatchesRegularExpression(
                    '/hands|fingers|never turn the wheel/i',
                    $said,
                    "$test->key: what moves",
                );
            }
        }
    }

    /** @param array<string, string> $parameters */
    #[DataProviderExternal(Families::class, 'variants')]
    public function testAnOhmmeterMeetsNoVoltage(string $family, array $parameters): void
    {
        $circuit = self::circuit($family, $parameters);
        $machine = OneMachine::asDeclared($circuit);
        $sound = HypothesisList::of($circuit, false)[HypothesisList::NOTHING_WRONG];
        $measured = 0;
        foreach ($circuit->tests as $test) {
            if ($test->probe->quantity !== Quantity::Ohms) {
                continue;
            }
            ++$measured;
            $volts = new Test('volts', '', $test->setUp, Probe::volts($test->probe->at, $test->probe->against), 1.0);
            self::assertEqualsWithDelta(0.0, $machine->shows($volts, $sound), 1e-3, $test->key);
        }
        self::assertGreaterThanOrEqual($family === 'air-door' ? 0 : 1, $measured);
    }

    /** @return iterable<string, array{0: string, 1: Contact}> */
    public static function refused(): iterable
    {
        yield 'hands where it may start' => ['off', Contact::Hands];
        yield 'hands where it runs' => ['cool', Contact::Hands];
        yield 'bare hands on wires with mains' => ['cool', Contact::Wires];
    }

    #[DataProvider('refused')]
    public function testACircuitThatWouldHurtSomebodyIsNotBuilt(string $setUp, Contact $contact): void
    {
        $circuit = self::circuit('tapped-blower', []);
        $this->expectException(UnsafeTest::class);
        $this->expectExceptionMessage("in the set-up \"$setUp\"");
        $circuit->with(
            ['unsafe'],
            tests: [
                ...array_values($circuit->tests),
                new Test('unsafe', 'spin', $setUp, Probe::observation('spin'), 1.0, contact: $contact),
            ],
        );
    }

    public function testAnOhmmeterOnMainsIsNotBuilt(): void
    {
        $circuit = self::circuit('tapped-blower', []);
        $this->expectException(UnsafeTest::class);
        $circuit->with(
            ['unsafe'],
            tests: [
                ...array_values($circuit->tests),
                new Test('unsafe', 'case-ohms', 'off', Probe::ohms('common', 'case'), 1.0),
            ],
        );
    }
}
