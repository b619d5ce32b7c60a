<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Http\CsvCell;
use App\Http\ThemeScript;
use App\Instruments\WorkshopNetwork;
use App\Models\User;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;
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
}
