<?php

declare(strict_types=1);

namespace Tests\Core\Diagnosis;

use Ispira\Core\Device\FamilyRegistry;
use Ispira\Core\Diagnosis\Decision\DecisionSettings;
use Ispira\Core\Diagnosis\Decision\Engine;
use Ispira\Core\Diagnosis\Decision\Suspect;
use Ispira\Core\Diagnosis\Inference\CaseFile;
use Ispira\Core\Diagnosis\Inference\LoosePart;
use Ispira\Core\Diagnosis\Inference\MemoryStore;
use Ispira\Core\Diagnosis\Trial\SimulatedUnit;
use Ispira\Core\Kernel\RandomSource;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class LoosePartTest extends TestCase
{
    /** @return iterable<string, array{0: string, 1: string}> */
    public static function parts(): iterable
    {
        yield 'blower motor' => ['stepped-blower', 'motor'];
        yield 'resistor pack' => ['stepped-blower', 'pack'];
        yield 'run capacitor' => ['tapped-blower', 'capacitor'];
        yield 'five-wire motor' => ['five-wire-fan', 'motor'];
        yield 'wiper motor' => ['wiper', 'motor'];
        yield 'door actuator' => ['air-door', 'actuator'];
        yield 'ECM module' => ['ecm-blower', 'module'];
    }

    /** A good part comes out as good in nearly all cases, and a lastingly bad one hardly ever. */
    #[DataProvider('parts')]
    public function testAGoodPartIsToldFromABadOne(string $family, string $part): void
    {
        $declared = FamilyRegistry::shipped()->get($family);
        $circuit = LoosePart::of($declared->circuit($declared->parameters()->read([])), $part);
        $engine = new Engine(new MemoryStore());
        $first = $engine->diagnose($circuit, new CaseFile([], [], false), new DecisionSettings());
        self::assertEqualsWithDelta(0.5, self::good($first->suspects), 0.2, 'It came loose, not with a complaint.');
        $right = $all = 0;
        foreach ($first->evidence->hypotheses as $key => $hypothesis) {
            // What is only slightly worn looks like another motor of the same make: nobody can tell it loose.
            $degrees = \count(($hypothesis->faults[0] ?? null)->severities ?? []);
            $slight = $degrees > 2 && (int) substr((string) strrchr($key, '#'), 1) < intdiv($degrees, 2);
            if ($hypothesis->comesAndGoes || $slight || $key === 'something-else') {
                continue;
            }
            $unit = new SimulatedUnit($circuit, $hypothesis, new RandomSource(7 + $all), 0.0);
            $readings = [];
            for ($n = 0; $n < 8; ++$n) {
                $diagnosis = $engine->diagnose($circuit, new CaseFile($readings, [], false), new DecisionSettings());
                if ($diagnosis->next === null) {
                    break;
                }
                $readings[] = $unit->read("r$n", $diagnosis->next->test, 0);
            }
            ++$all;
            $right +=
                self::good(
                    $engine->diagnose($circuit, new CaseFile($readings, [], false), new DecisionSettings())->suspects,
                ) >
                    0.5 ===
                ($key === 'none')
                    ? 1
                    : 0;
        }
        self::assertGreaterThanOrEqual(0.75 * $all, $right, "$right of $all");
    }

    /** @return iterable<string, array{0: string, 1: string, 2: string}> motor, what is so, what leads */
    public static function benches(): iterable
    {
        foreach (['compound', 'three-brush'] as $motor) {
            yield "$motor good" => [$motor, 'none', 'none'];
            yield "$motor clip off" => [$motor, 'clip-off#0', 'hook-up'];
            yield "$motor jumper without current" => [$motor, 'jumper-dead#0', 'hook-up'];
            yield "$motor jumpers swapped" => [$motor, 'jumpers-swapped#0', 'hook-up'];
            yield "$motor park contact open" => [$motor, 'park-open#0', 'motor'];
        }
    }

    /** A wrong hook-up is told from a bad motor, and the motor from the hook-up. */
    #[DataProvider('benches')]
    public function testTheHookUpItselfIsInQuestion(string $motor, string $hidden, string $leads): void
    {
        $declared = FamilyRegistry::shipped()->get('wiper');
        $circuit = LoosePart::of($declared->circuit($declared->parameters()->read(['motor' => $motor])), 'motor');
        $engine = new Engine(new MemoryStore());
        $first = $engine->diagnose($circuit, new CaseFile([], [], false), new DecisionSettings());
        foreach ([3, 8] as $seed) {
            $unit = new SimulatedUnit($circuit, $first->evidence->hypotheses[$hidden], new RandomSource($seed), 0.0);
            $readings = [];
            do {
                $now = $engine->diagnose($circuit, new CaseFile($readings, [], false), new DecisionSettings());
                if ($now->next !== null) {
                    $readings[] = $unit->read('r' . \count($readings), $now->next->test, 0);
                }
            } while ($now->next !== null && \count($readings) < 12);
            self::assertSame($leads, $now->suspects[0]->remedy, "seed $seed");
            self::assertNotNull($now->verdict, "seed $seed");
        }
    }

    /** @param list<Suspect> $suspects */
    private static function good(array $suspects): float
    {
        foreach ($suspects as $suspect) {
            if ($suspect->remedy === 'none') {
                return $suspect->probability;
            }
        }

        return 0.0;
    }
}
