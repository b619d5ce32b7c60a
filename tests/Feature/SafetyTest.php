<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Http\CsvCell;
use App\Http\Middleware\HandleInertiaRequests;
use App\Http\ThemeScript;
use App\Instruments\WorkshopNetwork;
use App\Models\User;
use App\Models\Workshop;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;
use Inertia\Testing\AssertableInertia as Page;
use Tests\TestCase;

final class SafetyTest extends TestCase
{
    public function testAPageRunsItsOwnScriptsOnlyAndStandsInNoFrame(): void
    {
        foreach (['/sign-in', '/no-such-page', '/'] as $path) {
            $page = $this->get($path);
            $policy = (string) $page->headers->get('Content-Security-Policy');
            preg_match('/script-src [^;]+/', $policy, $scripts);
            self::assertStringNotContainsString('unsafe', $scripts[0] ?? 'unsafe', $path);
            self::assertStringContainsString("frame-ancestors 'none'", $policy);
            self::assertStringContainsString("object-src 'none'", $policy);
            $page->assertHeader('X-Content-Type-Options', 'nosniff')->assertHeader('X-Frame-Options', 'DENY');
            $page->assertHeader('Referrer-Policy', 'same-origin')->assertHeaderMissing('X-Powered-By');
            $page->assertHeaderMissing('Strict-Transport-Security');
        }
        $this->get('https://127.0.0.1/sign-in')->assertHeader('Strict-Transport-Security');
        $html = (string) $this->get('/sign-in')->getContent();
        preg_match_all('/<script(?![^>]*\bsrc=)[^>]*>(.*?)<\/script>/s', $html, $inline);
        $run = array_values(array_filter($inline[1], static fn(string $script): bool => $script !== ''));
        foreach ($run as $script) {
            self::assertTrue(
                $script === ThemeScript::SOURCE || json_decode($script) !== null,
                'a script in the page that its policy does not name',
            );
        }
        self::assertStringContainsString(
            "'sha256-" . base64_encode(hash('sha256', ThemeScript::SOURCE, true)) . "'",
            (string) $this->get('/sign-in')->headers->get('Content-Security-Policy'),
        );
    }

    public function testAccountsOfTheDemoAreOutOnceItIsOff(): void
    {
        config(['ispira.demo' => true]);
        $iska = $this->person();
        $iska->update(['email' => 'iska' . User::DEMO]);
        $this->post('/sign-in', ['email' => $iska->email, 'password' => 'a long password'])->assertRedirect('/');
        $this->get('/')->assertOk();
        config(['ispira.demo' => false]);
        $this->get('/')->assertRedirect('/sign-in');
        $this->post('/sign-in', ['email' => $iska->email, 'password' => 'a long password'])->assertSessionHasErrors([
            'email' => 'The demo is switched off, and its accounts with it.',
        ]);
        $this->assertGuest();
    }

    public function testACellThatBeginsAFormulaIsAText(): void
    {
        foreach (['=1+1', '@SUM(A1)', '+cmd', '-cmd|x', "\tx"] as $cell) {
            self::assertSame("'$cell", CsvCell::written($cell));
            self::assertSame($cell, CsvCell::read(CsvCell::written($cell)));
        }
        foreach (['-0.6', '+12', "it's", "'tis", '12.4 V', '', 'OV-0087'] as $cell) {
            self::assertSame($cell, CsvCell::written($cell));
            self::assertSame($cell, CsvCell::read($cell));
        }
        $lead = $this->person('lead');
        $lead->update(['name' => '=HYPERLINK("http://x","y")']);
        $job = $this->jobOnBench($lead);
        $csv = $this->get("/jobs/$job->id/log.csv")
            ->assertOk()
            ->streamedContent();
        self::assertStringContainsString("'=HYPERLINK", $csv);
        self::assertStringNotContainsString(',=HYPERLINK', $csv);
    }

    public function testATransactionThatAnotherBrokeOffIsDoneAgainAsAWhole(): void
    {
        $connection = DB::connectUsing('second', config()->array('database.connections.mariadb'));
        $tries = 0;
        $done = $connection->transaction(static function () use (&$tries): string {
            if (++$tries < 3) {
                throw new \PDOException('Deadlock found when trying to get lock; try restarting transaction', 40001);
            }

            return 'done';
        });
        self::assertSame(['done', 3], [$done, $tries]);
        $tries = 0;
        try {
            $connection->transaction(static function () use (&$tries): never {
                ++$tries;
                throw new \LogicException('wrong in itself');
            });
        } catch (\LogicException) {
            self::assertSame(1, $tries, 'what is wrong in itself is not tried again');
        }
    }

