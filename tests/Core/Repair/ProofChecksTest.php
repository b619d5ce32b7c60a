<?php

declare(strict_types=1);

namespace Tests\Core\Repair;

use Ispira\Core\Device\FamilyRegistry;
use Ispira\Core\Device\Repairable;
use Ispira\Core\Diagnosis\Decision\DecisionSettings;
use Ispira\Core\Diagnosis\Decision\Engine;
use Ispira\Core\Diagnosis\Inference\CaseFile;
use Ispira\Core\Diagnosis\Inference\HypothesisList;
use Ispira\Core\Diagnosis\Inference\NoStore;
use Ispira\Core\Diagnosis\Trial\SimulatedUnit;
use Ispira\Core\Kernel\RandomSource;
use Ispira\Core\Repair\Proof\ProofChecks;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class ProofChecksTest extends TestCase
{
    /** @return iterable<string, array{0: string}> */
    public static function families(): iterable
    {
        foreach (array_keys(FamilyRegistry::shipped()->all()) as $key) {
            yield $key => [$key];
        }
    }

    /** What a sound unit reads is right, in nearly every check; each says in words what is. */
    #[DataProvider('families')]
    public function testASoundUnitPasses(string $key): void
    {
        $family = FamilyRegistry::shipped()->get($key);
        self::assertInstanceOf(Repairable::class, $family);
        $circuit = $family->circuit($family->parameters()->read([]));
        $diagnosis = (new Engine(new NoStore()))->diagnose(
            $circuit,
            new CaseFile([], [], false),
            new DecisionSettings(),
        );
        $checks = new ProofChecks($circuit, $family->repairSheet(), $diagnosis->evidence);
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

    public function testADraggingMotorDoesNotPass(): void
    {
        $family = FamilyRegistry::shipped()->get('stepped-blower');
        self::assertInstanceOf(Repairable::class, $family);
        $circuit = $family->circuit($family->parameters()->read(['motorAmps' => 16.0]));
        $diagnosis = (new Engine(new NoStore()))->diagnose(
            $circuit,
            new CaseFile([], [], false),
            new DecisionSettings(),
        );
        $checks = new ProofChecks($circuit, $family->repairSheet(), $diagnosis->evidence);
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
