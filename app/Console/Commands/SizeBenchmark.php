<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Models\User;
use Illuminate\Console\OutputStyle;
use Illuminate\Contracts\Http\Kernel;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\DB;

/**
 * Times the pages of a workshop with a thousand jobs, and again when it has grown a hundredfold, in one run.
 */
final class SizeBenchmark
{
    private const SMALL = 1_000;
    private const TIMES = 21;
    private const WARM_UP = 3;

    /** A table of fewer rows is read whole because that is quicker. */
    private const FEW_ROWS = 100;

    public function __construct(
        private readonly OutputStyle $output,
        private readonly Kernel $kernel,
        private readonly int $large,
    ) {}

    public function run(): void
    {
        $made = new LargeWorkshop();
        try {
            $made->growTo(self::SMALL);
            // The compiler learns the pages once, or the first column would pay for it.
            $this->times($made);
            $small = $this->times($made);
            $this->output->writeln(sprintf('grows to %s jobs ...', number_format($this->large)));
            $made->growTo($this->large);
            $large = $this->times($made);
            $this->output->writeln(
                sprintf(
                    'medians in ms over %d requests, %s and %s jobs, %s readings',
                    self::TIMES,
                    number_format(self::SMALL),
                    number_format($this->large),
                    number_format($made->readings()),
                ),
            );
            foreach ($small as $what => $ms) {
                $this->output->writeln(
                    sprintf('  %-34s %8.1f %8.1f   × %.2f', $what, $ms, $large[$what], $large[$what] / $ms),
                );
            }
            $this->scans($made);
        } finally {
            $made->remove();
        }
    }

    /** @return array<string, string> address by what it is */
    private static function pages(LargeWorkshop $made): array
    {
        $job = $made->someJob();

        return [
            'jobs, what is going on' => '/',
            'jobs, mine' => '/?view=mine',
            'jobs, closed' => '/?view=closed',
            'jobs, all, oldest first' => '/?view=all&sort=oldest',
            'jobs of a kind of circuit' => '/?family=stepped-blower',
            'jobs of a person' => "/?person={$made->user->id}",
            'jobs that wait for a part' => '/?view=part',
            'search, a number' => '/?q=J-0777',
            'search, three half-words' => '/?q=van+7+heat',
            'search, one rare word' => '/?q=' . urlencode('Cabin 9'),
            'search, words of every job' => '/?q=mette+blower',
            'search, nothing found' => '/?q=zeppelin',
            'due' => '/due',
            'a unit' => "/units/$job->unit_id",
            'a model' => '/models?name=' . urlencode((string) $job->unit->model),
            'new job' => '/jobs/new',
            'new job, a unit begun' => '/jobs/new?unit=Van',
            'the complaint of a job' => "/jobs/$job->id/complaint",
            'the bench' => "/jobs/$job->id/bench",
            'the log' => "/jobs/$job->id/log",
            'what our jobs say' => '/experience',
            'what things take' => '/terms',
            'lessons' => '/lessons',
            'results' => '/results?by=model',
        ];
    }

    /** @return array<string, float> */
    private function times(LargeWorkshop $made): array
    {
        $times = [];
        foreach (self::pages($made) as $what => $address) {
            $all = [];
            for ($n = 0; $n < self::WARM_UP + self::TIMES; ++$n) {
                $start = hrtime(true);
                $status = $this->ask($made->user, $address);
                if ($n >= self::WARM_UP) {
                    $all[] = (hrtime(true) - $start) / 1e6;
                }
                $status === 200 || throw new \RuntimeException("$address answered with $status.");
            }
            $times[$what] = BenchCommand::median($all);
        }

        return $times;
    }

    private function ask(User $user, string $address): int
    {
        $fresh = User::query()->findOrFail($user->id);
        Auth::setUser($fresh);
        $request = Request::create(
            $address,
            'GET',
            [],
            [],
            [],
            [
                'HTTP_X_INERTIA' => 'true',
                'HTTP_X_INERTIA_VERSION' => '',
                'HTTP_ACCEPT' => 'application/json',
            ],
        );
        $response = $this->kernel->handle($request);
        if ($response->getStatusCode() === 409) {
            $request = Request::create($address);
            Auth::setUser($fresh);
            $response = $this->kernel->handle($request);
        }
        $this->kernel->terminate($request, $response);

        return $response->getStatusCode();
    }

    /** Says which queries of these pages read a whole table. */
    private function scans(LargeWorkshop $made): void
    {
        DB::enableQueryLog();
        foreach (self::pages($made) as $address) {
            $this->ask($made->user, $address);
        }
        $queries = [];
        foreach (DB::getQueryLog() as $one) {
            if (str_starts_with($one['query'], 'select')) {
                $queries[$one['query']] = $one['bindings'];
            }
        }
        DB::disableQueryLog();
        $scanned = [];
        foreach ($queries as $sql => $bindings) {
            foreach (DB::select("explain $sql", $bindings) as $row) {
                if (
                    ($row->type ?? '') === 'ALL' &&
                    !str_starts_with((string) $row->table, '<') &&
                    (int) $row->rows > self::FEW_ROWS
                ) {
                    $scanned[] = "$row->table, $row->rows rows: $sql";
                }
            }
        }
        $this->output->writeln(
            sprintf('%d different queries, %d of which read a whole table', count($queries), count($scanned)),
        );
        foreach ($scanned as $one) {
            $this->output->writeln("  $one");
        }
    }
}
