<?php

declare(strict_types=1);

namespace App\Console\Commands;

use Illuminate\Console\Command;
use Illuminate\Contracts\Http\Kernel;
use Ispira\Core\Circuit\CircuitSolver;
use Ispira\Core\Circuit\Element;
use Ispira\Core\Circuit\Netlist;
use Ispira\Core\Device\CircuitModel;
use Ispira\Core\Device\Family;
use Ispira\Core\Device\FamilyRegistry;
use Ispira\Core\Device\Test;
use Ispira\Core\Diagnosis\Decision\DecisionSettings;
use Ispira\Core\Diagnosis\Decision\Engine;
use Ispira\Core\Diagnosis\Inference\CaseFile;
use Ispira\Core\Diagnosis\Inference\Hypothesis;
use Ispira\Core\Diagnosis\Inference\HypothesisList;
use Ispira\Core\Diagnosis\Inference\MemoryStore;
use Ispira\Core\Diagnosis\Presentation\DiagnosisFormat;
use Ispira\Core\Diagnosis\Trial\SimulatedUnit;
use Ispira\Core\Kernel\RandomSource;
use Symfony\Component\Process\Process;

final class BenchCommand extends Command
{
    protected $signature = 'ispira:bench {--family=* : keys of families; all when left out} {--url= : also time HTTP against a running demo, such as http://127.0.0.1:8000} {--size : instead time the pages of a workshop that grows to 100,000 jobs; it is made and removed again} {--jobs=100000 : to how many it grows}';

    protected $description = 'Time the diagnosis, the solver beside ngspice, and the recording of a reading over HTTP';

    private const READINGS_OF_A_LONG_CASE = 1000;
    private const TESTS_OF_A_LONG_CASE = 40;

    public function handle(FamilyRegistry $families): int
    {
        if ($this->option('size') === true) {
            (new SizeBenchmark($this->output, app(Kernel::class), max(2000, (int) $this->option('jobs'))))->run();

            return self::SUCCESS;
        }
        $wanted = $families->wanted((array) $this->option('family'));
        $this->diagnosis($wanted);
        $this->longCases($wanted);
        $this->solver();
        if (is_string($this->option('url'))) {
            (new HttpBenchmark($this->output, $this->option('url')))->run();
        }

        return self::SUCCESS;
    }

    /** @param array<string, Family> $families by key */
    private function diagnosis(array $families): void
    {
        $this->line('diagnosis after one more reading, in ms: best and median');
        $this->line(
            sprintf('  %-20s %-62s %11s %6s %13s %13s', 'family', 'circuit', 'hypotheses', 'tests', 'cold', 'warm'),
        );
        foreach ($families as $key => $family) {
            $largest = self::largest($family);
            foreach ($largest === [] ? [[]] : [[], $largest] as $parameters) {
                $this->time(
                    $key,
                    $family->circuit($family->parameters()->read($parameters)),
                    $parameters === []
                        ? 'ordinary'
                        : implode(
                            ', ',
                            array_map(
                                static fn(string $name, string $choice): string => "$name $choice",
                                array_keys($parameters),
                                $parameters,
                            ),
                        ),
                );
            }
        }
    }

    /**
     * Times a case with far more readings than anybody takes: the log of a unit that was never closed.
     *
     * @param array<string, Family> $families by key
     */
    private function longCases(array $families): void
    {
        $this->line('a case of 1,000 readings over up to 40 tests, answered cold');
        foreach ($families as $key => $family) {
            $circuit = $family->circuit($family->parameters()->read([]));
            $unit = $this->faulty($circuit, 3, 0.01);
            $tests = array_slice(
                array_values(array_filter($circuit->tests, static fn(Test $t): bool => $t->offered)),
                0,
                self::TESTS_OF_A_LONG_CASE,
            );
            $readings = $unit->map();
            while (count($readings) < self::READINGS_OF_A_LONG_CASE) {
                $number = count($readings);
                $readings[] = $unit->read("r$number", $tests[$number % count($tests)], 0);
            }
            $start = hrtime(true);
            (new Engine())->diagnose($circuit, new CaseFile($readings), new DecisionSettings());
            $this->line(sprintf('  %-20s %7.0f ms', $key, (hrtime(true) - $start) / 1e6));
        }
        $this->line(sprintf('  most memory so far %.0f MB', memory_get_peak_usage() / 1048576));
    }

    private function faulty(CircuitModel $circuit, int $seed, float $slips): SimulatedUnit
    {
        $hidden = array_values(
            array_filter(HypothesisList::of($circuit, false), static fn(Hypothesis $h): bool => $h->parts !== []),
        )[0];

        return new SimulatedUnit($circuit, $hidden, new RandomSource($seed), $slips);
    }

