<?php

declare(strict_types=1);

namespace Tests\Core\Diagnosis;

use Ispira\Core\Device\FamilyRegistry;
use Ispira\Core\Diagnosis\Decision\DecisionSettings;
use Ispira\Core\Diagnosis\Decision\Diagnosis;
use Ispira\Core\Diagnosis\Decision\Engine;
use Ispira\Core\Diagnosis\Decision\Terms;
use Ispira\Core\Diagnosis\Inference\CaseFile;
use Ispira\Core\Diagnosis\Inference\HypothesisList;
use Ispira\Core\Diagnosis\Inference\MemoryStore;
use Ispira\Core\Diagnosis\Trial\SimulatedUnit;
use Ispira\Core\Kernel\RandomSource;
use PHPUnit\Framework\Attributes\DataProviderExternal;
use PHPUnit\Framework\TestCase;
use Tests\Core\Families;

/**
 * A workshop in which nobody is paid, parts are given and nothing is said to take time: all of it may be set.
 */
final class FreeWorkTest extends TestCase
{
    #[DataProviderExternal(Families::class, 'all')]
    public function testADiagnosisSaysTheSameAndStillProposesATest(string $key): void
    {
        $family = FamilyRegistry::shipped()->get($key);
        $circuit = $family->circuit($family->parameters()->read([]));
        $unpaid = new DecisionSettings(
            labourPerHour: 0.0,
            comeBackHours: 0.0,
            prices: array_fill_keys(array_keys($circuit->parts), 0.0),
        );
        $free = new DecisionSettings(
            labourPerHour: 0.0,
            comeBackHours: 0.0,
            terms: new Terms(
                tests: array_fill_keys(array_map(static fn($test): string => $test->name(), $circuit->tests), 0.0),
                access: array_fill_keys(array_keys($circuit->accessMinutes), 0.0),
                fitting: array_fill_keys(array_keys($circuit->parts), 0.0),
                prices: array_fill_keys(array_keys($circuit->parts), 0.0),
            ),
        );
        $faulty = array_filter(
            HypothesisList::of($circuit, false),
            static fn($one): bool => \count($one->parts) === 1 && !$one->comesAndGoes,
        );
        $unit = new SimulatedUnit($circuit, array_values($faulty)[0], new RandomSource(5), 0.0);
        $map = [];
        foreach (array_keys($circuit->positions) as $position) {
            $map[] = $unit->read("m-$position", $circuit->speedTest((string) $position), 0);
        }
        $engine = new Engine(new MemoryStore());
        $case = new CaseFile($map, [], false);
        $paid = $engine->diagnose($circuit, $case, new DecisionSettings());
        foreach ([$unpaid, $free] as $settings) {
            $diagnosis = $engine->diagnose($circuit, $case, $settings);
            self::assertEquals(self::odds($paid), self::odds($diagnosis), 'Odds do not hang on money.');
            self::assertSame($paid->next === null, $diagnosis->next === null);
            foreach ([$diagnosis->next, ...$diagnosis->others] as $choice) {
                self::assertTrue($choice === null || is_finite($choice->saves + $choice->cost + $choice->telling()));
            }
        }
    }

    /** @return array<string, float> by remedy */
    private static function odds(Diagnosis $diagnosis): array
    {
        $odds = array_column($diagnosis->suspects, 'probability', 'remedy');
        ksort($odds);

        return $odds;
    }
}
