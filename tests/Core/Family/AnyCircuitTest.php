<?php

declare(strict_types=1);

namespace Tests\Core\Family;

use Ispira\Core\Device\CircuitModel;
use Ispira\Core\Device\FamilyRegistry;
use Ispira\Core\Device\ParameterError;
use Ispira\Core\Diagnosis\Decision\DecisionSettings;
use Ispira\Core\Diagnosis\Decision\Engine;
use Ispira\Core\Diagnosis\Decision\Suspect;
use Ispira\Core\Diagnosis\Inference\CaseFile;
use Ispira\Core\Diagnosis\Inference\Hypothesis;
use Ispira\Core\Diagnosis\Inference\HypothesisList;
use Ispira\Core\Diagnosis\Inference\MemoryStore;
use Ispira\Core\Diagnosis\Inference\Simulator;
use Ispira\Core\Diagnosis\Presentation\DiagnosisFormat;
use Ispira\Core\Diagnosis\Trial\SimulatedUnit;
use Ispira\Core\Kernel\RandomSource;
use PHPUnit\Framework\Attributes\DataProviderExternal;
use PHPUnit\Framework\TestCase;
use Tests\Core\Families;
use Tests\Core\RandomFields;

/**
 * Whatever is filled in on the sheet of a family: it is refused at a field, or it is a circuit that runs when nothing
 * is
 * wrong and can be diagnosed when something is.
 */
final class AnyCircuitTest extends TestCase
{
    private const TIMES = 8;

    #[DataProviderExternal(Families::class, 'all')]
    public function testEverySheetGetsACircuitOrAReason(string $key): void
    {
        mt_srand(67);
        $family = FamilyRegistry::shipped()->get($key);
        $built = 0;
        for ($time = 0; $time < self::TIMES; ++$time) {
            $raw = RandomFields::of($family->parameters());
            $sheet = json_encode($raw, \JSON_THROW_ON_ERROR);
            try {
                $values = $family->parameters()->read($raw);
                $circuit = $family->circuit($values);
            } catch (ParameterError $error) {
                foreach (array_keys($error->messages) as $field) {
                    self::assertArrayHasKey($field, $family->parameters()->parameters, $sheet);
                }
                continue;
            }
            ++$built;
            self::assertSame($circuit->hash, $family->circuit($values)->hash, 'the same sheet is the same circuit');
            $this->runs($circuit, $sheet);
            $this->isDiagnosed($circuit, $time, $sheet);
        }
        self::assertGreaterThan(2, $built);
    }

    private function runs(CircuitModel $circuit, string $sheet): void
    {
        $simulator = new Simulator($circuit);
        $sound = HypothesisList::of($circuit, false)[HypothesisList::NOTHING_WRONG];
        $running = 0;
        foreach (array_keys($circuit->positions) as $position) {
            $test = $circuit->speedTest((string) $position);
            $speed = $simulator->solver
                ->solve(
                    $simulator->valuesFor($simulator->solver->nominalValues(), $circuit->setUps[$test->setUp], $sound),
                )
                ->speed($test->probe->at);
            self::assertFalse(is_nan($speed) || is_infinite($speed), "$sheet: position $position");
            $running += abs($speed) > 1e-3 ? 1 : 0;
        }
        self::assertGreaterThan(0, $running, $sheet);
    }

    private function isDiagnosed(CircuitModel $circuit, int $seed, string $sheet): void
    {
        $faulty = array_values(
            array_filter(HypothesisList::of($circuit, false), static fn(Hypothesis $h): bool => $h->parts !== []),
        );
        $hidden = $faulty[(7 * $seed) % \count($faulty)];
        $unit = new SimulatedUnit($circuit, $hidden, new RandomSource($seed), 0.02);
        $readings = $unit->map();
        $engine = new Engine(new MemoryStore());
        for ($step = 0; $step < 3; ++$step) {
            $case = new CaseFile($readings);
            $diagnosis = $engine->diagnose($circuit, $case, new DecisionSettings());
            self::assertEqualsWithDelta(
                1.0,
                array_sum(array_map(static fn(Suspect $s): float => $s->probability, $diagnosis->suspects)),
                1e-9,
                $sheet,
            );
            self::assertTrue(
                $diagnosis->next !== null ||
                    $diagnosis->verdict !== null ||
                    $diagnosis->misfit !== null ||
                    $diagnosis->suspects[0]->probability >= Engine::SURE,
                "$sheet, $hidden->key: what now?",
            );
            self::assertNotSame([], (new DiagnosisFormat($circuit, $case, $diagnosis))->shown()->suspects);
            if ($diagnosis->next === null) {
                break;
            }
            $readings[] = $unit->read("step-$step", $diagnosis->next->test, 0);
        }
    }
}
