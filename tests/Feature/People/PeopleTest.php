<?php

declare(strict_types=1);

namespace Tests\Feature\People;

use App\Models\User;
use App\People\LinkMailed;
use App\People\PasswordRule;
use App\People\Role;
use Illuminate\Notifications\AnonymousNotifiable;
use Illuminate\Support\Facades\Notification;
use Tests\TestCase;

final class PeopleTest extends TestCase
{
    private const GOOD = 'three wet lake boats';

    public function testSomebodyIsInvitedAndJoinsOnce(): void
    {
        $lead = $this->person('lead');
        $this->actingAs($lead);
        $link = $this->invite('nils@quay.test', 'trainee');
        self::assertSame('nils@quay.test', $this->props('/people')['invitations'][0]['email']);
        $this->assertNull(session('link'));
        $this->post('/sign-out');
        self::assertSame('Nils', $this->props($link)['name']);
        $this->post($link, ['name' => '', 'password' => 'short'])->assertSessionHasErrors(['name', 'password']);
        $this->post($link, ['name' => 'Nils', 'password' => self::GOOD])->assertRedirect('/');
        $nils = User::query()->where('email', 'nils@quay.test')->firstOrFail();
        self::assertSame([Role::Trainee, $lead->workshop_id], [$nils->role, $nils->workshop_id]);
        $this->assertAuthenticatedAs($nils);
        $this->post('/sign-out');
        $this->get($link)->assertRedirect('/sign-in')->assertSessionHas('notice');
        $this->post($link, ['name' => 'Again', 'password' => self::GOOD])->assertRedirect('/sign-in');
        self::assertSame(1, User::query()->where('email', 'nils@quay.test')->count());
    }

    public function testALinkIsGoneWhenWithdrawnReplacedOrTooOld(): void
    {
        $this->actingAs($this->person('lead'));
        $first = $this->invite('ove@quay.test');
        $second = $this->invite('ove@quay.test');
        $this->get($first)->assertRedirect('/sign-in');
        $this->get($second)->assertOk();
        $id = $this->props('/people')['invitations'][0]['id'];
        $this->post("/invitations/$id/withdraw")->assertRedirect('/people');
        $this->get($second)->assertRedirect('/sign-in');
        $third = $this->invite('ove@quay.test');
        $this->travel(8)->days();
        $this->get($third)->assertRedirect('/sign-in');
        $this->get('/invited/' . str_repeat('a', 40))->assertRedirect('/sign-in');
    }

    public function testOfALinkOnlyItsHashIsKept(): void
    {
        $this->actingAs($lead = $this->person('lead'));
        $secret = basename($this->invite('siv@quay.test'));
        $kept = $lead->workshop->invitations()->firstOrFail();
        self::assertSame(hash('sha256', $secret), $kept->token);
        self::assertStringNotContainsString($secret, (string) json_encode($kept->getAttributes()));
    }

    public function testLettersGoOutOnlyWhereAMailerIsSet(): void
    {
        Notification::fake();
        $this->actingAs($this->person('lead'));
        $this->invite('mia@quay.test');
        Notification::assertNothingSent();
        config(['mail.default' => 'smtp']);
        $this->invite('mia@quay.test');
        Notification::assertSentTo(new AnonymousNotifiable(), LinkMailed::class);
    }

    public function testADisabledPersonIsOutAtOnceAndCannotComeBack(): void
    {
        $lead = $this->person('lead');
        $tess = $this->person('technician', $lead->workshop);
        $this->post('/sign-in', ['email' => $tess->email, 'password' => 'a long password']);
        $this->get('/')->assertOk();
        $session = session()->all();
        $this->actingAs($lead)
            ->post("/people/$tess->id/disable")
            ->assertRedirect('/people');
        $this->actingAs($tess->refresh())->withSession($session)->get('/')->assertRedirect('/sign-in');
        $this->post('/sign-in', ['email' => $tess->email, 'password' => 'a long password'])->assertSessionHasErrors([
            'email' => 'This account is disabled. Ask the lead of your workshop.',
        ]);
        $this->assertGuest();
        $this->actingAs($lead)->post("/people/$tess->id/enable");
        $this->post('/sign-out');
        $this->post('/sign-in', ['email' => $tess->email, 'password' => 'a long password'])->assertRedirect('/');
    }