    public function testAServerThatGoesAwayInTheMiddleIsWaitedFor(): void
    {
        config(['database.connections.third' => config()->array('database.connections.mariadb')]);
        $connection = DB::connection('third');
        $tries = 0;
        $seen = $connection->transaction(static function () use ($connection, &$tries): int {
            $number = (int) $connection->selectOne('SELECT CONNECTION_ID() AS number')->number;
            if (++$tries === 1) {
                DB::statement("KILL $number");
            }

            return (int) $connection->selectOne('SELECT 7 AS seven')->seven;
        });
        self::assertSame([7, 2], [$seen, $tries], 'the whole transaction was done again on a new connection');
        $number = (int) $connection->selectOne('SELECT CONNECTION_ID() AS number')->number;
        DB::statement("KILL $number");
        self::assertSame(8, (int) $connection->selectOne('SELECT 8 AS eight')->eight);
        $this->expectExceptionMessage('no_such_table');
        $connection->select('SELECT 1 FROM no_such_table');
    }

    public function testWhatWasWrittenInAnAttemptThatCameToNothingIsWrittenAgain(): void
    {
        config(['database.connections.fourth' => config()->array('database.connections.mariadb')]);
        $connection = DB::connection('fourth');
        $made = static function (string $name): Workshop {
            $workshop = new Workshop(['name' => $name]);
            $workshop->setConnection('fourth')->save();

            return $workshop;
        };
        [$kept, $gone, $new] = [$made('before'), $made('to go'), new Workshop(['name' => 'made outside'])];
        $new->setConnection('fourth');
        try {
            foreach (['killed', 'broken off'] as $how) {
                $tries = 0;
                $connection->transaction(static function () use ($connection, $kept, $how, &$tries): void {
                    $kept->update(['name' => $how]);
                    if (++$tries === 1) {
                        $number = (int) $connection->selectOne('SELECT CONNECTION_ID() AS number')->number;
                        $how === 'killed'
                            ? DB::statement("KILL $number")
                            : throw new \PDOException('Deadlock found when trying to get lock', 40001);
                        $connection->selectOne('SELECT 1');
                    }
                });
                self::assertSame(
                    [2, $how],
                    [$tries, $connection->table('workshops')->where('id', $kept->id)->value('name')],
                );
            }
            // What was kept stays known as kept: another transaction does not take it for an attempt of its own.
            $second = $made('once');
            $connection->transaction(static fn(): bool => $second->update(['name' => 'twice']));
            $connection->transaction(static fn(): mixed => $connection->selectOne('SELECT 1'));
            self::assertTrue($second->exists);
            self::assertSame([], $second->getDirty());
            $third = (new Workshop(['name' => 'third']))->setConnection('fourth');
            $connection->transaction(static fn(): bool => $third->save());
            $connection->transaction(static fn(): bool => $third->update(['name' => 'fourth']));
            self::assertSame('fourth', $connection->table('workshops')->where('id', $third->id)->value('name'));
            $connection
                ->table('workshops')
                ->whereIn('id', [$second->id, $third->id])
                ->delete();
            $tries = 0;
            $connection->transaction(static function () use ($gone, $new, &$tries): void {
                $gone->delete();
                $new->save();
                if (++$tries === 1) {
                    throw new \PDOException('Deadlock found when trying to get lock', 40001);
                }
            });
            self::assertSame(
                ['broken off', 'made outside'],
                $connection
                    ->table('workshops')
                    ->whereIn('id', [$kept->id, $gone->id, $new->id])
                    ->orderBy('id')
                    ->pluck('name')
                    ->all(),
            );
        } finally {
            $connection
                ->table('workshops')
                ->whereIn('id', [$kept->id, $gone->id, $new->id])
                ->delete();
        }
    }

    public function testMetersAreReadOneAtATimeAndOnlyInTheWorkshop(): void
    {
        $lead = $this->person('lead');
        $job = $this->jobOnBench($lead);
        $meter = $lead->workshop->meters()->create(['name' => 'Bench A', 'host' => '127.0.0.1', 'port' => 1025]);
        $lock = Cache::lock("meter-visit|$lead->id", 6);
        self::assertTrue($lock->get());
        $look = fn(): string => (string) $this->getJson("/jobs/$job->id/live/$meter->id?test=motor-volts@4")->json(
            'trouble',
        );
        self::assertStringContainsString('is being read for you already', $look());
        $lock->release();
        self::assertStringContainsString('cannot be reached or does not answer', $look());
        foreach (
            ['192.168.1.40' => true, '127.0.0.1' => true, '93.184.216.34' => false, 'no-such-host.invalid' => false]
            as $host => $own
        ) {
            self::assertSame($own, WorkshopNetwork::holds($host), $host);
        }
    }

