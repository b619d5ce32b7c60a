<?php

declare(strict_types=1);

namespace App\Console\Commands;

use Illuminate\Console\Command;
use Ispira\Core\Circuit\CircuitSolver;
use Ispira\Core\Circuit\Element;
use Ispira\Core\Circuit\Netlist;
use Ispira\Core\Diagnosis\CaseFile;
use Ispira\Core\Diagnosis\DecisionSettings;
use Ispira\Core\Diagnosis\DiagnosisFormat;
use Ispira\Core\Diagnosis\Engine;
use Ispira\Core\Diagnosis\MemoryStore;
use Ispira\Core\Diagnosis\Reading;
use Ispira\Core\Family\FamilyRegistry;
use Symfony\Component\Process\Process;

final class BenchCommand extends Command
{
    protected $signature = 'ispira:bench {--url= : also time HTTP against a running demo, such as http://127.0.0.1:8000}';

    protected $description = 'Time the diagnosis, the solver beside ngspice, and the recording of a reading over HTTP';

    public function handle(FamilyRegistry $families): int
    {
        $this->diagnosis($families);
        $this->solver();
        if (is_string($this->option('url'))) {
            (new HttpBenchmark($this->output, $this->option('url')))->run();
        }

        return self::SUCCESS;
    }

    private function diagnosis(FamilyRegistry $families): void
    {
        $family = $families->get('stepped-blower');
        foreach (['ordinary, 4 speeds' => [], 'largest, 7 speeds with changeover relay and mode contact' => ['positions' => '7', 'high' => 'changeover', 'modeContact' => 'feed']] as $name => $parameters) {
            $circuit = $family->circuit($family->parameters()->read($parameters));
            $top = (string) array_key_last($circuit->positions);
            $readings = [];
            foreach ($circuit->positions as $key => $position) {
                $readings[] = new Reading("m$key", "speed@$key", !$position->runs() || (string) $key === $top ? 'right' : 'dead');
            }
            $case = new CaseFile([...$readings, new Reading('v', 'common-volts@1', 0.02)]);
            $time = static function (Engine $engine) use ($circuit, $case): float {
                $start = hrtime(true);
                (new DiagnosisFormat($circuit, $case, $engine->diagnose($circuit, $case, new DecisionSettings())))->toArray();

                return (hrtime(true) - $start) / 1e6;
            };
            $cold = array_map(static fn (): float => $time(new Engine()), range(1, 5));
            $engine = new Engine(new MemoryStore());
            $time($engine);
            $warm = array_map(static fn (): float => $time($engine), range(1, 15));
            $this->line(sprintf('diagnosis after one more reading, %s: cold %.0f ms, warm %.0f ms (medians)', $name, self::median($cold), self::median($warm)));
        }
    }

    /** The same ladders, each solved here and by ngspice. */
    private function solver(): void
    {
        $netlists = array_map(static fn (int $seed): Netlist => new Netlist(self::ladder($seed)), range(1, 40));
        $time = static function (\Closure $solve) use ($netlists): float {
            $times = [];
            foreach ($netlists as $netlist) {
                $start = hrtime(true);
                $solve($netlist);
                $times[] = (hrtime(true) - $start) / 1e3;
            }

            return self::median($times);
        };
        $solvers = array_map(static fn (Netlist $netlist): CircuitSolver => new CircuitSolver($netlist), $netlists);
        array_map(static fn (CircuitSolver $solver) => $solver->solve(), $solvers);
        $next = 0;
        $this->line(sprintf(
            'ladder of 13 nodes: %.0f µs read and solved, %.0f µs once its shape is known (medians)',
            $time(static fn (Netlist $netlist) => (new CircuitSolver($netlist))->solve()),
            $time(static function () use ($solvers, &$next): void {
                $solvers[$next++]->solve();
            }),
        ));
        if (!is_file('/usr/bin/ngspice')) {
            $this->line('ngspice is not installed: no comparison.');

            return;
        }
        $deck = (string) tempnam(sys_get_temp_dir(), 'deck');
        $this->line(sprintf('the same ladders by ngspice, its start included: %.0f µs', $time(static function (Netlist $netlist) use ($deck): void {
            $lines = ['* ladder'];
            foreach ($netlist->elements as $element) {
                $lines[] = $element->id === 'V' ? "V1 s 0 {$element->parameters['volts']}\nRs s n0 {$element->parameters['ohms']}" : "R$element->id $element->from $element->to {$element->parameters['ohms']}";
            }
            file_put_contents($deck, implode("\n", [...$lines, '.op', '.print op v(n12)', '.end', '']));
            (new Process(['ngspice', '-b', $deck]))->run();
        })));
        unlink($deck);
    }

    /** @return list<Element> */
    private static function ladder(int $seed): array
    {
        mt_srand($seed);
        $ohms = static fn (): float => 0.05 + mt_rand() / mt_getrandmax() * 5.0;
        $elements = [Element::source('V', 'n0', '0', 12.0, 0.05)];
        for ($n = 0; $n < 12; ++$n) {
            $elements[] = Element::resistor("A$n", "n$n", 'n'.($n + 1), $ohms());
            $elements[] = Element::resistor("B$n", 'n'.($n + 1), '0', 10.0 * $ohms());
        }

        return $elements;
    }

    /** @param list<float> $times at least one */
    public static function median(array $times): float
    {
        sort($times);

        return $times[intdiv(count($times), 2)];
    }
}
