<?php

declare(strict_types=1);

namespace Tests\Core\Repair;

use Ispira\Core\Device\CircuitModel;
use Ispira\Core\Device\FamilyRegistry;
use Ispira\Core\Device\Repairable;
use Ispira\Core\Diagnosis\Decision\DecisionSettings;
use Ispira\Core\Diagnosis\Decision\Engine;
use Ispira\Core\Diagnosis\Inference\CaseFile;
use Ispira\Core\Diagnosis\Inference\HypothesisList;
use Ispira\Core\Diagnosis\Inference\NoStore;
use Ispira\Core\Diagnosis\Trial\SimulatedUnit;
use Ispira\Core\Kernel\RandomSource;
use Ispira\Core\Reading\Reading;
use Ispira\Core\Repair\Proof\CheckFinding;
use Ispira\Core\Repair\Proof\ProofChecks;
use PHPUnit\Framework\Attributes\DataProviderExternal;
use PHPUnit\Framework\TestCase;
use Tests\Core\Families;

final class ProofChecksTest extends TestCase
{
    /**
     * @param array<string, mixed> $parameters
     * @param list<Reading>        $readings
     *
     * @return array{0: CircuitModel, 1: ProofChecks}
     */
    private static function checks(string $key, array $parameters = [], array $readings = []): array
    {
        $family = FamilyRegistry::shipped()->get($key);
        self::assertInstanceOf(Repairable::class, $family);
        $circuit = $family->circuit($family->parameters()->read($parameters));
        $evidence = (new Engine(new NoStore()))->weigh(
            $circuit,
            new CaseFile($readings, [], false),
            new DecisionSettings(),
        );

        return [$circuit, new ProofChecks($circuit, $family->repairSheet(), $evidence)];
    }

    /** What a sound unit reads is right, in nearly every check; each says in words what is. */
    #[DataProviderExternal(Families::class, 'all')]
    public function testASoundUnitPasses(string $key): void
    {
        [$circuit, $checks] = self::checks($key);
        self::assertNotEmpty($checks->tests());
        $sound = array_values(
            array_filter(
                HypothesisList::of($circuit, false),
                static fn($one): bool => $one->key === HypothesisList::NOTHING_WRONG,
            ),
        )[0];
        $right = $all = 0;
        for ($seed = 1; $seed <= 20; ++$seed) {
            $unit = new SimulatedUnit($circuit, $sound, new RandomSource($seed), 0.0);
            foreach ($checks->tests() as $test) {
                self::assertNotSame('', $checks->expected($test));
                ++$all;
                $right += $checks->isRight($test, $unit->read("r$seed", $test, 0)) ? 1 : 0;
            }
        }
        self::assertGreaterThanOrEqual(0.9 * $all, $right, "$right of $all");
    }

    /** What is right of one check does not hang on what was read in the others, nor in itself. */
    #[DataProviderExternal(Families::class, 'all')]
    public function testReadingsDoNotSpeakForThemselves(string $key): void
    {
        [$circuit, $empty] = self::checks($key);
        $sound = HypothesisList::of($circuit, false)[HypothesisList::NOTHING_WRONG];
        $unit = new SimulatedUnit($circuit, $sound, new RandomSource(7), 0.0);
        $numbers = array_filter(
            $empty->tests(),
            static fn($test): bool => $test->probe->quantity->isNumber() && ProofChecks::missing($test) === null,
        );
        $readings = [];
        foreach ($numbers as $test) {
            $readings[] = $unit->read("r$test->key", $test, 0);
        }
        [, $read] = self::checks($key, readings: $readings);
        foreach ($numbers as $test) {
            self::assertSame($empty->expected($test), $read->expected($test), $test->key);
        }
    }

    /** A number that is outside asks for another one; two of them are wrong, and a right one clears it. */
    #[DataProviderExternal(Families::class, 'all')]
    public function testANumberOutsideIsMeasuredAgain(string $key): void
    {
        [$circuit, $checks] = self::checks($key);
        $case = new CaseFile([], [], false);
        $sound = HypothesisList::of($circuit, false)[HypothesisList::NOTHING_WRONG];
        $unit = new SimulatedUnit($circuit, $sound, new RandomSource(7), 0.0);
        foreach ($checks->tests() as $test) {
            if (!$test->probe->quantity->isNumber() || ProofChecks::missing($test) !== null) {
                continue;
            }
            $right = $unit->read('right', $test, 0);
            $outside = static fn(string $id): Reading => new Reading(
                $id,
                $test->key,
                \is_float($right->value) ? 50.0 * $right->value + 500.0 : 0.001,
            );
            self::assertSame(CheckFinding::Again, $checks->finding($case, $test, $outside('one')), $test->key);
            $once = $case->with($outside('one'));
            self::assertSame(CheckFinding::Again, $checks->finding($once, $test, $outside('one')), 'the same one');
            self::assertSame(CheckFinding::Wrong, $checks->finding($once, $test, $outside('two')));
            self::assertSame(
                $checks->isRight($test, $right) ? CheckFinding::Right : CheckFinding::Wrong,
                $checks->finding($once, $test, $right),
            );
        }
        self::assertNotNull(CheckFinding::Wrong->said(true));
    }

    public function testADraggingMotorDoesNotPass(): void
    {
        [$circuit, $checks] = self::checks('stepped-blower', ['motorAmps' => 16.0]);
        $drags = array_values(
            array_filter(
                HypothesisList::of($circuit, false),
                static fn($one): bool => str_starts_with($one->key, 'motor-seized'),
            ),
        )[0];
        $current = array_values(
            array_filter($checks->tests(), static fn($test): bool => str_starts_with($test->key, 'current@')),
        )[0];
        self::assertSame('current@4', $current->key, 'In the last position, not with the plug off.');
        self::assertFalse(
            $checks->isRight(
                $current,
                (new SimulatedUnit($circuit, $drags, new RandomSource(3), 0.0))->read('r', $current, 0),
            ),
        );
    }
}
