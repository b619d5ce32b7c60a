<?php

declare(strict_types=1);

namespace Tests\Core\Diagnosis;

use Ispira\Core\Device\FamilyRegistry;
use Ispira\Core\Diagnosis\Trial\ForeignWorld;
use Ispira\Core\Diagnosis\Trial\SampledReference;
use Ispira\Core\Diagnosis\Trial\Trial;
use Ispira\Core\Kernel\RandomSource;
use PHPUnit\Framework\Attributes\DataProviderExternal;
use PHPUnit\Framework\TestCase;
use Tests\Core\Families;

/**
 * The table of the foreign world against the circuits that it is drawn for.
 */
final class ForeignWorldTest extends TestCase
{
    public function testItsTableNamesOnlyWhatSomeCircuitHas(): void
    {
        $table = json_decode(
            (string) file_get_contents(__DIR__ . '/../../../core/Diagnosis/Trial/foreign-world.json'),
            true,
        );
        self::assertIsArray($table);
        $everywhere = [];
        foreach (FamilyRegistry::shipped()->all() as $key => $family) {
            $names = [];
            foreach ((new Trial($family, 1))->variants() as $parameters) {
                foreach ($family->circuit($family->parameters()->read($parameters))->unknowns as $unknown) {
                    $names[$unknown->name] = $everywhere[$unknown->name] = true;
                }
            }
            self::assertSame([], array_diff_key($table[$key] ?? [], $names), $key);
        }
        self::assertSame([], array_diff_key($table['any'], $everywhere));
        foreach (array_diff_key($table, ['about' => true]) as $family => $values) {
            foreach ($values as $name => $ranges) {
                self::assertEqualsWithDelta(1.0, array_sum(array_column($ranges, 0)), 1e-9, "$family $name");
                foreach ($ranges as [, $low, $high]) {
                    self::assertTrue($low > 0.0 && $low < $high, "$family $name");
                }
            }
        }
    }

    /** @param array<string, string> $parameters */
    #[DataProviderExternal(Families::class, 'variants')]
    public function testEveryMachineHasAllItsValuesOnTheScaleOfItsCircuit(string $family, array $parameters): void
    {
        $found = FamilyRegistry::shipped()->get($family);
        $circuit = $found->circuit($found->parameters()->read($parameters));
        $one = ForeignWorld::machine($circuit, new RandomSource(5));
        self::assertSame($one, ForeignWorld::machine($circuit, new RandomSource(5)));
        self::assertNotSame($one, ForeignWorld::machine($circuit, new RandomSource(6)));
        foreach ($circuit->unknowns as $unknown) {
            $logs = [];
            for ($seed = 0; $seed < 30; ++$seed) {
                $logs[] = log(ForeignWorld::machine($circuit, new RandomSource($seed))[$unknown->name]);
            }
            sort($logs);
            $spread = abs(log($unknown->at(1.96) / $unknown->at(-1.96)));
            self::assertLessThan(
                0.4 * $spread + 0.25,
                abs(log($unknown->at(0.0)) - $logs[15]),
                "$family: the middle of $unknown->name",
            );
        }
    }

    public function testPlainSamplingAgreesWithTheEngineWhereAMapSaysItAll(): void
    {
        $bench = new Bench([], false, 'radiator-fan');
        $map = array_map(
            static fn(int|string $p): string => \in_array((string) $p, ['off', 'key-off'], true) ? 'right' : 'dead',
            array_keys($bench->circuit->positions),
        );
        $case = Bench::case(array_combine(array_keys($bench->circuit->positions), $map));
        $found = $bench->diagnose($case);
        $odds = (new SampledReference($bench->circuit, new RandomSource(3), 60, 1.0))->odds(
            $bench->hypotheses,
            $found->evidence->belief->byHypothesis(),
            0.01,
            $case->readings,
        );
        self::assertEqualsWithDelta(1.0, array_sum($odds), 1e-6);
        foreach ($found->suspects as $suspect) {
            self::assertEqualsWithDelta($suspect->probability, $odds[$suspect->remedy], 0.05, $suspect->remedy);
        }
    }
}