    /**
     * The choices that give the most faults and tests to weigh, found one parameter after the other.
     *
     * @return array<string, string>
     */
    private static function largest(Family $family): array
    {
        $size = static function (array $parameters) use ($family): int {
            $circuit = $family->circuit($family->parameters()->read($parameters));

            return count($circuit->tests) * count(HypothesisList::of($circuit, false));
        };
        $chosen = [];
        foreach ($family->parameters()->parameters as $parameter) {
            foreach ($parameter->naming ? [] : $parameter->choices as $choice) {
                if ($size([$parameter->key => $choice] + $chosen) > $size($chosen)) {
                    $chosen[$parameter->key] = $choice;
                }
            }
        }

        return $chosen;
    }

    /** Times the diagnosis of a simulated unit with its first fault: the map, and the test proposed on it. */
    private function time(string $family, CircuitModel $circuit, string $name): void
    {
        $unit = $this->faulty($circuit, 1, 0.0);
        $readings = $unit->map();
        $next = (new Engine())->diagnose($circuit, new CaseFile($readings), new DecisionSettings())->next;
        $case = new CaseFile($next === null ? $readings : [...$readings, $unit->read('next', $next->test, 0)]);
        $time = static function (Engine $engine) use ($circuit, $case): float {
            $start = hrtime(true);
            (new DiagnosisFormat($circuit, $case, $engine->diagnose($circuit, $case, new DecisionSettings())))->shown();

            return (hrtime(true) - $start) / 1e6;
        };
        // The first pass lets the just-in-time compiler see the code.
        $time(new Engine());
        $cold = array_map(static fn(): float => $time(new Engine()), range(1, 7));
        $engine = new Engine(new MemoryStore());
        $time($engine);
        $warm = array_map(static fn(): float => $time($engine), range(1, 15));
        $this->line(
            sprintf(
                '  %-20s %-62s %11d %6d %6.0f %6.0f %6.0f %6.0f',
                $family,
                $name,
                count(HypothesisList::of($circuit, false)),
                count($circuit->tests),
                min($cold),
                self::median($cold),
                min($warm),
                self::median($warm),
            ),
        );
    }

    /** The same ladders, each solved here and by ngspice. */
    private function solver(): void
    {
        $netlists = array_map(static fn(int $seed): Netlist => new Netlist(self::ladder($seed)), range(1, 40));
        $time = static function (\Closure $solve) use ($netlists): float {
            $times = [];
            foreach ($netlists as $netlist) {
                $start = hrtime(true);
                $solve($netlist);
                $times[] = (hrtime(true) - $start) / 1e3;
            }

            return self::median($times);
        };
        $solvers = array_map(static fn(Netlist $netlist): CircuitSolver => new CircuitSolver($netlist), $netlists);
        array_map(static fn(CircuitSolver $solver) => $solver->solve(), $solvers);
        $next = 0;
        $this->line(
            sprintf(
                'ladder of 13 nodes: %.0f µs read and solved, %.0f µs once its shape is known (medians)',
                $time(static fn(Netlist $netlist) => (new CircuitSolver($netlist))->solve()),
                $time(static function () use ($solvers, &$next): void {
                    $solvers[$next++]->solve();
                }),
            ),
        );
        if (!is_file('/usr/bin/ngspice')) {
            $this->line('ngspice is not installed: no comparison.');

            return;
        }
        $deck = (string) tempnam(sys_get_temp_dir(), 'deck');
        $this->line(
            sprintf(
                'the same ladders by ngspice, its start included: %.0f µs',
                $time(static function (Netlist $netlist) use ($deck): void {
                    $lines = ['* ladder'];
                    foreach ($netlist->elements as $element) {
                        $lines[] =
                            $element->id === 'V'
                                ? "V1 s 0 {$element->parameters['volts']}\nRs s n0 {$element->parameters['ohms']}"
                                : "R$element->id $element->from $element->to {$element->parameters['ohms']}";
                    }
                    file_put_contents($deck, implode("\n", [...$lines, '.op', '.print op v(n12)', '.end', '']));
                    (new Process(['ngspice', '-b', $deck]))->run();
                }),
            ),
        );
        unlink($deck);
    }

    /** @return list<Element> */
    private static function ladder(int $seed): array
    {
        mt_srand($seed);
        $ohms = static fn(): float => 0.05 + (mt_rand() / mt_getrandmax()) * 5.0;
        $elements = [Element::source('V', 'n0', '0', 12.0, 0.05)];
        for ($n = 0; $n < 12; ++$n) {
            $elements[] = Element::resistor("A$n", "n$n", 'n' . ($n + 1), $ohms());
            $elements[] = Element::resistor("B$n", 'n' . ($n + 1), '0', 10.0 * $ohms());
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
