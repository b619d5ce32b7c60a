<?php

declare(strict_types=1);

namespace Ispira\Core\Diagnosis\Trial;

use Ispira\Core\Device\CircuitModel;
use Ispira\Core\Diagnosis\Decision\DecisionSettings;
use Ispira\Core\Diagnosis\Decision\Diagnosis;
use Ispira\Core\Diagnosis\Decision\Engine;
use Ispira\Core\Diagnosis\Inference\CaseFile;
use Ispira\Core\Diagnosis\Inference\Hypothesis;
use Ispira\Core\Diagnosis\Inference\HypothesisList;
use Ispira\Core\Diagnosis\Inference\MemoryStore;
use Ispira\Core\Kernel\RandomSource;

/**
 * Simulated units on which every test is done that a circuit has.
 *
 * A fault whose part does not lead even then has no test that tells it from another, or is weighed wrongly.
 */
final readonly class EverythingMeasured
{
    /** Units with a fault that are tried until somebody complains of one. */
    private const MOST_UNITS = 8;

    private Engine $engine;

    /** @var array<string, non-empty-list<Hypothesis>> lasting faults that stand alone, each in its degrees */
    public array $faults;

    /** @param string $name of the circuit, from which what is drawn comes */
    public function __construct(private CircuitModel $circuit, private string $name)
    {
        $this->engine = new Engine(new MemoryStore());
        $faults = [];
        foreach (HypothesisList::of($circuit, false) as $hypothesis) {
            if ($hypothesis->parts !== [] && !$hypothesis->comesAndGoes && \count($hypothesis->faults) === 1) {
                $faults[$hypothesis->faultKey()][] = $hypothesis;
            }
        }
        $this->faults = $faults;
    }

    /**
     * The remedies in question once everything is measured, of one unit with a fault.
     *
     * @param string $fault one of {@see $faults}
     * @param int    $run   which of its degrees, and which unit
     *
     * @return array{right: string, suspects: array<string, float>}|null what is right, and the probability by remedy, the
     *     likeliest first; null where nobody complains of such a unit
     */
    public function unit(string $fault, int $run): ?array
    {
        $degrees = $this->faults[$fault];
        for ($try = 0; $try < self::MOST_UNITS; ++$try) {
            $chance = new RandomSource(crc32("everything/$this->name/$fault/$run/$try"));
            $unit = new SimulatedUnit($this->circuit, $degrees[$run % \count($degrees)], $chance, 0.0);
            $case = $this->complained($unit);
            if ($case !== null) {
                return ['right' => $unit->remedy(), 'suspects' => self::byRemedy($this->diagnosed($unit, $case))];
            }
        }

        return null;
    }

    /** What is heard and seen first, or null where none of it comes of the fault. */
    private function complained(SimulatedUnit $unit): ?CaseFile
    {
        $readings = $unit->map();
        foreach ($this->circuit->tests as $test) {
            if ($test->asked) {
                $readings[] = $unit->read("asked-$test->key", $test, 0);
            }
        }
        $case = new CaseFile([], [], false);
        $noticed = false;
        foreach ($readings as $reading) {
            $case = $case->with($reading);
            $noticed = $noticed || $unit->isOfTheFault($this->circuit->tests[$reading->test], (string) $reading->value);
        }

        return $noticed ? $case : null;
    }

    private function diagnosed(SimulatedUnit $unit, CaseFile $case): Diagnosis
    {
        foreach ($this->circuit->tests as $test) {
            if ($test->offered && !$test->asked) {
                $case = $case->with($unit->read("test-$test->key", $test, 0));
            }
        }

        return $this->engine->diagnose($this->circuit, $case, new DecisionSettings());
    }

    /** @return array<string, float> */
    private static function byRemedy(Diagnosis $diagnosis): array
    {
        $odds = [];
        foreach ($diagnosis->suspects as $suspect) {
            $odds[$suspect->remedy] = $suspect->probability;
        }
        arsort($odds);

        return $odds;
    }
}
