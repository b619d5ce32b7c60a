<?php

declare(strict_types=1);

namespace App\Console\Commands;

use Illuminate\Console\Command;
use Ispira\Core\Device\CircuitModel;
use Ispira\Core\Device\FamilyRegistry;
use Ispira\Core\Device\ParameterError;
use Ispira\Core\Device\Test;
use Ispira\Core\Diagnosis\Inference\Hypothesis;
use Ispira\Core\Diagnosis\Inference\HypothesisList;
use Ispira\Core\Diagnosis\Inference\LoosePart;
use Ispira\Core\Diagnosis\Presentation\Words;
use Ispira\Core\Diagnosis\Trial\SimulatedUnit;
use Ispira\Core\Kernel\RandomSource;

/**
 * A stand-in for the unit on the bench: computes what a test shows on a circuit with a hidden fault.
 */
final class AnswerCommand extends Command
{
    protected $signature = 'ispira:answer
        {test? : key of a test; every position of the speed map when left out}
        {--fault=none : key of the hidden fault, as the faults are listed with --list; two of them with a comma between}
        {--family=stepped-blower}
        {--parameters={} : the circuit as JSON}
        {--part= : only this part, alone on the bench}
        {--seed=1 : chooses component values and meter noise}
        {--all : every test in words, with what it shows}
        {--every : every test as if it were the first, as JSON}
        {--list : list the faults that can be hidden, and stop}';

    protected $description = 'Compute what a person would read on a simulated unit with a hidden fault, as JSON';

    public function handle(FamilyRegistry $families): int
    {
        $family = $families->get((string) $this->option('family'));
        $parameters = json_decode((string) $this->option('parameters'), true);
        try {
            $circuit = $family->circuit($family->parameters()->read(is_array($parameters) ? $parameters : []));
        } catch (ParameterError $error) {
            $this->error($error->getMessage());

            return self::FAILURE;
        }
        $part = $this->option('part');
        if (is_string($part) && $part !== '') {
            if (!isset($circuit->parts[$part])) {
                $this->error('This circuit has no such part.');

                return self::FAILURE;
            }
            $circuit = LoosePart::of($circuit, $part);
        }
        $hypotheses = HypothesisList::of($circuit, false);
        if ($this->option('list') === true) {
            $this->line(implode("\n", array_keys($hypotheses)));

            return self::SUCCESS;
        }
        $hidden = self::hidden($hypotheses, explode(',', (string) $this->option('fault')));
        if ($hidden === null) {
            $this->error('This circuit has no such fault. See --list.');

            return self::FAILURE;
        }
        $test = $this->argument('test');
        $tests = is_string($test)
            ? [$test]
            : array_map(static fn($p): string => "speed@$p->key", array_values($circuit->positions));
        $unit = new SimulatedUnit($circuit, $hidden, new RandomSource((int) $this->option('seed')), 0.0);
        if ($this->option('all') === true) {
            $words = new Words($circuit);
            foreach ($circuit->tests as $each) {
                $this->line($words->test($each) . ': ' . $words->reading($unit->read('reading', $each, 0)));
            }

            return self::SUCCESS;
        }
        if ($this->option('every') === true) {
            $every = array_map(
                fn(Test $each): float|string|null => (new SimulatedUnit(
                    $circuit,
                    $hidden,
                    new RandomSource((int) $this->option('seed')),
                    0.0,
                ))->read('reading', $each, 0)->value,
                $circuit->tests,
            );
            $this->output->writeln((string) json_encode($every, \JSON_UNESCAPED_SLASHES));

            return self::SUCCESS;
        }
        $answers = $this->answers($circuit, $unit, $tests);
        if ($answers === null) {
            return self::FAILURE;
        }
        $this->output->writeln((string) json_encode($answers, \JSON_UNESCAPED_SLASHES));

        return self::SUCCESS;
    }

    /**
     * @param list<string> $tests
     *
     * @return array<string, float|string|null>|null
     */
    private function answers(CircuitModel $circuit, SimulatedUnit $unit, array $tests): ?array
    {
        $answers = [];
        foreach ($tests as $key) {
            if (!isset($circuit->tests[$key])) {
                $this->error("The circuit has no test \"$key\".");

                return null;
            }
            $answers[$key] = $unit->read('reading', $circuit->tests[$key], 0)->value;
        }

        return $answers;
    }

    /**
     * One fault, or two that have nothing to do with each other on the same machine.
     *
     * @param array<string, Hypothesis> $hypotheses
     * @param non-empty-list<string>    $keys
     */
    private static function hidden(array $hypotheses, array $keys): ?Hypothesis
    {
        $first = $hypotheses[$keys[0]] ?? null;
        $second = $hypotheses[$keys[1] ?? $keys[0]] ?? null;
        if ($first === null || $second === null || \count($keys) === 1) {
            return $second === null ? null : $first;
        }

        return new Hypothesis(
            "$first->key,$second->key",
            [...$first->faults, ...$second->faults],
            [...$first->parts, ...$second->parts],
            1.0,
            [...$first->adjustments, ...$second->adjustments],
            $first->acts + $second->acts,
            ofFirst: \count($first->adjustments),
        );
    }
}
