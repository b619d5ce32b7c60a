<?php

declare(strict_types=1);

namespace Tests\Core\Repair;

use Ispira\Core\Device\FamilyRegistry;
use Ispira\Core\Device\Repairable;
use Ispira\Core\Diagnosis\Decision\DecisionSettings;
use Ispira\Core\Diagnosis\Decision\Engine;
use Ispira\Core\Diagnosis\Inference\CaseFile;
use Ispira\Core\Diagnosis\Inference\HypothesisList;
use Ispira\Core\Diagnosis\Inference\MemoryStore;
use Ispira\Core\Diagnosis\Trial\SimulatedUnit;
use Ispira\Core\Kernel\RandomSource;
use Ispira\Core\Reading\Reading;
use Ispira\Core\Repair\Proof\NewPartTests;
use Ispira\Core\Repair\Proof\ProofChecks;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class NewPartTestsTest extends TestCase
{
    /** @return iterable<string, array{0: string, 1: string, 2?: array<string, string>}> */
    public static function faults(): iterable
    {
        yield 'open pack' => ['stepped-blower', 'common-open#0'];
        yield 'seized motor' => ['stepped-blower', 'motor-open#0'];
        yield 'shorted module' => ['electronic-blower', 'stage-shorted#0'];
        yield 'open fan' => ['radiator-fan', 'fan-open-a#0'];
        yield 'weak capacitor' => ['tapped-blower', 'capacitor-open#0', ['capacitor' => '10']];
        yield 'dead module' => ['ecm-blower', 'inrush-open#0'];
        yield 'driver' => ['five-wire-fan', 'driver-shorted#0'];
        yield 'open contactor coil' => ['control-output', 'coil-open#0'];
    }

    /**
     * A new part that has the fault of the old one is caught by one of them; a sound one passes most.
     *
     * @param array<string, string> $parameters
     */
    #[DataProvider('faults')]
    public function testABadNewPartIsCaughtBeforeItGoesIn(string $key, string $fault, array $parameters = []): void
    {
        $family = FamilyRegistry::shipped()->get($key);
        self::assertInstanceOf(Repairable::class, $family);
        $circuit = $family->circuit($family->parameters()->read($parameters));
        $diagnosis = (new Engine(new MemoryStore()))->diagnose(
            $circuit,
            new CaseFile([], [], false),
            new DecisionSettings(),
        );
        $hypotheses = HypothesisList::of($circuit, false);
        $tests = (new NewPartTests($circuit, $diagnosis->evidence))->of(
            new CaseFile([], [], false),
            $hypotheses[$fault],
        );
        self::assertNotEmpty($tests);
        self::assertLessThanOrEqual(4, \count($tests));
        $checks = new ProofChecks($circuit, $family->repairSheet(), $diagnosis->evidence);
        $caught = $passed = 0;
        foreach ($tests as $test) {
            for ($seed = 1; $seed <= 5; ++$seed) {
                $caught += $checks->isRight(
                    $test,
                    (new SimulatedUnit($circuit, $hypotheses[$fault], new RandomSource($seed), 0.0))->read(
                        'r',
                        $test,
                        0,
                    ),
                )
                    ? 0
                    : 1;
                $passed += $checks->isRight(
                    $test,
                    (new SimulatedUnit(
                        $circuit,
                        $hypotheses[HypothesisList::NOTHING_WRONG],
                        new RandomSource($seed),
                        0.0,
                    ))->read('r', $test, 0),
                )
                    ? 1
                    : 0;
            }
        }
        self::assertGreaterThanOrEqual(4, $caught, 'In four of five draws at least one of them tells.');
        self::assertGreaterThanOrEqual(0.8 * 5 * \count($tests), $passed);
    }

    public function testWhatWasReadInTheJobComesFirst(): void
    {
        $family = FamilyRegistry::shipped()->get('stepped-blower');
        $circuit = $family->circuit($family->parameters()->read([]));
        $case = new CaseFile([new Reading('r', 'pack-ohms-1', null)], [], false);
        $diagnosis = (new Engine(new MemoryStore()))->diagnose($circuit, $case, new DecisionSettings());
        $tests = (new NewPartTests($circuit, $diagnosis->evidence))->of(
            $case,
            HypothesisList::of($circuit, false)['common-open#0'],
        );
        self::assertSame('pack-ohms-1', $tests[0]->key);
    }

    /** The pulses of the motor say nothing of a new board. */
    public function testAPartIsTestedByWhatIsItsOwn(): void
    {
        $family = FamilyRegistry::shipped()->get('five-wire-fan');
        $circuit = $family->circuit($family->parameters()->read([]));
        $case = new CaseFile([], [], false);
        $diagnosis = (new Engine(new MemoryStore()))->diagnose($circuit, $case, new DecisionSettings());
        foreach (HypothesisList::of($circuit, false) as $hypothesis) {
            if ($hypothesis->parts === []) {
                continue;
            }
            foreach ((new NewPartTests($circuit, $diagnosis->evidence))->of($case, $hypothesis) as $test) {
                $own = array_filter(
                    $hypothesis->parts,
                    static fn(string $part): bool => $circuit->touches($test, $part),
                );
                self::assertNotSame([], $own, "$hypothesis->key: $test->key");
                if ($hypothesis->parts === ['board']) {
                    self::assertStringNotContainsString('hertz', $test->key);
                }
            }
        }
    }
}
