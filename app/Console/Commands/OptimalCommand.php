<?php

declare(strict_types=1);

namespace App\Console\Commands;

use Illuminate\Console\Command;
use Ispira\Core\Device\FamilyRegistry;
use Ispira\Core\Device\Test;
use Ispira\Core\Diagnosis\Decision\DecisionSettings;
use Ispira\Core\Diagnosis\Decision\Engine;
use Ispira\Core\Diagnosis\Decision\TestChoice;
use Ispira\Core\Diagnosis\Inference\CaseFile;
use Ispira\Core\Diagnosis\Inference\HypothesisList;
use Ispira\Core\Diagnosis\Inference\MemoryStore;
use Ispira\Core\Diagnosis\Trial\PolicyTree;
use Ispira\Core\Diagnosis\Trial\SimulatedUnit;
use Ispira\Core\Kernel\RandomSource;
use Ispira\Core\Reading\Reading;

final class OptimalCommand extends Command
{
    protected $signature = 'ispira:optimal
        {--family=* : keys of families}
        {--parameters={} : the circuit as JSON}
        {--tests=6 : how many tests, the best by money and by what they tell}
        {--depth=4 : how many of them one after the other}';

    protected $description = 'Compare the engine with the best of all courses over a handful of tests, for the map of each fault';

    public function handle(FamilyRegistry $families): int
    {
        foreach ((array) $this->option('family') as $key) {
            $family = $families->get((string) $key);
            $parameters = json_decode((string) $this->option('parameters'), true);
            $circuit = $family->circuit($family->parameters()->read(is_array($parameters) ? $parameters : []));
            $settings = new DecisionSettings();
            $engine = new Engine(new MemoryStore());
            $seen = [];
            $sums = [0.0, 0.0];
            $worst = 1.0;
            foreach (HypothesisList::of($circuit, false) as $hidden) {
                if ($hidden->parts === [] || $hidden->comesAndGoes) {
                    continue;
                }
                $map = (new SimulatedUnit($circuit, $hidden, new RandomSource(crc32($hidden->key)), 0.0))->map();
                $pattern = implode(' ', array_map(static fn(Reading $r): string => (string) $r->value, $map));
                if (isset($seen[$pattern])) {
                    continue;
                }
                $seen[$pattern] = true;
                $diagnosis = $engine->diagnose($circuit, new CaseFile($map), $settings);
                $choices = array_values(array_filter([$diagnosis->next, ...$diagnosis->others]));
                $tree = new PolicyTree(
                    $circuit,
                    $diagnosis->evidence,
                    $settings,
                    $this->bestOf($choices, (int) $this->option('tests')),
                );
                $cost = [$tree->engine((int) $this->option('depth')), $tree->best((int) $this->option('depth'))];
                $sums = [$sums[0] + $cost[0], $sums[1] + $cost[1]];
                $worst = max($worst, $cost[0] / max(1e-9, $cost[1]));
                $this->line(
                    sprintf(
                        '  %-60s engine %7.2f  best %7.2f  %5.3f',
                        $pattern,
                        $cost[0],
                        $cost[1],
                        $cost[0] / max(1e-9, $cost[1]),
                    ),
                );
            }
            $this->line(
                sprintf(
                    '%s: %d maps, engine over best %.3f on average, %.3f at worst',
                    $key,
                    count($seen),
                    $sums[0] / max(1e-9, $sums[1]),
                    $worst,
                ),
            );
        }

        return self::SUCCESS;
    }

    /**
     * @param list<TestChoice> $choices best gain first
     *
     * @return list<Test> half of them the best by money, the rest those that tell most a minute
     */
    private function bestOf(array $choices, int $most): array
    {
        $tests = array_map(static fn(TestChoice $c): Test => $c->test, array_slice($choices, 0, intdiv($most + 1, 2)));
        usort(
            $choices,
            static fn(TestChoice $a, TestChoice $b): int => $b->information / $b->minutes <=>
                $a->information / $a->minutes,
        );
        foreach ($choices as $choice) {
            if (count($tests) < $most && !in_array($choice->test, $tests, true)) {
                $tests[] = $choice->test;
            }
        }

        return $tests;
    }
}
