<?php

declare(strict_types=1);

namespace Ispira\Core\Diagnosis\Trial;

use Ispira\Core\Device\CircuitModel;
use Ispira\Core\Diagnosis\Decision\DecisionSettings;
use Ispira\Core\Diagnosis\Decision\Engine;
use Ispira\Core\Diagnosis\Inference\CaseFile;
use Ispira\Core\Diagnosis\Inference\Hypothesis;
use Ispira\Core\Diagnosis\Inference\HypothesisList;
use Ispira\Core\Diagnosis\Inference\MemoryStore;
use Ispira\Core\Kernel\RandomSource;
use Ispira\Core\Kernel\Ranking;
use Ispira\Core\Reading\Reading;

/**
 * Simulated units on which every test is done that a circuit has.
 *
 * A fault whose part does not lead even then has no test that tells it from another, or is weighed wrongly.
 */
final readonly class EverythingMeasured
{
    private Engine $engine;

    /** @var array<string, non-empty-list<Hypothesis>> lasting faults that stand alone, each in its degrees */
    public array $faults;

    /** @param string $name of the circuit, from which what is drawn comes */
    public function __construct(private CircuitModel $circuit, private string $name)
    {
        $this->engine = new Engine(new MemoryStore());
        $this->faults = HypothesisList::byFault(
            array_filter(
                HypothesisList::of($circuit, false),
                static fn(Hypothesis $one): bool => !$one->comesAndGoes && \count($one->faults) === 1,
            ),
        );
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
        for ($try = 0; $try < Trial::MOST_UNITS; ++$try) {
            $chance = new RandomSource(crc32("everything/$this->name/$fault/$run/$try"));
            $unit = new SimulatedUnit($this->circuit, $degrees[$run % \count($degrees)], $chance, 0.0);
            $complaint = $this->complaint($unit);
            if ($unit->isNoticed($complaint)) {
                return ['right' => $unit->remedy(), 'suspects' => $this->suspects($unit, $complaint)];
            }
        }

        return null;
    }

    /** @return list<Reading> what is heard and seen first */
    private function complaint(SimulatedUnit $unit): array
    {
        $readings = $unit->map();
        foreach ($this->circuit->tests as $test) {
            if ($test->asked) {
                $readings[] = $unit->read("asked-$test->key", $test, 0);
            }
        }

        return $readings;
    }

    /**
     * @param list<Reading> $readings of the complaint, to which all others are taken
     *
     * @return array<string, float>
     */
    private function suspects(SimulatedUnit $unit, array $readings): array
    {
        foreach ($this->circuit->tests as $test) {
            if ($test->offered && !$test->asked) {
                $readings[] = $unit->read("test-$test->key", $test, 0);
            }
        }
        $evidence = $this->engine->weigh($this->circuit, new CaseFile($readings), new DecisionSettings());
        $evidence->predictions->keep();

        return Ranking::largestFirst($evidence->byRemedy());
    }
}
