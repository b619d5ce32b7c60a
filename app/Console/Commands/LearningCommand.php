<?php

declare(strict_types=1);

namespace App\Console\Commands;

use Illuminate\Console\Command;
use Ispira\Core\Device\CircuitModel;
use Ispira\Core\Device\FamilyRegistry;
use Ispira\Core\Diagnosis\Decision\DecisionSettings;
use Ispira\Core\Diagnosis\Decision\Engine;
use Ispira\Core\Diagnosis\Inference\Hypothesis;
use Ispira\Core\Diagnosis\Inference\MemoryStore;
use Ispira\Core\Diagnosis\Inference\Odds;
use Ispira\Core\Diagnosis\Trial\Outcome;
use Ispira\Core\Diagnosis\Trial\Policy;
use Ispira\Core\Diagnosis\Trial\SimulatedUnit;
use Ispira\Core\Diagnosis\Trial\TrialJob;
use Ispira\Core\Kernel\RandomSource;
use Ispira\Core\Learning\Counted;
use Ispira\Core\Learning\LearnedOdds;
use Ispira\Core\Learning\SimulatedWorkshop;

final class LearningCommand extends Command
{
    protected $signature = 'ispira:learning
        {--worlds=10 : how many drawn worlds}
        {--seed=1}
        {--money=0 : also work so many jobs of each world with the engine, by shipped odds and by those after 100 jobs}';

    protected $description = 'Whether the odds that a workshop learns foretell its next jobs better than those that ship';

    private const APART = 1.0;
    private const AFTER = [30, 100, 300];
    private const FALSE_PROOFS = 0.1;

    public function handle(FamilyRegistry $families): int
    {
        $seed = (int) $this->option('seed');
        $keys = array_keys($families->all());
        $circuits = $worlds = [];
        for ($world = 0; $world < max(1, (int) $this->option('worlds')); ++$world) {
            $family = $families->get($keys[$world % count($keys)]);
            $circuits[$family->key()] ??= $family->circuit($family->parameters()->read([]));
            $worlds[] = [$family->key(), $circuits[$family->key()]];
        }
        $this->worlds('worlds that differ from the shipped one', $worlds, self::APART, 0.0, $seed);
        $this->worlds('the shipped world itself', $worlds, 0.0, 0.0, $seed);
        $this->worlds(
            'worlds that differ, one closed job of ten names something else',
            $worlds,
            self::APART,
            self::FALSE_PROOFS,
            $seed,
        );
        $this->worlds(
            'the shipped world, one closed job of ten names something else',
            $worlds,
            0.0,
            self::FALSE_PROOFS,
            $seed,
        );
        if ((int) $this->option('money') > 0) {
            $this->money($worlds, (int) $this->option('money'), $seed);
        }

        return self::SUCCESS;
    }

    /** @param list<array{string, CircuitModel}> $worlds family and circuit of each */
    private function worlds(string $title, array $worlds, float $apart, float $false, int $seed): void
    {
        $this->line("$title: how badly the first odds foretell the next job, in nats");
        $this->line(
            sprintf('  %-20s %9s', 'family', 'shipped') .
                implode('', array_map(static fn(int $n): string => sprintf(' %17s', "after $n jobs"), self::AFTER)),
        );
        $better = array_fill_keys(self::AFTER, 0);
        $worst = array_fill_keys(self::AFTER, -1.0);
        foreach ($worlds as $number => [$family, $circuit]) {
            $workshop = new SimulatedWorkshop($circuit, new RandomSource($seed * 1000 + $number), $apart, $false);
            $shipped = $workshop->logLoss(LearnedOdds::of($circuit, new Counted())->chances());
            $line = sprintf('  %-20s %9.3f', $family, $shipped);
            $jobs = [];
            foreach (self::AFTER as $after) {
                while (count($jobs) < $after) {
                    $jobs[] = $workshop->closed($workshop->next());
                }
                $loss = $workshop->logLoss(LearnedOdds::of($circuit, Counted::of($jobs))->chances());
                $change = $loss / $shipped - 1.0;
                $better[$after] += $loss < $shipped ? 1 : 0;
                $worst[$after] = max($worst[$after], $change);
                $line .= sprintf(' %8.3f %+7.1f%%', $loss, 100.0 * $change);
            }
            $this->line($line);
        }
        foreach (self::AFTER as $after) {
            $this->line(
                sprintf(
                    '  after %d jobs: better in %d of %d, the worst %+.1f %%',
                    $after,
                    $better[$after],
                    count($worlds),
                    100.0 * $worst[$after],
                ),
            );
        }
    }

    /** @param list<array{string, CircuitModel}> $worlds */
    private function money(array $worlds, int $jobs, int $seed): void
    {
        $this->line(
            sprintf(
                'avoidable money a job over %d jobs, by the engine with shipped odds and those after 100 jobs',
                $jobs,
            ),
        );
        $sums = [0.0, 0.0];
        foreach ($worlds as $number => [$family, $circuit]) {
            $workshop = new SimulatedWorkshop($circuit, new RandomSource($seed * 1000 + $number), self::APART);
            $closed = [];
            while (count($closed) < 100) {
                $closed[] = $workshop->closed($workshop->next());
            }
            $learned = LearnedOdds::of($circuit, Counted::of($closed))->odds;
            $engine = new Engine(new MemoryStore());
            $spent = [0.0, 0.0];
            for ($done = 0, $try = 0; $done < $jobs && $try < 4 * $jobs; ++$try) {
                $hidden = $workshop->next();
                if ($hidden->parts === []) {
                    continue;
                }
                $both = array_map(
                    fn(Odds $odds): ?Outcome => $this->work($circuit, $engine, $hidden, $odds, $seed * 7919 + $try),
                    [Odds::shipped(), $learned],
                );
                if ($both[0] === null || $both[1] === null) {
                    continue;
                }
                ++$done;
                $spent[0] += $both[0]->avoidable;
                $spent[1] += $both[1]->avoidable;
            }
            $this->line(sprintf('  %-20s %8.2f %8.2f', $family, $spent[0] / max(1, $done), $spent[1] / max(1, $done)));
            $sums[0] += $spent[0] / max(1, $done);
            $sums[1] += $spent[1] / max(1, $done);
        }
        $this->line(sprintf('  %-20s %8.2f %8.2f', 'mean', $sums[0] / count($worlds), $sums[1] / count($worlds)));
    }

    private function work(CircuitModel $circuit, Engine $engine, Hypothesis $hidden, Odds $odds, int $seed): ?Outcome
    {
        return (new TrialJob(
            $circuit,
            new SimulatedUnit($circuit, $hidden, new RandomSource($seed), 0.01),
            $engine,
            Policy::Engine,
            new RandomSource($seed + 1),
            new DecisionSettings(),
            $hidden->comesAndGoes,
            $odds,
        ))->run();
    }
}
