<?php

declare(strict_types=1);

namespace Tests\Feature;

use Illuminate\Testing\PendingCommand;
use Illuminate\Testing\TestResponse;
use Inertia\Testing\AssertableInertia as Page;
use Symfony\Component\HttpFoundation\Cookie;
use Tests\TestCase;

final class SignInTest extends TestCase
{
    public function testNobodyGetsInWithoutSigningIn(): void
    {
        foreach (['/', '/jobs/new', '/ping', '/jobs/' . $this->ulid() . '/bench'] as $path) {
            $this->get($path)->assertRedirect('/sign-in');
        }
    }

    public function testTheRightPasswordLetsInAndSignOutLetsOut(): void
    {
        $user = $this->person();
        $this->post('/sign-in', ['email' => $user->email, 'password' => 'a long password'])->assertRedirect('/');
        $this->get('/')->assertOk();
        $this->post('/sign-out')->assertRedirect('/sign-in');
        $this->assertGuest();
    }

    public function testWrongPasswordsAreRefusedAndThenSlowedDown(): void
    {
        $user = $this->person();
        for ($n = 0; $n < 5; ++$n) {
            $this->post('/sign-in', ['email' => $user->email, 'password' => 'wrong'])->assertSessionHasErrors([
                'email' => 'E-mail address and password do not belong together.',
            ]);
        }
        $response = $this->post('/sign-in', ['email' => $user->email, 'password' => 'a long password']);
        $response->assertSessionHasErrors('email');
        self::assertStringContainsString('Too many tries', session('errors')->first('email'));
        $this->assertGuest();
    }

    public function testOnlyActsAndWholePagesGiveASession(): void
    {
        $given = static fn(TestResponse $response): array => array_map(
            static fn(Cookie $cookie): string => $cookie->getName(),
            $response->headers->getCookies(),
        );
        $both = [config()->string('session.cookie'), 'XSRF-TOKEN'];
        $user = $this->person();
        $job = $this->jobOnBench($user);
        auth()->forgetUser();
        self::assertEqualsCanonicalizing($both, $given($this->get('/sign-in', ['Accept' => 'text/html'])));
        // A page that lost its session asks on, and sends on.
        self::assertSame([], $given($this->getJson("/jobs/$job->id/pulse")->assertUnauthorized()));
        $kept = $this->post("/jobs/$job->id/readings", [], ['X-Ispira-Person' => (string) $user->id]);
        self::assertSame([], $given($kept->assertUnauthorized()));
        $in = $this->post('/sign-in', ['email' => $user->email, 'password' => 'a long password']);
        self::assertEqualsCanonicalizing($both, $given($in->assertRedirect('/')));
        self::assertSame([], $given($this->getJson("/jobs/$job->id/pulse")->assertOk()));
        self::assertEqualsCanonicalizing($both, $given($this->get('/', ['Accept' => 'text/html'])->assertOk()));
    }

    public function testPasswordsAreStoredHashed(): void
    {
        self::assertNotSame('a long password', $this->person()->getAuthPassword());
        self::assertTrue(password_verify('a long password', $this->person()->getAuthPassword()));
    }

    public function testDemoAccountsAreShownOnlyInDemoMode(): void
    {
        $this->get('/sign-in')->assertInertia(fn(Page $page) => $page->component('SignIn')->where('demo', null));
        config(['ispira.demo' => true]);
        $this->person()->update(['email' => 'x@halvmark.example']);
        $this->get('/sign-in')->assertInertia(
            fn(Page $page) => $page->where('demo.accounts.0.email', 'x@halvmark.example'),
        );
    }

    public function testACommandMakesTheFirstWorkshopAndLead(): void
    {
        $this->command('lea@quay.test')
            ->expectsQuestion('Password of the lead, at least 12 characters', 'short')
            ->assertFailed();
        $this->command('lea@quay.test')
            ->expectsQuestion('Password of the lead, at least 12 characters', 'long enough now')
            ->assertSuccessful();
        $this->post('/sign-in', ['email' => 'lea@quay.test', 'password' => 'long enough now'])->assertRedirect('/');
        $this->command('lea@quay.test')->assertFailed();
        $this->command('nowhere')->assertFailed();
    }

    private function command(string $email): PendingCommand
    {
        $command = $this->artisan('ispira:workshop', ['name' => 'Quay', 'lead' => 'Lea', 'email' => $email]);
        self::assertInstanceOf(PendingCommand::class, $command);

        return $command;
    }
}