    public function testTheLastLeadCannotLeave(): void
    {
        $lead = $this->person('lead');
        $this->actingAs($lead);
        $this->post("/people/$lead->id/role", ['role' => 'technician'])->assertSessionHasErrors('person');
        $this->post("/people/$lead->id/disable")->assertSessionHasErrors('person');
        $second = $this->person('technician', $lead->workshop);
        $this->post("/people/$second->id/role", ['role' => 'lead'])->assertSessionHasNoErrors();
        $this->post("/people/$lead->id/role", ['role' => 'technician'])->assertSessionHasNoErrors();
        $this->actingAs($lead->refresh())->get('/people')->assertForbidden();
    }

    public function testAnotherWorkshopsPeopleAreNotThere(): void
    {
        $stranger = $this->person('technician');
        $this->actingAs($this->person('lead'));
        foreach (['role', 'disable', 'enable', 'end-sessions', 'reset'] as $what) {
            $this->post("/people/$stranger->id/$what", ['role' => 'lead'])->assertNotFound();
        }
        self::assertNull($stranger->refresh()->disabled_at);
        self::assertCount(1, $this->props('/people')['people']);
    }

    public function testAChangedPasswordEndsTheOtherSessions(): void
    {
        $user = $this->person();
        $this->post('/sign-in', ['email' => $user->email, 'password' => 'a long password']);
        $other = session()->all();
        $this->put('/account/password', ['current' => 'wrong', 'password' => self::GOOD])->assertSessionHasErrors(
            'current',
        );
        $this->put('/account/password', [
            'current' => 'a long password',
            'password' => 'passwordpassword1',
        ])->assertSessionHasErrors('password');
        $this->put('/account/password', [
            'current' => 'a long password',
            'password' => self::GOOD,
        ])->assertSessionHasNoErrors();
        $this->get('/')->assertOk();
        $this->flushSession();
        $this->actingAs($user->refresh())->withSession($other)->get('/')->assertRedirect('/sign-in');
        $this->post('/sign-in', ['email' => $user->email, 'password' => self::GOOD])->assertRedirect('/');
    }

    public function testALeadMakesALinkForANewPassword(): void
    {
        $lead = $this->person('lead');
        $tess = $this->person('technician', $lead->workshop);
        $this->actingAs($lead)
            ->post("/people/$tess->id/reset")
            ->assertRedirect('/people');
        $link = (string) parse_url(session('link')->url, \PHP_URL_PATH);
        $this->post('/sign-out');
        $this->post($link, ['password' => self::GOOD])->assertRedirect('/');
        $this->assertAuthenticatedAs($tess);
        $this->post('/sign-out');
        $this->post('/sign-in', ['email' => $tess->email, 'password' => 'a long password'])->assertSessionHasErrors();
        $this->post('/sign-in', ['email' => $tess->email, 'password' => self::GOOD])->assertRedirect('/');
        $acts = array_column($this->actingAs($lead)->props('/audit')['acts'], 'words');
        self::assertSame(
            ['set a new password by a link, for', 'made a link for a new password for'],
            array_slice($acts, 0, 2),
        );
    }

    public function testEndedSessionsAreEnded(): void
    {
        $lead = $this->person('lead');
        $tess = $this->person('technician', $lead->workshop);
        $this->post('/sign-in', ['email' => $tess->email, 'password' => 'a long password']);
        $session = session()->all();
        $this->actingAs($lead)->post("/people/$tess->id/end-sessions");
        $this->actingAs($tess->refresh())->withSession($session)->get('/')->assertRedirect('/sign-in');
    }

    public function testPasswordsThatAreTriedFirstAreRefused(): void
    {
        foreach (
            ['short', 'password1234', '123456789012', 'QWERTYUIOP123', 'iloveyou!!!!', 'summersummer', '............']
            as $bad
        ) {
            self::assertNotNull(PasswordRule::refusal($bad), $bad);
        }
        self::assertNotNull(PasswordRule::refusal('Halvmark-2026', ['Halvmark']));
        self::assertNull(PasswordRule::refusal(self::GOOD, ['Halvmark']));
        self::assertNotNull(PasswordRule::refusal(str_repeat('wet lake ', 40)));
        $shipped = array_filter(explode("\n", (string) file_get_contents(resource_path('passwords/commonest.txt'))));
        self::assertCount(1000, array_unique($shipped));
    }

