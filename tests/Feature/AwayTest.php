<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Job;
use Ispira\Core\Job\JobStage;
use Opis\JsonSchema\Validator;
use Tests\TestCase;

final class AwayTest extends TestCase
{
    public function testAKeptJobKeepsToItsSchema(): void
    {
        $user = $this->person();
        $job = $this->jobOnBench($user);
        $kept = $this->actingAs($user)
            ->get("/jobs/$job->id/along")
            ->assertOk()
            ->getContent();
        $validator = new Validator();
        $resolver = $validator->resolver();
        self::assertNotNull($resolver);
        foreach (['kept-job', 'job'] as $name) {
            $file = base_path("docs/formats/$name.schema.json");
            $resolver->registerRaw(json_decode((string) file_get_contents($file), false, 64, \JSON_THROW_ON_ERROR));
        }
        $result = $validator->validate(
            json_decode((string) $kept, false, 64, \JSON_THROW_ON_ERROR),
            'https://ispira.example/formats/kept-job.schema.json',
        );
        self::assertTrue($result->isValid(), (string) json_encode($result->error()?->args()));
    }

    public function testWhatWasKeptIsTakenFromNobodyButItsPerson(): void
    {
        $user = $this->person();
        $job = $this->jobOnBench($user);
        $reading = ['id' => $this->ulid(), 'test' => 'battery-volts@4', 'value' => '12.6'];
        $this->actingAs($this->person('technician', $user->workshop))
            ->withHeader('X-Ispira-Person', (string) $user->id)
            ->post("/jobs/$job->id/readings", $reading)
            ->assertForbidden()
            ->assertHeader('X-Ispira-Person', 'another');
        self::assertSame(0, $job->readings()->whereNull('speed_map_id')->count());
        $this->actingAs($user)
            ->withHeader('X-Ispira-Person', (string) $user->id)
            ->post("/jobs/$job->id/readings", $reading)
            ->assertRedirect("/jobs/$job->id/bench")
            ->assertSessionHasNoErrors();
        self::assertSame(1, $job->readings()->whereNull('speed_map_id')->count());
    }

    public function testWhatWaitedOnADeviceWasTakenWhenItWasEntered(): void
    {
        $this->freezeSecond();
        $user = $this->person();
        $job = $this->jobOnBench($user);
        $this->actingAs($user);
        $reading = fn(): array => ['id' => $this->ulid(), 'test' => 'battery-volts@4', 'value' => '12.6'];
        foreach (['5400' => 5400, '-60' => 0, '99999999' => 0, 'long ago' => 0] as $waited => $seconds) {
            $this->withHeaders(['X-Ispira-Waited' => (string) $waited, 'X-Ispira-Person' => (string) $user->id])
                ->post("/jobs/$job->id/readings", $one = $reading())
                ->assertNoContent();
            $taken = $job->readings()->where('id', $one['id'])->firstOrFail()->taken_at;
            self::assertSame(now()->subSeconds($seconds)->toIso8601String(), $taken->toIso8601String());
        }
    }

    public function testWhatIsSentByItselfIsAnsweredInOneWord(): void
    {
        $user = $this->person();
        $job = $this->jobOnBench($user);
        $this->actingAs($user)->withHeaders(['X-Ispira-Waited' => '7', 'X-Ispira-Person' => (string) $user->id]);
        $wrong = ['id' => $this->ulid(), 'test' => 'battery-volts@4', 'value' => 'twelve'];
        $this->post("/jobs/$job->id/readings", $wrong)
            ->assertStatus(422)
            ->assertJsonPath('errors.0', '"twelve" is not a value in V. Type a number such as 12.4, 0,35 or 420m.');
        self::assertNull(session('errors'), 'no other page shows it');
        $this->post("/jobs/$job->id/readings", ['value' => '12.6'] + $wrong)->assertNoContent();
        $this->post("/jobs/$job->id/to-proof")->assertNoContent();
        $this->post("/jobs/$job->id/readings", ['id' => $this->ulid(), 'value' => '12.6'] + $wrong)
            ->assertStatus(422)
            ->assertJsonPath('errors.0', 'This job is no longer on the bench: the reading was not recorded.');
        $this->app['auth']->forgetGuards();
        $this->post("/jobs/$job->id/readings", ['value' => '12.6'] + $wrong)->assertUnauthorized();
    }

    public function testWhatIsNotTakenIsToldApartFromWhatIs(): void
    {
        $user = $this->person();
        $job = $this->jobOnBench($user);
        $this->actingAs($user)->post("/jobs/$job->id/to-proof");
        $why = 'This job is no longer on the bench: the reading was not recorded.';
        $reading = ['id' => $this->ulid(), 'test' => 'battery-volts@4', 'value' => '12.6'];
        $this->post("/jobs/$job->id/readings", $reading)->assertSessionHasErrors(['stage' => $why]);
        $this->post("/jobs/$job->id/remedy", [
            'id' => $this->ulid(),
            'option' => 'x',
            'reason' => 'y',
        ])->assertSessionHasErrors('stage');
        $close = ['id' => $this->ulid(), 'outcome' => 'not-repaired', 'reason' => 'The owner took it away.'];
        $this->post("/jobs/$job->id/close", $close)->assertSessionHasNoErrors();
        $this->post("/jobs/$job->id/close", $close)->assertSessionHasNoErrors();
        $this->post("/jobs/$job->id/close", ['id' => $this->ulid()] + $close)->assertSessionHasErrors('stage');
        self::assertSame(JobStage::Closed, Job::query()->findOrFail($job->id)->stage);
    }

    public function testTheShellBearsNobodysName(): void
    {
        $this->actingAs($this->person())->get('/shell')->assertOk()->assertDontSee('Tess');
        self::assertNull($this->props('/shell')['user']);
    }
}
