<?php

declare(strict_types=1);

namespace Tests\Core\Diagnosis;

use Ispira\Core\Device\FamilyRegistry;
use Ispira\Core\Diagnosis\Decision\DecisionSettings;
use Ispira\Core\Diagnosis\Decision\Engine;
use Ispira\Core\Diagnosis\Trial\Trial;
use Ispira\Core\Reading\Reading;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/**
 * What has its value on its label is measured before it is named.
 */
final class OwnTestTest extends TestCase
{
    private const SLOW = ['off' => 'right', 'heat' => 'slow', 'cool' => 'slow'];
    private const SPEAKS = ['capacitor-volts' => 250.0, 'spin' => 'free', 'door-drop' => 0.1, 'capacitor-amps' => 0.2];

    public function testThePartsOfEveryCircuitAreMeasuredByTestsThatItHas(): void
    {
        $measured = 0;
        foreach (FamilyRegistry::shipped()->all() as $family) {
            foreach ((new Trial($family, 1))->variants() as $variant => $values) {
                $circuit = $family->circuit($family->parameters()->read($values));
                foreach ($circuit->parts as $part) {
                    if ($part->measuredBy === null) {
                        continue;
                    }
                    ++$measured;
                    self::assertArrayHasKey($part->measuredBy, $circuit->tests, "{$family->key()} $variant");
                    self::assertTrue(
                        $circuit->touches($circuit->tests[$part->measuredBy], $part->key),
                        "{$family->key()} $variant: $part->key",
                    );
                }
            }
        }
        self::assertGreaterThan(0, $measured);
    }

    /** @return iterable<string, array{0: array<string, string>, 1: string}> */
    public static function capacitors(): iterable
    {
        yield 'its rating was not typed' => [[], 'capacitor-label'];
        yield 'its rating was typed' => [['capacitor' => '10'], 'microfarads'];
    }

    /** @param array<string, string> $machine */
    #[DataProvider('capacitors')]
    public function testNoCapacitorIsNamedBeforeItWasMeasuredByItself(array $machine, string $test): void
    {
        $bench = new Bench($machine, false, 'tapped-blower');
        $case = Bench::case(self::SLOW, self::SPEAKS);
        $diagnosis = $bench->diagnose($case);
        for ($tests = 0; $tests < 12 && $diagnosis->next !== null; ++$tests) {
            self::assertNull($diagnosis->verdict);
            $next = $diagnosis->next->test->key;
            if ($next === $test) {
                return;
            }
            // Whatever else is asked for, or asked again, shows what a weak capacitor would show.
            $shown = new Reading("asked $tests", $next, self::asWithAWeakOne($bench, $next), true);
            $case = $case->withReadings([...$case->readings, $shown]);
            $diagnosis = $bench->diagnose($case);
        }
        self::fail('named without ' . $test);
    }

    private static function asWithAWeakOne(Bench $bench, string $test): float|string
    {
        $of = $bench->circuit->tests[$test];
        if ($of->probe->quantity->isNumber()) {
            return $bench->shows('capacitor-low#0', $test);
        }
        $usual = $bench->circuit->observations[$of->probe->at]->usual ?? ['slow' => 1.0];

        return (string) array_key_first($usual);
    }

    public function testWithoutTheMeterItIsNotAskedFor(): void
    {
        $bench = new Bench([], false, 'tapped-blower');
        $diagnosis = (new Engine())->diagnose(
            $bench->circuit,
            Bench::case(self::SLOW, self::SPEAKS),
            new DecisionSettings(missingTools: ['capacitance']),
        );
        self::assertNotSame('capacitor-label', $diagnosis->next?->test->key);
        self::assertContains('capacitor-label', array_map(static fn($test): string => $test->key, $diagnosis->beyond));
    }
}
