<?php

declare(strict_types=1);

namespace App\Console\Fuzz;

use App\Models\User;
use GuzzleHttp\Client;
use GuzzleHttp\Cookie\CookieJar;
use GuzzleHttp\Pool;
use GuzzleHttp\Promise\PromiseInterface;
use GuzzleHttp\Psr7\MultipartStream;
use GuzzleHttp\Psr7\Request;
use GuzzleHttp\TransferStats;
use Illuminate\Support\Facades\RateLimiter;
use Illuminate\Support\Str;
use Psr\Http\Message\ResponseInterface;

/**
 * Sends spoilt requests to a running installation and keeps every answer that should not be: a server's error, none at
 * all, one that took too long.
 */
final class FuzzRun
{
    private const AT_ONCE = 4;
    private const TOO_LONG_SECONDS = 5.0;
    private const REFRESH_EVERY = 400;

    private CookieJar $cookies;
    private readonly Client $client;
    private readonly LiveIds $ids;
    /** @var array<int, int> answers by status */
    public array $statuses = [];
    /** @var list<string> what should not be */
    public array $wrong = [];
    public float $longest = 0.0;
    private readonly Processors $processors;

    /** @param User $person who asks, with the password of the demo */
    public function __construct(string $url, private readonly Mutation $mutation, private readonly User $person)
    {
        $this->ids = new LiveIds();
        $this->processors = new Processors();
        $this->cookies = new CookieJar();
        $this->client = new Client([
            'base_uri' => $url,
            'allow_redirects' => false,
            'http_errors' => false,
            'timeout' => 30,
        ]);
    }

    /**
     * @param \Closure(Mutation, LiveIds): array{0: string, 1: string, 2: array<string, string>, 3: string|MultipartStream} $make
     *        method, address, headers and body of the next request
     * @param \Closure(int): void $told how many are done
     */
    public function send(int $count, \Closure $make, \Closure $told): void
    {
        $this->signIn();
        $pool = new Pool(
            $this->client,
            (function () use ($count, $make, $told): \Generator {
                for ($number = 0; $number < $count; ++$number) {
                    if ($number % self::REFRESH_EVERY === 0) {
                        $this->ids->refresh();
                        $told($number);
                    }
                    yield $this->one(...$make($this->mutation, $this->ids));
                }
            })(),
            ['concurrency' => self::AT_ONCE],
        );
        $pool->promise()->wait();
    }

    /**
     * @param array<string, string> $headers
     *
     * @return \Closure(): PromiseInterface
     */
    private function one(string $method, string $path, array $headers, string|MultipartStream $body): \Closure
    {
        $token = $this->cookies->getCookieByName('XSRF-TOKEN')?->getValue();
        $request = new Request(
            $method,
            $path,
            $headers + ['X-XSRF-TOKEN' => rawurldecode((string) $token), 'Accept' => 'text/html'],
            $body,
        );
        $about = "$method $path " . ($body instanceof MultipartStream ? 'a file' : mb_strcut($body, 0, 600));

        return function () use ($request, $about): PromiseInterface {
            $before = $this->processors->away();

            return $this->client
                ->sendAsync($request, [
                    'cookies' => $this->cookies,
                    'on_stats' => fn(TransferStats $stats) => $this->took(
                        (float) $stats->getTransferTime(),
                        $before,
                        $about,
                    ),
                ])
                ->then(
                    function (ResponseInterface $answer) use ($about): void {
                        $status = $answer->getStatusCode();
                        $this->statuses[$status] = ($this->statuses[$status] ?? 0) + 1;
                        if ($status >= 500) {
                            $this->wrong[] = "$status: $about";
                        }
                        // Something spoilt may have ended the session, as it should.
                        if (str_ends_with($answer->getHeaderLine('Location'), '/sign-in') || $status === 419) {
                            $this->signIn();
                        }
                    },
                    function (\Throwable $error) use ($about): void {
                        $this->wrong[] = "no answer ({$error->getMessage()}): $about";
                    },
                );
        };
    }

    /** @param float $before seconds that the processors had been away when it was sent */
    private function took(float $seconds, float $before, string $about): void
    {
        $this->longest = max($this->longest, $seconds);
        if ($seconds > self::TOO_LONG_SECONDS) {
            $away = $this->processors->away() - $before;
            $this->wrong[] = sprintf('%.1f s, %.1f of it without processors: %s', $seconds, $away, $about);
        }
    }

    private function signIn(): void
    {
        // It may have locked itself out, and changed its own address, password or role.
        User::query()
            ->whereKey($this->person->id)
            ->update([
                'email' => $this->person->email,
                'password' => $this->person->password,
                'role' => $this->person->role,
                'disabled_at' => null,
            ]);
        RateLimiter::clear("sign-in:{$this->person->email}");
        $with = ['cookies' => $this->cookies];
        $this->client->get('/sign-in', $with);
        $token = rawurldecode((string) $this->cookies->getCookieByName('XSRF-TOKEN')?->getValue());
        $this->client->post(
            '/sign-in',
            $with + [
                'headers' => ['X-XSRF-TOKEN' => $token],
                'json' => ['email' => $this->person->email, 'password' => config()->string('ispira.demo_password')],
            ],
        );
    }

    public static function ulid(): string
    {
        return strtolower((string) Str::ulid());
    }
}
