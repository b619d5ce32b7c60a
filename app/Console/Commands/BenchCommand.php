<?php

declare(strict_types=1);

namespace App\Console\Commands;

use Illuminate\Console\Command;
use Ispira\Core\Circuit\BrushedMotor;
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
                $readings[] = new Reading("m$key", "speed@$key", !$position->runs || (string) $key === $top ? 'right' : 'dead');
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

    private function solver(): void
    {
        $count = 200;
        $elements = static function (int $seed): array {
            mt_srand($seed);
            $r = static fn (): float => 0.05 + mt_rand() / mt_getrandmax() * 5.0;
            $list = [Element::source('V', 'n0', '0', 12.0, 0.05)];
            for ($n = 0; $n < 12; ++$n) {
                $list[] = Element::resistor("A$n", "n$n", 'n'.($n + 1), $r());
                $list[] = Element::resistor("B$n", 'n'.($n + 1), '0', 10 * $r());
            }

            return $list;
        };
        $start = hrtime(true);
        for ($n = 0; $n < $count; ++$n) {
            (new CircuitSolver(new Netlist([...$elements($n), Element::motor('M', 'n12', '0', new BrushedMotor(0.25, 0.025, 0.03, 3.5e-6))])))->solve();
        }
        $own = (hrtime(true) - $start) / 1e3 / $count;
        $kept = new CircuitSolver(new Netlist($elements(0)));
        $start = hrtime(true);
        for ($n = 0; $n < $count; ++$n) {
            $kept->solve();
        }
        $again = (hrtime(true) - $start) / 1e3 / $count;
        $this->line(sprintf('solver, 13 nodes: %.0f µs with set-up and a motor, %.0f µs for a circuit met before without one', $own, $again));
        if (!is_file('/usr/bin/ngspice')) {
            $this->line('ngspice is not installed: no comparison.');

            return;
        }
        $deck = tempnam(sys_get_temp_dir(), 'deck');
        $start = hrtime(true);
        for ($n = 0; $n < 20; ++$n) {
            $lines = ['* ladder'];
            foreach ($elements($n) as $element) {
                $lines[] = $element->id === 'V' ? "V1 s 0 12\nRs s n0 0.05" : "R$element->id $element->from $element->to {$element->parameters['ohms']}";
            }
            file_put_contents((string) $deck, implode("\n", [...$lines, '.op', '.print op v(n12)', '.end', '']));
            (new Process(['ngspice', '-b', (string) $deck]))->run();
        }
        $this->line(sprintf('ngspice on such ladders, process start included: %.0f µs', (hrtime(true) - $start) / 1e3 / 20));
        unlink((string) $deck);
    }

    /** @param non-empty-list<float> $times */
    public static function median(array $times): float
    {
        sort($times);

        return $times[intdiv(count($times), 2)];
    }
}
