<?php

declare(strict_types=1);

namespace Ispira\Core\Diagnosis\Trial;

use Ispira\Core\Device\Family;
use Ispira\Core\Device\Parameter;
use Ispira\Core\Diagnosis\Decision\DecisionSettings;
use Ispira\Core\Diagnosis\Decision\Engine;
use Ispira\Core\Diagnosis\Inference\Hypothesis;
use Ispira\Core\Diagnosis\Inference\HypothesisList;
use Ispira\Core\Diagnosis\Inference\MemoryStore;
use Ispira\Core\Kernel\RandomSource;

/**
 * Simulated jobs over the faults and variants of a family, the same ones for every policy.
 */
final readonly class Trial
{
    /** Units with a fault that are tried until somebody complains of one. */
    public const MOST_UNITS = 8;

    public function __construct(private Family $family, private int $seed, private float $slips = 0.02) {}

    /**
     * The ordinary circuit, and one more for each other choice of each parameter.
     *
     * @return array<string, array<string, string>> parameters by name of the variant
     */
    public function variants(): array
    {
        $variants = ['ordinary' => []];
        foreach ($this->family->parameters()->parameters as $parameter) {
            foreach ($this->otherChoices($parameter) as $choice) {
                $variants["$parameter->key $choice"] = [$parameter->key => $choice];
            }
        }

        return $variants;
    }

    /**
     * Runs jobs with each fault of a circuit hidden.
     *
     * @param array<string, mixed> $parameters
     * @param int                  $runs       jobs a fault
     * @param string|null          $only       group of faults to hide; all when null
     *
     * @return iterable<array{group: 'lasting'|'intermittent'|'pair', fault: string, outcome: Outcome}>
     */
    public function run(array $parameters, Policy $policy, int $runs, ?string $only = null): iterable
    {
        $circuit = $this->family->circuit($this->family->parameters()->read($parameters));
        $engine = new Engine(new MemoryStore());
        // By name, so that other words of the same circuit give the same jobs.
        $named = $this->family->key() . '/' . json_encode($parameters);
        foreach (HypothesisList::byFault(HypothesisList::of($circuit, false)) as $fault => $degrees) {
            $group = self::group($degrees[0]);
            for ($run = 0; $run < ($only === null || $only === $group ? $runs : 0); ++$run) {
                $hidden = $degrees[$run % \count($degrees)];
                for ($try = 0; $try < self::MOST_UNITS; ++$try) {
                    $seed = crc32("$this->seed/$named/$fault/$run/$try");
                    $unit = new SimulatedUnit($circuit, $hidden, new RandomSource($seed), $this->slips);
                    $outcome = (new TrialJob(
                        $circuit,
                        $unit,
                        $engine,
                        $policy,
                        new RandomSource($seed + 1),
                        new DecisionSettings(),
                        $hidden->comesAndGoes,
                    ))->run();
                    if ($outcome !== null) {
                        yield ['group' => $group, 'fault' => $fault, 'outcome' => $outcome];
                        break;
                    }
                }
            }
        }
    }

    /** @return 'lasting'|'intermittent'|'pair' */
    private static function group(Hypothesis $hypothesis): string
    {
        return $hypothesis->comesAndGoes ? 'intermittent' : (\count($hypothesis->faults) > 1 ? 'pair' : 'lasting');
    }

    /** @return list<string> */
    private function otherChoices(Parameter $parameter): array
    {
        return array_values(
            array_filter(
                $parameter->naming ? [] : $parameter->choices,
                static fn(string $choice): bool => $choice !== $parameter->default,
            ),
        );
    }
}
