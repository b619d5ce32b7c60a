<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Jobs\JobOfNumber;
use App\Jobs\JobStates;
use Illuminate\Console\Command;
use Illuminate\Support\Facades\File;
use Ispira\Core\Capture\Format\CsvExport;
use Ispira\Core\Capture\Format\VcdExport;
use Ispira\Core\Capture\SampleStore;
use Ispira\Core\Capture\SimulatedScope;
use Ispira\Core\Device\CircuitModel;
use Ispira\Core\Device\FamilyRegistry;
use Ispira\Core\Device\ParameterError;
use Ispira\Core\Device\Quantity;
use Ispira\Core\Device\Test;
use Ispira\Core\Diagnosis\Inference\HypothesisList;
use Ispira\Core\Diagnosis\Trial\SimulatedUnit;
use Ispira\Core\Kernel\RandomSource;
use Ispira\Core\Practice\Exercise;
use Ispira\Core\Practice\PracticeUnit;

final class ScopeSimCommand extends Command
{
    /** Largest count of samples that it writes. */
    private const MOST = 10_000_000;

    protected $signature = 'ispira:scope-sim
        {test : key of a test of duty or frequency, as ispira:answer --all lists them}
        {file : where the capture is written; its ending, csv or vcd, chooses the format}
        {--job= : number of a practice job, such as P-0003: then its own unit is looked at}
        {--workshop= : name of the workshop; needed when two have a job of that number}
        {--family=electronic-blower}
        {--parameters={} : the circuit as JSON}
        {--fault=none : key of the fault that the unit hides}
        {--hertz=100 : frequency of a command signal}
        {--rate=20000 : samples a second}
        {--seconds=0.5}
        {--noise=0.05 : in V}
        {--skips=0 : one pulse of so many does not come}
        {--seed=1}';

    protected $description = 'A simulated scope: writes the capture that a scope would save of a pulsed signal of a simulated unit';

    public function handle(FamilyRegistry $families): int
    {
        if ($this->option('job') !== null) {
            return $this->ofPractice((string) $this->option('job'));
        }
        $parameters = json_decode((string) $this->option('parameters'), true);
        $key = (string) $this->option('family');
        if (!$families->has($key)) {
            $this->error('There is no such family of circuits.');

            return self::FAILURE;
        }
        try {
            $family = $families->get($key);
            $circuit = $family->circuit($family->parameters()->read(is_array($parameters) ? $parameters : []));
        } catch (ParameterError $error) {
            $this->error($error->getMessage());

            return self::FAILURE;
        }
        $test = $circuit->tests[(string) $this->argument('test')] ?? null;
        $hidden = HypothesisList::of($circuit, true)[(string) $this->option('fault')] ?? null;
        if (
            $test === null ||
            $hidden === null ||
            !in_array($test->probe->quantity, [Quantity::Duty, Quantity::Frequency], true)
        ) {
            $this->error(
                $hidden === null
                    ? 'This circuit has no such fault.'
                    : 'Give the key of a test of duty or frequency of this circuit.',
            );

            return self::FAILURE;
        }
        $value = (new SimulatedUnit($circuit, $hidden, new RandomSource((int) $this->option('seed')), 0.0))->read(
            'shown',
            $test,
            0,
        )->value;

        return $this->save($circuit, $test, is_float($value) ? $value : 0.0);
    }

    /** The make-believe unit of a practice job, with the leads where they were put. */
    private function ofPractice(string $number): int
    {
        $workshop = $this->option('workshop');
        $job = JobOfNumber::find($number, $workshop === null ? null : (string) $workshop);
        $state = is_string($job) ? null : JobStates::of($job);
        $unit = $state === null ? null : PracticeUnit::of($state);
        $test = $state?->circuit->tests[(string) $this->argument('test')] ?? null;
        if ($state === null || $unit === null || $test === null) {
            $this->error(is_string($job) ? $job : 'Give a job of practice, and the key of a test of its circuit.');

            return self::FAILURE;
        }
        $value = $unit->reads($test, Exercise::of($state)?->hookUp($test))?->value;

        return $this->save($state->circuit, $test, is_float($value) ? $value : 0.0);
    }

    private function save(CircuitModel $circuit, Test $test, float $value): int
    {
        $count = (int) ((float) $this->option('seconds') * (float) $this->option('rate'));
        if ($count < 2 || $count > self::MOST) {
            $this->error('Seconds times rate must make from 2 to ' . number_format(self::MOST) . ' samples.');

            return self::FAILURE;
        }
        $this->write($this->scope($circuit, $test, $value), $count);

        return self::SUCCESS;
    }

    private function scope(CircuitModel $circuit, Test $test, float $value): SimulatedScope
    {
        $duty = $test->probe->quantity === Quantity::Duty;
        $hertz = $duty ? ($value < 0.5 || $value > 99.5 ? 0.0 : (float) $this->option('hertz')) : max(0.0, $value);
        $high = $duty ? $test->probe->full : $test->probe->pullUp;
        $rate = (float) $this->option('rate');

        return new SimulatedScope(
            $rate,
            $hertz,
            $duty ? $value : 50.0,
            0.05,
            $high,
            2.5 / $rate,
            (float) $this->option('noise'),
            skips: (int) $this->option('skips'),
            chance: new RandomSource((int) $this->option('seed')),
        );
    }

    private function write(SimulatedScope $scope, int $count): void
    {
        $folder = sys_get_temp_dir() . '/ispira-scope-' . bin2hex(random_bytes(6));
        try {
            $store = new SampleStore($folder);
            $scope->into($store, $count, 'CH1');
            $path = (string) $this->argument('file');
            $file = fopen($path, 'w');
            if ($file === false) {
                $this->error("$path cannot be written.");

                return;
            }
            foreach ((str_ends_with($path, '.vcd') ? new VcdExport($store) : new CsvExport($store))->parts() as $text) {
                fwrite($file, $text);
            }
            fclose($file);
            $this->info(number_format($count) . " samples in $path");
        } finally {
            File::deleteDirectory($folder);
        }
    }
}
