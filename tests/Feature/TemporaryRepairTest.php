<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Job;
use App\Models\Replacement;
use Illuminate\Testing\TestResponse;
use Symfony\Component\HttpFoundation\Response;
use Tests\TestCase;

/**
 * A repair that bridges some days: allowed by its family only, after its tests, and never closed as repaired.
 */
final class TemporaryRepairTest extends TestCase
{
    private function flueFan(): Job
    {
        $data = $this->newJob(
            [
                'family' => 'flue-fan',
                'parameters' => ['pressure' => '160'],
                'complaint' => 'Squeals',
                'answers' => ['proves' => 'lights', 'noise' => 'squeal'],
            ],
            ['off' => 'right', 'full' => 'slow'],
        );
        $this->actingAs($this->person())->post('/jobs', $data)->assertSessionHasNoErrors();
        $this->put("/jobs/{$data['id']}/circuit", ['values' => ['pressure' => '160']]);

        return $this->jobOf($data);
    }

    private function read(Job $job, string $test, string $choice): void
    {
        $this->post("/jobs/$job->id/readings", [
            'id' => $this->ulid(),
            'test' => $test,
            'choice' => $choice,
        ])->assertSessionHasNoErrors();
    }

    /**
     * @param list<string> $parts
     *
     * @return TestResponse<Response>
     */
    private function bridge(Job $job, string $until, array $parts = ['fan']): TestResponse
    {
        return $this->post("/jobs/$job->id/replacements", [
            'id' => $this->ulid(),
            'parts' => $parts,
            'temporaryUntil' => $until,
        ]);
    }

    public function testItNeedsItsTestsAndIsRefusedWithPlay(): void
    {
        $job = $this->flueFan();
        $in = now()->addDays(6)->toDateString();
        $this->bridge($job, $in)->assertSessionHasErrors([
            'temporaryUntil' =>
                'First: Turn the shaft by hand, at its cooling blade, and let it coast. Without it the bearings must not be bridged.',
        ]);
        foreach (['spin' => 'gritty', 'axial-play' => 'play', 'look-seal' => 'tight'] as $test => $choice) {
            $this->read($job, $test, $choice);
        }
        $this->bridge($job, $in)->assertSessionHasErrors([
            'temporaryUntil' => 'Refused: Pull and push the shaft along its length: moves. Only a new fan will do.',
        ]);
        self::assertSame(0, Replacement::query()->where('job_id', $job->id)->count());
    }

    public function testItClosesAsTemporaryWithItsDayAndKeepsItInTheJobFile(): void
    {
        $job = $this->flueFan();
        foreach (['spin' => 'gritty', 'axial-play' => 'none', 'look-seal' => 'tight'] as $test => $choice) {
            $this->read($job, $test, $choice);
        }
        $this->bridge($job, now()->addDays(60)->toDateString())->assertSessionHasErrors('temporaryUntil');
        $this->bridge($job, now()->subDay()->toDateString())->assertSessionHasErrors('temporaryUntil');
        $this->bridge($job, now()->addDays(3)->toDateString(), ['control'])->assertSessionHasErrors('temporaryUntil');
        $due = now()->addDays(6)->toDateString();
        $this->bridge($job, $due)
            ->assertSessionHasNoErrors()
            ->assertRedirect("/jobs/$job->id/proof");
        $this->post("/jobs/$job->id/proof", [
            'id' => $this->ulid(),
            'states' => ['off' => 'right', 'full' => 'right'],
        ])->assertSessionHasNoErrors();
        $shown = ['pressure' => '160', 'outlet-loose' => 'same', 'smoke-seal' => 'still', 'noise' => 'quiet'];
        foreach ($shown as $test => $value) {
            $this->post("/jobs/$job->id/checks", [
                'id' => $this->ulid(),
                'test' => $test,
                'value' => $value,
            ])->assertSessionHasNoErrors();
        }
        $this->post("/jobs/$job->id/close", [
            'id' => $this->ulid(),
            'outcome' => 'repaired',
            'reason' => 'no clamp',
        ])->assertSessionHasErrors('outcome');
        $this->post("/jobs/$job->id/close", [
            'id' => $this->ulid(),
            'outcome' => 'temporary',
            'reason' => 'no clamp',
        ])->assertSessionHasErrors('dueOn');
        $this->post("/jobs/$job->id/close", [
            'id' => $this->ulid(),
            'outcome' => 'temporary',
            'reason' => 'no clamp',
            'dueOn' => now()->subDay()->toDateString(),
        ])->assertSessionHasErrors('dueOn');
        $this->post("/jobs/$job->id/close", [
            'id' => $this->ulid(),
            'outcome' => 'temporary',
            'reason' => 'no clamp',
            'dueOn' => $due,
        ])->assertSessionHasNoErrors();
        self::assertSame($due, $this->props("/jobs/$job->id/proof")['job']['temporaryUntil']);
        self::assertSame($due, $this->props('/due')['jobs'][0]['dueOn']);
        self::assertSame($due, $this->props('/')['groups'][0]['jobs'][0]['job']['temporaryUntil']);
        $file = json_decode((string) $this->get("/jobs/$job->id/file")->getContent(), true);
        self::assertSame($due, $file['replacements'][0]['temporaryUntil']);
    }

    public function testOtherUnitsOfferNone(): void
    {
        $job = $this->jobOnBench($this->person());
        self::assertNull($this->props("/jobs/$job->id/swap")['temporary']);
        $this->bridge($job, now()->addDays(3)->toDateString(), ['pack'])->assertSessionHasErrors('temporaryUntil');
    }
}
