<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\ProcedureRun;
use App\Models\User;
use Illuminate\Http\UploadedFile;
use Illuminate\Testing\TestResponse;
use Inertia\Testing\AssertableInertia as Page;
use Ispira\Core\Procedure\ProcedureFormat;
use Ispira\Core\Procedure\ProcedureLibrary;
use Symfony\Component\HttpFoundation\Response;
use Tests\TestCase;

/**
 * Procedures against the server's clock.
 */
final class ProceduresTest extends TestCase
{
    public function testProceduresOfAJobAreThoseOfItsFamily(): void
    {
        $job = $this->jobOnBench($this->person());
        $keys = array_column($this->props("/procedures?job=$job->id")['procedures'], 'key');
        self::assertContains('pack-swap', $keys);
        self::assertContains('wheel-and-motor', $keys);
        self::assertNotContains('wiper-park', $keys);
        self::assertCount(19, $this->props('/procedures')['procedures']);
        foreach ((new ProcedureLibrary())->all() as $key => $procedure) {
            $this->get("/procedures/$key")->assertInertia(
                fn(Page $page) => $page->component('Procedure')->where('procedure.title', $procedure->title),
            );
        }
        $this->get('/procedures/none')->assertNotFound();
    }

    public function testAWaitGoesOnWhateverHappensToThePage(): void
    {
        $this->freezeTime();
        $run = $this->begin($this->person(), 'wiper-park');
        foreach ([0, 1] as $step) {
            $this->done($run, $step)->assertSessionHasNoErrors();
        }
        // The third step waits ten seconds.
        $this->travel(4)->seconds();
        $this->done($run, 2, seen: true)->assertSessionHasErrors([
            'step' => 'Not yet: 0:06 to go. It has to come to rest by itself.',
        ]);
        // Another device, another session, later: the clock is the server's.
        $this->flushSession();
        $this->actingAs(
            $run->job?->workshop->users()->firstOrFail() ??
                User::query()->where('workshop_id', $run->workshop_id)->firstOrFail(),
        );
        $this->travel(3)->seconds();
        self::assertEqualsWithDelta(3.0, $this->props("/runs/$run->id")['run']['remaining'], 0.01);
        $this->travel(3)->seconds();
        $this->done($run, 2, seen: true)->assertSessionHasNoErrors();
        self::assertSame(3, $this->props("/runs/$run->id")['run']['step']);
    }

    public function testWhatIsNotSeenStopsAndASecondPressDoesNothing(): void
    {
        $run = $this->begin($this->person(), 'pack-swap');
        $this->done($run, 0)->assertSessionHasErrors('step');
        $this->done($run, 0, seen: true)->assertSessionHasNoErrors();
        $this->done($run, 0, seen: true)->assertSessionHasErrors([
            'step' => 'This step is not up any more: the page shows where the procedure stands.',
        ]);
        self::assertSame(1, $this->props("/runs/$run->id")['run']['step']);
    }

    public function testAProcedureIsBrokenOffWithItsReason(): void
    {
        $run = $this->begin($this->person(), 'pack-swap');
        $this->post("/runs/$run->id/marks", ['kind' => 'aborted'])->assertSessionHasErrors('note');
        $this->post("/runs/$run->id/marks", ['kind' => 'aborted', 'note' => 'wrong part'])->assertSessionHasNoErrors();
        self::assertSame('wrong part', $this->props("/runs/$run->id")['run']['aborted']);
        $this->done($run, 0, seen: true)->assertSessionHasErrors('step');
        $page = $this->props('/procedures');
        self::assertSame('broken off', $page['running'][0]['state']);
        $head = array_column($page['procedures'], null, 'key')['pack-swap'];
        self::assertSame([1, $run->id], [$head['worked'], $head['last']['id']]);
    }

    public function testTheSameBeginningTwiceIsOneRun(): void
    {
        $user = $this->person();
        $job = $this->jobOnBench($user);
        $id = $this->ulid();
        foreach ([1, 2] as $time) {
            $this->post('/procedures/pack-swap/runs', ['id' => $id, 'job' => $job->id])->assertRedirect(
                '/runs/' . strtolower($id),
            );
        }
        self::assertSame(1, $user->workshop->procedureRuns()->count());
    }

