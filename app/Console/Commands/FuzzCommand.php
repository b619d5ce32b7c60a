<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Console\Fuzz\FuzzRun;
use App\Console\Fuzz\LiveIds;
use App\Console\Fuzz\Mutation;
use App\Console\Fuzz\SpoiltFiles;
use App\Models\User;
use GuzzleHttp\Psr7\MultipartStream;
use Illuminate\Console\Command;
use Illuminate\Support\Facades\Route;

/**
 * Every route with spoilt requests, every import with spoilt files, against a running installation with the demo's data.
 */
final class FuzzCommand extends Command
{
    private const SEEDS = 'tests/Fuzz/requests.json';
    /** What would end the session of who asks, or leave nothing to ask about: now and then only. */
    private const SELDOM = ['sign-out', 'people/{person}', 'account/password', 'DELETE jobs/{job}', 'merge', 'sign-in'];

    private const LONGEST_ADDRESS = 6000;

    protected $signature = 'ispira:fuzz
        {--url=http://127.0.0.1:8010 : a running installation on the same database}
        {--requests=1000 : spoilt requests}
        {--files=200 : spoilt files}
        {--seed=1 : the same seed spoils in the same way}
        {--person=runa@halvmark.example : who asks}';

    protected $description = 'Send spoilt requests and files to every route, and count what should not be answered';

    public function handle(): int
    {
        if ($this->laravel->environment('production')) {
            $this->error('Not in production: it writes nonsense into jobs.');

            return self::FAILURE;
        }
        $person = User::query()->where('email', $this->option('person'))->firstOrFail();
        $failed = false;
        foreach (['requests' => $this->requests(...), 'files' => $this->files(...)] as $kind => $make) {
            $count = (int) $this->option($kind);
            $run = new FuzzRun((string) $this->option('url'), new Mutation((int) $this->option('seed')), $person);
            $began = microtime(true);
            $run->send($count, $make(), fn(int $done) => $this->output->write("\r$done $kind"));
            ksort($run->statuses);
            $this->line(
                sprintf(
                    "\r%d spoilt %s in %.0f s, the longest %.2f s",
                    $count,
                    $kind,
                    microtime(true) - $began,
                    $run->longest,
                ),
            );
            foreach ($run->statuses as $status => $number) {
                $this->line(sprintf('  %d: %d', $status, $number));
            }
            foreach (array_slice($run->wrong, 0, 40) as $wrong) {
                $this->error(mb_scrub($wrong));
            }
            $this->line(count($run->wrong) . ' that should not be');
            $failed = $failed || $run->wrong !== [];
        }

        return $failed ? self::FAILURE : self::SUCCESS;
    }

    /** @return \Closure(Mutation, LiveIds): array{0: string, 1: string, 2: array<string, string>, 3: string} */
    private function requests(): \Closure
    {
        $seeds = self::seeds();

        return static function (Mutation $mutation, LiveIds $ids) use ($seeds): array {
            do {
                $route = $mutation->one(array_keys($seeds));
            } while (self::isSeldom($route) && $mutation->below(40) > 0);
            [$method, $uri] = explode(' ', $route, 2);
            $body = $mutation->one($seeds[$route]);
            if (isset($body['id']) && $mutation->below(8) > 0) {
                $body['id'] = FuzzRun::ulid();
            }
            $body = $mutation->body($body);
            $path = '/' . ltrim($ids->fill($uri, $mutation), '/');
            if ($method === 'GET') {
                // A longer address is refused before the application sees it.
                return [$method, mb_strcut("$path?" . http_build_query($body), 0, self::LONGEST_ADDRESS), [], ''];
            }
            $json = (string) json_encode($body, JSON_INVALID_UTF8_IGNORE | JSON_PARTIAL_OUTPUT_ON_ERROR);
            if ($mutation->below(20) === 0) {
                return [$method, $path, ['Content-Type' => 'application/json'], $mutation->bytes($json)];
            }

            return $mutation->below(3) === 0
                ? [$method, $path, ['Content-Type' => 'application/x-www-form-urlencoded'], http_build_query($body)]
                : [$method, $path, ['Content-Type' => 'application/json'], $json];
        };
    }

    /** @return \Closure(Mutation, LiveIds): array{0: string, 1: string, 2: array<string, string>, 3: MultipartStream} */
    private function files(): \Closure
    {
        $files = SpoiltFiles::all(base_path());

        return static function (Mutation $mutation, LiveIds $ids) use ($files): array {
            [$uri, $field, $name, $bytes, $more] = $mutation->one($files);
            $body = new MultipartStream([
                ['name' => $field, 'filename' => $name, 'contents' => $mutation->bytes($bytes)],
                ...array_map(
                    static fn(string $key, string $value): array => ['name' => $key, 'contents' => $value],
                    array_keys($more),
                    array_values($more),
                ),
                ['name' => 'id', 'contents' => FuzzRun::ulid()],
            ]);

            return [
                'POST',
                '/' . $ids->fill($uri, $mutation),
                ['Content-Type' => "multipart/form-data; boundary={$body->getBoundary()}"],
                $body,
            ];
        };
    }

    /**
     * What tests send, and every route that none of them sends anything to, by method and address.
     *
     * @return non-empty-array<string, non-empty-list<array<array-key, mixed>>>
     */
    private static function seeds(): array
    {
        $known = json_decode((string) file_get_contents(base_path(self::SEEDS)), true, 64, JSON_THROW_ON_ERROR);
        $seeds = [];
        foreach (Route::getRoutes()->getRoutes() as $route) {
            foreach (array_diff($route->methods(), ['HEAD']) as $method) {
                $key = "$method {$route->uri()}";
                $seeds[$key] =
                    is_array($known[$key] ?? null) && $known[$key] !== [] ? array_values($known[$key]) : [[]];
            }
        }

        return $seeds === [] ? throw new \LogicException('There are no routes.') : $seeds;
    }

    private static function isSeldom(string $route): bool
    {
        foreach (self::SELDOM as $part) {
            if (str_contains($route, $part)) {
                return true;
            }
        }

        return false;
    }
}
