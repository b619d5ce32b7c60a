<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Instruments\BenchUnderTest;
use App\Instruments\MeterServer;
use App\Models\Job;
use App\Models\Workshop;
use Illuminate\Console\Command;
use Ispira\Core\Diagnosis\Inference\HypothesisList;
use Ispira\Core\Instrument\MeterFunction;
use Ispira\Core\Instrument\SimulatedMeter;
use Ispira\Core\Kernel\RandomSource;
use Symfony\Component\Console\Command\SignalableCommandInterface;

final class MeterSimCommand extends Command implements SignalableCommandInterface
{
    protected $signature = 'ispira:meter-sim
        {--job= : number of the job whose bench it is clipped to}
        {--workshop= : name of the workshop; needed when two have a job of that number}
        {--fault=none : key of the fault that the unit hides, as ispira:answer --list shows them}
        {--port=5025 : port on loopback; 0 lets the system choose}
        {--seed=1 : chooses component values and noise}
        {--stuck= : function at which its dial stands, such as VOLT:AC}
        {--silent-after= : falls silent after so many answers}';

    protected $description = 'A simulated bench meter: a TCP server that speaks SCPI and measures the unit of a job';

    private bool $stopped = false;

    public function handle(): int
    {
        $number = (int) preg_replace('/\D/', '', (string) $this->option('job'));
        $jobs = Job::query()
            ->where('number', $number)
            ->when(
                $this->option('workshop') !== null,
                fn($query) => $query->whereIn(
                    'workshop_id',
                    Workshop::query()->where('name', $this->option('workshop'))->select('id'),
                ),
            )
            ->get();
        if ($jobs->count() !== 1) {
            $this->error(
                $jobs->isEmpty()
                    ? 'There is no job of that number. See the job list, and give --job=12 or --job=J-0012.'
                    : 'Several workshops have a job of that number: name one with --workshop.',
            );

            return self::FAILURE;
        }
        $job = $jobs->firstOrFail();
        $hidden = HypothesisList::of($job->circuit(), true)[(string) $this->option('fault')] ?? null;
        if ($hidden === null) {
            $this->error(
                "The circuit of this job has no such fault. See: php artisan ispira:answer --list --family=$job->family",
            );

            return self::FAILURE;
        }
        $stuck = $this->option('stuck') === null ? null : MeterFunction::named((string) $this->option('stuck'));
        $bench = new BenchUnderTest($job->id, $hidden, new RandomSource((int) $this->option('seed')));
        $meter = new SimulatedMeter($bench->measure(...), $stuck);
        try {
            $server = new MeterServer(
                $meter,
                (int) $this->option('port'),
                $this->option('silent-after') === null ? null : (int) $this->option('silent-after'),
            );
        } catch (\RuntimeException $error) {
            $this->error($error->getMessage());

            return self::FAILURE;
        }
        $this->info("Simulated meter at {$server->address()}, clipped to job $number. Stop it with Ctrl-C.");
        $server->serve(fn(): bool => !$this->stopped);

        return self::SUCCESS;
    }

    /** @return list<int> */
    public function getSubscribedSignals(): array
    {
        return [\SIGINT, \SIGTERM];
    }

    public function handleSignal(int $signal, int|false $previousExitCode = 0): int|false
    {
        $this->stopped = true;

        return false;
    }
}