    public function testMoreThanAPageMaySendIsRefusedBeforeItIsRead(): void
    {
        $this->postJson('/sign-in', ['email' => str_repeat('a', 2_100_000)])->assertStatus(413);
        $this->postJson('/sign-in', ['email' => array_fill(0, 20_001, 1)])->assertStatus(413);
        $this->post('/sign-in', ['email' => 'nobody@halvmark.example'], ['Transfer-Encoding' => 'chunked'])
            ->assertStatus(413)
            ->assertHeader('X-Frame-Options', 'DENY');
        $this->postJson('/sign-in', ['email' => array_fill(0, 10_000, 1)])->assertStatus(422);
        $this->get('/sign-in')->assertOk();
    }

    public function testAPartOfAPageReadAnewTakesNoMessageAway(): void
    {
        $this->actingAs($this->person());
        $this->from('/jobs/new')
            ->post('/jobs', ['kind' => 'loose-part'])
            ->assertSessionHasErrors('part');
        $this->get('/jobs/new?unit=van', [
            'X-Inertia' => 'true',
            'X-Inertia-Version' => (string) (new HandleInertiaRequests())->version(request()),
            'X-Inertia-Partial-Component' => 'NewJob',
            'X-Inertia-Partial-Data' => 'units',
        ]);
        $this->get('/ping', ['Accept' => 'image/png']);
        self::assertNotNull(session('errors'));
        $this->get('/jobs/new')->assertInertia(static fn(Page $page) => $page->has('errors.part'));
        self::assertNull(session('errors'));
    }

    public function testAnAccountWaitsHoweverManyAddressesTryIt(): void
    {
        $person = $this->person();
        $this->app?->make('auth')->logout();
        for ($address = 1; $address <= 30; ++$address) {
            $this->withServerVariables(['REMOTE_ADDR' => "10.0.0.$address"])
                ->post('/sign-in', ['email' => $person->email, 'password' => 'not this one'])
                ->assertSessionHasErrors('email');
        }
        $this->withServerVariables(['REMOTE_ADDR' => '10.0.0.99'])
            ->post('/sign-in', ['email' => mb_strtoupper($person->email), 'password' => 'a long password'])
            ->assertSessionHasErrors('email');
        self::assertStringContainsString('Too many tries', session('errors')->first('email'));
        $this->travel(16)->minutes();
        $this->post('/sign-in', ['email' => $person->email, 'password' => 'a long password'])->assertRedirect('/');
    }

    public function testWhatAServerInFrontSaysIsTakenOnlyWhereItIsTrusted(): void
    {
        $forwarded = ['X-Forwarded-Proto' => 'https', 'X-Forwarded-For' => '203.0.113.9'];
        $secure = fn(): array => array_map(
            static fn($cookie): bool => $cookie->isSecure(),
            $this->get('/sign-in', $forwarded)->headers->getCookies(),
        );
        self::assertNotContains(true, $secure());
        config(['trustedproxy.proxies' => '127.0.0.1']);
        self::assertNotContains(false, $secure());
        $this->get('/sign-in', $forwarded)->assertHeader('Strict-Transport-Security');
        self::assertSame('203.0.113.9', request()->ip());
    }

    public function testListsAndBrokenTextsWhereDatesAndTextsBelongAreRefusedInWords(): void
    {
        $lead = $this->person('lead');
        $job = $this->jobOnBench($lead);
        $list = [[], [1, ['a' => 'b']]];
        foreach (
            [['opensAt' => $list], ['closesAt' => $list], ['opensAt' => '99:99'], ['opensAt' => "\xC3("]]
            as $with
        ) {
            $this->put('/settings', $with + ['opensAt' => '08:00', 'closesAt' => '17:00'])->assertSessionHasErrors(
                array_key_first($with),
            );
        }
        $this->post("/jobs/$job->id/readings", [
            'id' => $this->ulid(),
            'test' => 'battery-volts@4',
            'value' => '12',
            'seenOn' => $list,
        ])->assertSessionHasErrors('seenOn');
        $this->post("/jobs/$job->id/replacements", [
            'id' => $this->ulid(),
            'parts' => ['pack'],
            'temporaryUntil' => $list,
        ])->assertSessionHasErrors('temporaryUntil');
        $data = $this->newJob(['complaint' => "Only the top\xC3( speed"]);
        $this->post('/jobs', $data)->assertRedirect("/jobs/{$data['id']}/circuit");
        self::assertSame('Only the top?( speed', $this->jobOf($data)->complaint);
    }
}