    public function testAStoredChargeIsComputedFromWhatIsTold(): void
    {
        $user = $this->person();
        $this->actingAs($user);
        $begin = fn(array $charge): TestResponse => $this->post(
            '/procedures/stored-charge/runs',
            ['id' => $this->ulid()] + $charge,
        );
        $begin(['microfarads' => '2350'])->assertSessionHasErrors('ohms');
        $begin(['microfarads' => 'much', 'ohms' => '100k', 'volts' => '325'])->assertSessionHasErrors('microfarads');
        $begin(['microfarads' => '-3', 'ohms' => '100k', 'volts' => '325'])->assertSessionHasErrors('microfarads');
        self::assertSame(0, $user->workshop->procedureRuns()->count());
        $begin(['microfarads' => '2350', 'ohms' => '100k', 'volts' => '325'])->assertSessionHasNoErrors();
        $run = $user->workshop->procedureRuns()->firstOrFail();
        self::assertSame(1120, $this->props("/runs/$run->id")['run']['procedure']['steps'][2]['wait']['least']);
    }

    public function testALeadWritesTheWorkshopsOwnAndRunsKeepTheirText(): void
    {
        $lead = $this->person('lead');
        $run = $this->begin($lead, 'pack-swap');
        $typed = $this->props('/procedures/pack-swap/edit')['typed'];
        $own = ['key' => 'pack-swap', 'title' => 'Swap a pack, our way'] + $typed;
        $this->post('/procedures', ['steps' => []] + $own)->assertSessionHasErrors([
            'steps' => 'Write at least one step.',
        ]);
        $this->post('/procedures', $own)->assertSessionHasNoErrors()->assertRedirect('/procedures/pack-swap');
        $stored = $this->props('/procedures/pack-swap')['procedure'];
        self::assertSame('Swap a pack, our way', $stored['title']);
        self::assertSame('Swap a resistor pack', $this->props("/runs/$run->id")['run']['procedure']['title']);
        // Written through the form, nothing else of it has changed.
        $shipped = ProcedureFormat::toArray((new ProcedureLibrary())->all()['pack-swap']);
        $file = $this->get('/procedures/pack-swap.json')->assertOk();
        self::assertEquals(
            ['title' => 'Swap a pack, our way'] + $shipped,
            json_decode((string) $file->getContent(), true, 64, \JSON_THROW_ON_ERROR),
        );
        $technician = $this->person('technician', $lead->workshop);
        $this->actingAs($technician)->post('/procedures', $own)->assertForbidden();
        $this->get('/procedures/new')->assertForbidden();
        $this->get('/procedures/pack-swap/edit')->assertForbidden();
        $this->delete('/procedures/pack-swap')->assertForbidden();
        $this->actingAs($this->person('lead'));
        self::assertSame(
            'Swap a resistor pack',
            $this->props('/procedures/pack-swap')['procedure']['title'],
            'Another workshop keeps what ships.',
        );
        $this->delete('/procedures/pack-swap')->assertNotFound();
        $this->actingAs($lead)->delete('/procedures/pack-swap')->assertRedirect('/procedures/pack-swap');
        self::assertSame('Swap a resistor pack', $this->props('/procedures/pack-swap')['procedure']['title']);
    }

    public function testANewProcedureHasItsNameForItselfAndGoesOutAndInAsAFile(): void
    {
        $lead = $this->person('lead');
        $this->actingAs($lead);
        $typed = $this->props('/procedures/new')['typed'];
        $step = ['text' => 'Look at it', 'least' => '5 min', 'reason' => 'It cools.'] + $typed['steps'][0];
        $new = ['title' => 'Board of the ferry', 'summary' => 'When it hums.', 'abort' => 'Switch it off.'];
        $new += ['steps' => [$step]] + $typed;
        $this->post('/procedures', $new)->assertRedirect('/procedures/board-of-the-ferry');
        $this->post('/procedures', $new)->assertSessionHasErrors('title');
        $this->post('/procedures', ['key' => 'gone'] + $new)->assertNotFound();
        $json = (string) $this->get('/procedures/board-of-the-ferry.json')->getContent();
        $this->actingAs($this->person('lead'));
        $this->post('/procedures/import', [
            'file' => UploadedFile::fake()->createWithContent('a.json', $json),
        ])->assertRedirect('/procedures/board-of-the-ferry');
        self::assertSame(300, $this->props('/procedures/board-of-the-ferry')['procedure']['steps'][0]['wait']['least']);
        $this->post('/procedures/import', [
            'file' => UploadedFile::fake()->createWithContent('a.json', '{}'),
        ])->assertSessionHasErrors('file');
        $new = str_replace('"board-of-the-ferry"', '"new"', $json);
        $this->post('/procedures/import', [
            'file' => UploadedFile::fake()->createWithContent('a.json', $new),
        ])->assertSessionHasErrors('file');
        $this->post('/procedures/import')->assertSessionHasErrors(['file' => 'Choose a procedure file.']);
    }

