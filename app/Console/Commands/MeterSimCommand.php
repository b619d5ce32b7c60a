<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Instruments\BenchUnderTest;
use App\Instruments\MeterServer;
use App\Jobs\JobOfNumber;
use App\Jobs\JobView;
use Illuminate\Console\Command;
use Ispira\Core\Diagnosis\Inference\HypothesisList;
use Ispira\Core\Instrument\MeterFunction;
use Ispira\Core\Instrument\SimulatedMeter;
use Ispira\Core\Kernel\RandomSource;
use Symfony\Component\Console\Command\SignalableCommandInterface;

final class MeterSimCommand extends Command implements SignalableCommandInterface
{
    protected $signature = 'ispira:meter-sim
        {--job= : number of the job whose bench it is clipped to; P-0003 is one of practice}
        {--workshop= : name of the workshop; needed when two have a job of that number}
        {--fault= : key of the fault that the unit hides, as ispira:answer --list shows them; none when left out, and of a practice job the one that is hidden in it}
        {--port=5025 : port on loopback; 0 lets the system choose}
        {--seed=1 : chooses component values and noise}
        {--stuck= : function at which its dial stands, such as VOLT:AC}
        {--silent-after= : falls silent after so many answers}';

    protected $description = 'A simulated bench meter: a TCP server that speaks SCPI and measures the unit of a job';

    private bool $stopped = false;

    public function handle(): int
    {
        $workshop = $this->option('workshop');
        $job = JobOfNumber::find((string) $this->option('job'), $workshop === null ? null : (string) $workshop);
        if (is_string($job)) {
            $this->error($job);

            return self::FAILURE;
        }
        $fault = $this->option('fault');
        // A make-believe unit is the one that was made.
        $own = $job->practice_fault !== null && $fault === null;
        $hidden = $own ? null : HypothesisList::of($job->circuit(), true)[(string) ($fault ?? 'none')] ?? null;
        if (!$own && $hidden === null) {
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
        $this->info(
            "Simulated meter at {$server->address()}, clipped to " . JobView::number($job) . '. Stop it with Ctrl-C.',
        );
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
