<?php

declare(strict_types=1);

namespace Ispira\Core\Diagnosis\Trial;

use Ispira\Core\Circuit\ElementType;
use Ispira\Core\Device\Adjustment;
use Ispira\Core\Device\CircuitModel;
use Ispira\Core\Device\Family;
use Ispira\Core\Diagnosis\Decision\DecisionSettings;
use Ispira\Core\Diagnosis\Decision\Diagnosis;
use Ispira\Core\Diagnosis\Decision\Engine;
use Ispira\Core\Diagnosis\Inference\CaseFile;
use Ispira\Core\Diagnosis\Inference\Hypothesis;
use Ispira\Core\Diagnosis\Inference\HypothesisList;
use Ispira\Core\Diagnosis\Inference\MemoryStore;
use Ispira\Core\Kernel\RandomSource;

/**
 * Jobs in a world that is wider than the engine's, with faults that no family lists, and with machines that have none.
 */
final readonly class ForeignTrial
{
    /** Shares of jobs in which the fault is in no list, and in which there is none. */
    private const UNLISTED = 0.15;
    private const NOTHING = 0.08;

    /** Draws of a machine until somebody complains of it. */
    private const MOST_MACHINES = 40;

    private const MOST_TESTS = 12;

    public function __construct(private Family $family, private int $seed) {}

    /** @return iterable<ForeignOutcome> */
    public function run(int $jobs): iterable
    {
        $variants = array_values((new Trial($this->family, $this->seed))->variants());
        $engines = $byHand = [];
        for ($job = 0; $job < $jobs; ++$job) {
            $chance = new RandomSource(crc32("foreign/$this->seed/{$this->family->key()}/$job"));
            $variant = (int) $chance->between(0.0, \count($variants));
            $circuit = $this->family->circuit($this->family->parameters()->read($variants[$variant]));
            $byHand[$variant] ??= Hands::of($circuit)->circuit();
            $engines[$variant] ??= new Engine(new MemoryStore());
            $outcome = $this->job($circuit, $byHand[$variant], $engines[$variant], $chance);
            if ($outcome !== null) {
                yield $outcome;
            }
        }
    }

    private function job(
        CircuitModel $circuit,
        CircuitModel $byHand,
        Engine $engine,
        RandomSource $chance,
    ): ?ForeignOutcome {
        $kind = $chance->pick([
            'unlisted' => self::UNLISTED,
            'nothing' => self::NOTHING,
            'listed' => 1.0 - self::UNLISTED - self::NOTHING,
        ]);
        $hypotheses = HypothesisList::of($circuit, false);
        for ($try = 0; $try < self::MOST_MACHINES; ++$try) {
            $scenario = match ($kind) {
                'listed' => ForeignScenario::listed($hypotheses, $chance),
                'unlisted' => $this->unlisted($circuit, $hypotheses, $chance),
                default => ForeignScenario::sound($hypotheses, misheard: true),
            };
            $machine = new ForeignMachine($byHand, $scenario, $chance);
            $map = $machine->map();
            if ($map !== null) {
                return $this->worked($circuit, $byHand, $engine, $scenario, $machine, new CaseFile($map, [], false));
            }
        }

        return null;
    }

    private function worked(
        CircuitModel $circuit,
        CircuitModel $byHand,
        Engine $engine,
        ForeignScenario $scenario,
        ForeignMachine $machine,
        CaseFile $case,
    ): ForeignOutcome {
        $tests = $number = 0;
        $refused = false;
        $again = $checked = $path = [];
        while (true) {
            $diagnosis = $engine->diagnose($circuit, $case, new DecisionSettings());
            foreach ($diagnosis->misfit->spoiling ?? [] as $reading) {
                $refused = $refused || !isset($machine->slips[$reading]);
            }
            if ($diagnosis->verdict !== null) {
                $cause = null;
                foreach ($diagnosis->verdict->causesToCheck as $check) {
                    $cause ??= isset($checked[$check->test]) ? null : $check->test;
                }
                if ($cause === null) {
                    $end = 'verdict';
                    break;
                }
                $checked[$cause] = true;
                $case = $case->with($machine->read('r' . $number++, $circuit->tests[$cause]));
                continue;
            }
            if ($tests >= self::MOST_TESTS) {
                $end = 'limit';
                break;
            }
            $doubtful = $this->doubtful($case, $diagnosis, $again);
            if ($doubtful !== null) {
                $again[$doubtful[1]] = true;
                $case = $case->without($doubtful[0]);
            }
            $test = $doubtful === null ? $diagnosis->next->test ?? null : $circuit->tests[$doubtful[1]];
            if ($test === null) {
                $end = 'nothing';
                break;
            }
            ++$tests;
            $reading = $machine->read('r' . $number++, $test);
            $path[] =
                "$test->key=" .
                (\is_float($reading->value) ? sprintf('%.4g', $reading->value) : $reading->value ?? 'over');
            $case = $case->with($reading);
        }
        $leading = $diagnosis->suspects[0];

        return new ForeignOutcome(
            $this->family->key(),
            $scenario->kind,
            $scenario->name,
            \in_array($leading->remedy, $scenario->right, true),
            $leading->remedy,
            $leading->probability,
            $end,
            $tests,
            $refused,
            $path,
            $scenario->right,
            $byHand,
            $case->standing(),
        );
    }

    /**
     * @param array<string, true> $again tests that were taken again
     *
     * @return array{0: string, 1: string}|null id and test of a reading that is taken again
     */
    private function doubtful(CaseFile $case, Diagnosis $diagnosis, array $again): ?array
    {
        $spoiling = array_flip($diagnosis->misfit->spoiling ?? []);
        foreach ($case->standing() as $reading) {
            if (isset($spoiling[$reading->id]) && !isset($again[$reading->test])) {
                return [$reading->id, $reading->test];
            }
        }

        return null;
    }

    /** @param array<string, Hypothesis> $hypotheses */
    private function unlisted(CircuitModel $circuit, array $hypotheses, RandomSource $chance): ForeignScenario
    {
        return match ($chance->pick(['leak' => 0.4, 'other model' => 0.25, 'two' => 0.35])) {
            'leak' => $this->leak($circuit, $hypotheses, $chance),
            'two' => $this->two($hypotheses, $chance),
            default => $this->otherModel($circuit, $chance),
        };
    }

    /** @param array<string, Hypothesis> $hypotheses */
    private function leak(CircuitModel $circuit, array $hypotheses, RandomSource $chance): ForeignScenario
    {
        $leak = Leak::drawn($circuit, $chance);

        return new ForeignScenario(
            'unlisted',
            "leak $leak->from to $leak->to",
            $hypotheses[HypothesisList::NOTHING_WRONG],
            $leak->right($circuit),
            $leak->element(),
        );
    }

    /** @param array<string, Hypothesis> $hypotheses */
    private function two(array $hypotheses, RandomSource $chance): ForeignScenario
    {
        $one = ForeignScenario::listed($hypotheses, $chance)->state;
        $other = ForeignScenario::listed($hypotheses, $chance)->state;
        $parts = array_values(array_unique([...$one->parts, ...$other->parts]));
        sort($parts);

        return new ForeignScenario(
            'unlisted',
            $one->faultKey() . ' and ' . $other->faultKey(),
            new Hypothesis(
                'two',
                [...$one->faults, ...$other->faults],
                $parts,
                1.0,
                [...$one->adjustments, ...$other->adjustments],
                $one->acts + $other->acts,
            ),
            [$one->remedy(), $other->remedy(), implode('+', $parts), HypothesisList::SOMETHING_ELSE],
        );
    }

    private function otherModel(CircuitModel $circuit, RandomSource $chance): ForeignScenario
    {
        $movers = [];
        foreach ($circuit->netlist->elements as $element) {
            foreach (['emfConstant', 'fanConstant', 'fanTorque', 'ratedWatts', 'sealedReactance'] as $parameter) {
                if (isset($element->parameters[$parameter]) && $element->type !== ElementType::Winding) {
                    $movers[] = "$element->id.$parameter";
                }
            }
        }
        $parameter = $movers === [] ? $circuit->supply : $movers[(int) $chance->between(0.0, \count($movers))];
        $factor = $chance->happens(0.5) ? $chance->between(0.35, 0.6) : $chance->between(1.6, 2.6);

        return new ForeignScenario(
            'unlisted',
            "other model: $parameter",
            new Hypothesis('other', [], [], 1.0, [Adjustment::scale($parameter, $factor)]),
            // Whoever names the part that is of another model is right.
            [HypothesisList::SOMETHING_ELSE, ...Leak::partsOf($circuit, explode('.', $parameter)[0])],
        );
    }
}
