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
 * Times the pages of a workshop with a thousand jobs and of one with a hundred thousand, in turn.
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
        $few = new LargeWorkshop();
        $many = new LargeWorkshop();
        try {
            $few->growTo(self::SMALL);
            $this->output->writeln(sprintf('grows to %s jobs ...', number_format($this->large)));
            $many->growTo($this->large);
            // Compiler and database learn the pages once before anything counts.
            $this->times($few, $many);
            $this->output->writeln(
                sprintf(
                    'medians in ms over %d requests, in turn: %s and %s jobs, %s readings',
                    self::TIMES,
                    number_format(self::SMALL),
                    number_format($this->large),
                    number_format($many->readings()),
                ),
            );
            foreach ($this->times($few, $many) as $what => [$small, $large]) {
                $this->output->writeln(sprintf('  %-34s %8.1f %8.1f   × %.2f', $what, $small, $large, $large / $small));
            }
            $this->scans($many);
        } finally {
            $few->remove();
            $many->remove();
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

    /** @return array<string, array{float, float}> medians, of the one and of the other in turn: both meet the same machine */
    private function times(LargeWorkshop $few, LargeWorkshop $many): array
    {
        $times = [];
        $addresses = self::pages($many);
        foreach (self::pages($few) as $what => $address) {
            $all = [[], []];
            for ($n = 0; $n < self::WARM_UP + self::TIMES; ++$n) {
                foreach ([[$few, $address], [$many, $addresses[$what]]] as $side => [$made, $asked]) {
                    $start = hrtime(true);
                    $status = $this->ask($made->user, $asked);
                    if ($n >= self::WARM_UP) {
                        $all[$side][] = (hrtime(true) - $start) / 1e6;
                    }
                    $status === 200 || throw new \RuntimeException("$asked answered with $status.");
                }
            }
            $times[$what] = [BenchCommand::median($all[0]), BenchCommand::median($all[1])];
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
