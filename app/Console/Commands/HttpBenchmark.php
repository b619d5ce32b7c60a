<?php

declare(strict_types=1);

namespace App\Console\Commands;

use GuzzleHttp\Client;
use GuzzleHttp\Cookie\CookieJar;
use Illuminate\Console\OutputStyle;
use Illuminate\Support\Str;

/**
 * Times the recording of a reading against an empty route that needs signing in, in the same run.
 */
final class HttpBenchmark
{
    private const TIMES = 25;

    private readonly Client $client;

    private readonly CookieJar $cookies;

    public function __construct(private readonly OutputStyle $output, string $url)
    {
        $this->cookies = new CookieJar();
        $this->client = new Client([
            'base_uri' => $url,
            'cookies' => $this->cookies,
            'allow_redirects' => false,
            'http_errors' => false,
        ]);
    }

    public function run(): void
    {
        $this->client->get('/sign-in');
        $this->post('/sign-in', [
            'email' => 'iska@halvmark.example',
            'password' => config()->string('ispira.demo_password'),
        ]);
        $page = (string) $this->client->get('/?q=Everything')->getBody();
        if (preg_match('#&quot;id&quot;:&quot;([0-9a-z]{26})&quot;#', $page, $found) !== 1) {
            $this->output->writeln('The demo has no job to record readings in: start it afresh.');

            return;
        }
        $empty = $this->times(fn() => $this->client->get('/ping'));
        $record = $this->times(
            fn() => $this->post("/jobs/$found[1]/readings", [
                'id' => (string) Str::ulid(),
                'test' => 'battery-volts@7',
                'value' => '12.6',
            ]),
        );
        $bench = $this->times(fn() => $this->client->get("/jobs/$found[1]/bench"));
        $this->output->writeln(
            sprintf(
                'HTTP medians: empty route %.0f ms, record a reading %.0f ms, the bench with its diagnosis %.0f ms',
                $empty,
                $record,
                $bench,
            ),
        );
    }

    /** @param array<string, string> $form */
    private function post(string $path, array $form): void
    {
        $token = $this->cookies->getCookieByName('XSRF-TOKEN')?->getValue() ?? '';
        $this->client->post($path, ['form_params' => $form, 'headers' => ['X-XSRF-TOKEN' => urldecode($token)]]);
    }

    private function times(\Closure $request): float
    {
        $times = [];
        for ($n = 0; $n < self::TIMES; ++$n) {
            $start = hrtime(true);
            $request();
            $times[] = (hrtime(true) - $start) / 1e6;
        }

        return BenchCommand::median($times);
    }
}
