<?php

declare(strict_types=1);

namespace App\Console\Commands;

use Illuminate\Console\Command;
use Ispira\Core\Device\Family;
use Ispira\Core\Device\FamilyRegistry;
use Ispira\Core\Device\Quantity;
use Ispira\Core\Device\Test;
use Ispira\Core\Diagnosis\Decision\DecisionSettings;
use Ispira\Core\Diagnosis\Decision\Engine;
use Ispira\Core\Diagnosis\Inference\CaseFile;
use Ispira\Core\Diagnosis\Inference\Hypothesis;
use Ispira\Core\Diagnosis\Inference\HypothesisList;
use Ispira\Core\Diagnosis\Inference\MemoryStore;
use Ispira\Core\Diagnosis\Trial\SampledReference;
use Ispira\Core\Diagnosis\Trial\SimulatedUnit;
use Ispira\Core\Kernel\RandomSource;

final class ReferenceCommand extends Command
{
    protected $signature = 'ispira:reference
        {--family=* : keys of families; all when left out}
        {--cases=19 : of each family}
        {--draws=1500 : machines that each hypothesis is weighed on}
        {--seed=1}';

    protected $description = 'Compare the odds of the engine with plain sampling, in cases of a map and one number';

    /** Weight from which a hypothesis is weighed anew. */
    private const IN_QUESTION = 0.002;

    public function handle(FamilyRegistry $families): int
    {
        $this->line(
            'family              cases  within 2 points  mean of the largest difference  95th of 100  its noise',
        );
        $all = $noises = [];
        foreach ($families->wanted((array) $this->option('family')) as $key => $family) {
            [$differences, $noise] = $this->family($family);
            $this->row($key, $differences, $noise);
            array_push($all, ...$differences);
            array_push($noises, ...$noise);
        }
        $this->row('all', $all, $noises);

        return self::SUCCESS;
    }

    /** @return array{0: list<float>, 1: list<float>} largest difference of each case, and the reference's own noise */
    private function family(Family $family): array
    {
        $circuit = $family->circuit($family->parameters()->read([]));
        $hypotheses = HypothesisList::of($circuit, false);
        $hidden = array_values(
            array_filter(
                $hypotheses,
                static fn(Hypothesis $h): bool => !$h->comesAndGoes && $h->key !== HypothesisList::SOMETHING_ELSE,
            ),
        );
        $tests = array_values(
            array_filter(
                $circuit->tests,
                static fn(Test $t): bool => $t->offered &&
                    in_array($t->probe->quantity, [Quantity::Volts, Quantity::Amps], true),
            ),
        );
        $engine = new Engine(new MemoryStore());
        $differences = $noise = [];
        for ($case = 0; $case < (int) $this->option('cases'); ++$case) {
            $chance = new RandomSource(crc32("reference/{$this->option('seed')}/{$family->key()}/$case"));
            $truth = $hidden[(int) $chance->between(0.0, count($hidden))];
            $unit = new SimulatedUnit($circuit, $truth, $chance, 0.0);
            $readings = $unit->map();
            if ($tests !== []) {
                $readings[] = $unit->read('number', $tests[(int) $chance->between(0.0, count($tests))], 0);
            }
            $found = $engine->diagnose($circuit, new CaseFile($readings), new DecisionSettings());
            $scale = $found->evidence->predictions->scale();
            $byHypothesis = $found->evidence->belief->byHypothesis();
            $halves = [];
            foreach ([0, 1] as $half) {
                $reference = new SampledReference($circuit, $chance, intdiv((int) $this->option('draws'), 2), $scale);
                $halves[] = $reference->odds($hypotheses, $byHypothesis, self::IN_QUESTION, $readings);
            }
            $largest = $own = 0.0;
            foreach (HypothesisList::byRemedy($found->evidence->hypotheses, $byHypothesis) as $remedy => $weighed) {
                [$one, $other] = [$halves[0][$remedy] ?? 0.0, $halves[1][$remedy] ?? 0.0];
                $largest = max($largest, abs($weighed - 0.5 * ($one + $other)));
                $own = max($own, 0.5 * abs($one - $other));
            }
            $differences[] = $largest;
            $noise[] = $own;
            if ($this->output->isVerbose()) {
                $this->line(sprintf('    %-28s %5.1f points, noise %.1f', $truth->key, 100 * $largest, 100 * $own));
            }
        }

        return [$differences, $noise];
    }

    /**
     * @param list<float> $differences
     * @param list<float> $noise
     */
    private function row(string $name, array $differences, array $noise): void
    {
        if ($differences === []) {
            return;
        }
        sort($differences);
        $within = count(array_filter($differences, static fn(float $d): bool => $d <= 0.02));
        $this->line(
            sprintf(
                '%-20s %4d %15.0f%% %31.1f %12.1f %9.1f',
                $name,
                count($differences),
                (100 * $within) / count($differences),
                (100 * array_sum($differences)) / count($differences),
                100 * $differences[(int) (0.95 * (count($differences) - 1))],
                (100 * array_sum($noise)) / count($noise),
            ),
        );
    }
}