    public function testStepsDoneAwayArriveTogetherAndTheServersClockIsAskedAgain(): void
    {
        $this->freezeTime();
        $user = $this->person();
        $run = $this->begin($user, 'wiper-park');
        $this->travel(60)->seconds();
        $this->withHeaders(['X-Ispira-Waited' => '5', 'X-Ispira-Person' => (string) $user->id]);
        $ids = [];
        foreach ([[0, 3.0], [1, 2.0], [2, 11.0]] as [$step, $waited]) {
            $sent = ['id' => ($ids[] = $this->ulid()), 'step' => $step, 'seen' => true, 'waited' => $waited];
            $this->post("/runs/$run->id/done", $sent)->assertNoContent();
        }
        // One whose answer was lost comes again: it is the same one.
        $this->post("/runs/$run->id/done", ['id' => $ids[2], 'step' => 2, 'seen' => true])->assertNoContent();
        $other = ProcedureRun::query()->create(['id' => strtolower($this->ulid())] + $run->getAttributes());
        $this->post("/runs/$other->id/done", ['id' => $ids[2], 'step' => 0])->assertStatus(422);
        self::assertSame(3, $run->refresh()->marks->count());
        self::assertSame([3.0, 2.0, 11.0], $run->marks->pluck('waited')->all());

        // A device whose clock was set cannot have waited longer than the server knows of.
        $this->flushHeaders();
        $again = $this->begin($user, 'wiper-park');
        $this->withHeaders(['X-Ispira-Waited' => '5', 'X-Ispira-Person' => (string) $user->id]);
        foreach ([[0, 0.0], [1, 0.0]] as [$step, $waited]) {
            $this->post("/runs/$again->id/done", ['id' => $this->ulid(), 'step' => $step, 'waited' => $waited]);
        }
        $this->post("/runs/$again->id/done", ['id' => $this->ulid(), 'step' => 2, 'seen' => true, 'waited' => 5000])
            ->assertStatus(422)
            ->assertJsonPath('errors.0', 'Not yet: 0:05 to go. It has to come to rest by itself.');

        // With the server in reach nothing counts but its own clock.
        $this->flushHeaders();
        $here = $this->begin($user, 'wiper-park');
        foreach ([0, 1] as $step) {
            $this->done($here, $step)->assertSessionHasNoErrors();
        }
        $this->post("/runs/$here->id/done", ['step' => 2, 'seen' => true, 'waited' => 5000])->assertSessionHasErrors();
    }

    public function testWhatBeganOnADeviceBeganThenAndItsFirstWaitBeginsNow(): void
    {
        $this->freezeTime();
        $user = $this->person();
        $this->actingAs($user)->withHeaders(['X-Ispira-Waited' => '600', 'X-Ispira-Person' => (string) $user->id]);
        $this->post('/procedures/wiper-park/runs', ['id' => ($id = $this->ulid())])->assertNoContent();
        $run = ProcedureRun::query()->findOrFail(strtolower($id));
        self::assertSame(now()->subSeconds(600)->toIso8601String(), $run->started_at->toIso8601String());
        self::assertEqualsWithDelta(now()->getPreciseTimestamp() / 1e6, $run->toCore()->run->since, 0.01);
    }

    public function testAnotherWorkshopsRunIsNotFound(): void
    {
        $run = $this->begin($this->person(), 'pack-swap');
        $this->actingAs($this->person());
        $this->get("/runs/$run->id")->assertNotFound();
        $this->done($run, 0, seen: true)->assertNotFound();
        $this->post("/runs/$run->id/marks", ['kind' => 'aborted', 'note' => 'x'])->assertNotFound();
    }

    private function begin(User $user, string $procedure): ProcedureRun
    {
        $this->actingAs($user)
            ->post("/procedures/$procedure/runs", ['id' => ($id = $this->ulid())])
            ->assertRedirect('/runs/' . strtolower($id));

        return ProcedureRun::query()->findOrFail(strtolower($id));
    }

    /** @return TestResponse<Response> */
    private function done(ProcedureRun $run, int $step, bool $seen = false): TestResponse
    {
        return $this->post("/runs/$run->id/done", ['step' => $step, 'seen' => $seen]);
    }
}