    public function testEverybodyKeepsTheirOwnAccount(): void
    {
        $user = $this->person('trainee');
        $this->actingAs($user);
        $this->put('/account', ['name' => '', 'theme' => 'neon'])->assertSessionHasErrors(['name', 'theme']);
        $this->put('/account', ['name' => 'Tess Vik', 'theme' => 'dash'])->assertSessionHasNoErrors();
        $props = $this->props('/account');
        self::assertSame(['Tess Vik', 'dash'], [$props['name'], $props['theme']]);
        self::assertSame('dash', $props['user']['theme']);
        $this->put('/account', ['name' => 'Tess Vik', 'theme' => 'device']);
        self::assertNull($user->refresh()->theme);
    }

    public function testSettingsAreChangedByALeadAndWrittenDown(): void
    {
        $lead = $this->person('lead');
        $this->actingAs($lead);
        $settings = $this->props('/settings');
        $sent = array_intersect_key(
            $settings,
            array_flip([
                'name',
                'address',
                'contact',
                'currency',
                'labourPerHour',
                'comeBackHours',
                'taxLine',
                'unitSystem',
                'opensAt',
                'closesAt',
                'workingDays',
                'missingTools',
                'odds',
                'timeZone',
                'againMonths',
            ]),
        );
        $tool = $settings['tools'][0]['value'];
        $this->put(
            '/settings',
            [
                'currency' => 'euro',
                'labourPerHour' => 'much',
                'closesAt' => '07:00',
                'workingDays' => [],
                'missingTools' => ['spoon'],
            ] + $sent,
        )->assertSessionHasErrors(['currency', 'closesAt', 'workingDays', 'missingTools.0']);
        $this->put('/settings', ['labourPerHour' => 'much'] + $sent)->assertSessionHasErrors('labourPerHour');
        $this->put(
            '/settings',
            [
                'name' => 'Quay workshop',
                'labourPerHour' => '82,50',
                'missingTools' => [$tool],
                'contact' => '+00 123',
            ] + $sent,
        )->assertSessionHasNoErrors();
        $workshop = $lead->workshop->refresh();
        self::assertSame(
            [82.5, [$tool], '+00 123'],
            [$workshop->labour_per_hour, $workshop->missing_tools, $workshop->contact],
        );
        $act = $this->props('/audit')['acts'][0];
        self::assertSame('changed the settings of', $act['words']);
        self::assertStringContainsString('labour per hour', $act['detail']);
        self::assertSame($lead->name, $act['by']);
    }

    private function invite(string $email, string $role = 'technician'): string
    {
        $this->post('/people/invite', ['name' => 'Nils', 'email' => $email, 'role' => $role])
            ->assertSessionHasNoErrors()
            ->assertRedirect('/people');

        return (string) parse_url(session('link')->url, \PHP_URL_PATH);
    }

    public function testNumbersAreSaidAsThePersonWritesThem(): void
    {
        $user = $this->person();
        $job = $this->jobOnBench($user);
        $told = fn(): string => (string) json_encode(
            $this->props("/jobs/$job->id/bench?test=motor-volts@4")['diagnosis'],
        );
        self::assertDoesNotMatchRegularExpression('/\\d,\\d V/', $told());
        $account = ['name' => $user->name, 'theme' => 'device'];
        $this->put('/account', $account + ['numbers' => 'both'])->assertSessionHasErrors('numbers');
        $this->put('/account', $account + ['numbers' => 'comma'])->assertSessionHasNoErrors();
        self::assertSame('comma', $this->props('/account')['numbers']);
        self::assertMatchesRegularExpression('/\\d,\\d/', $told());
        self::assertStringNotContainsString('13.0 ', $told());
        // What a table is read from by another program stays as programs write it.
        $this->post("/jobs/$job->id/readings", [
            'id' => $this->ulid(),
            'test' => 'motor-volts@4',
            'value' => '12,4',
        ])->assertSessionHasNoErrors();
        $csv = $this->get("/jobs/$job->id/log.csv")
            ->assertOk()
            ->streamedContent();
        self::assertStringContainsString('12.4', $csv);
    }
}
