<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Job;
use App\Repair\JobSheet;
use Illuminate\Testing\TestResponse;
use Ispira\Core\Job\JobStage;
use Symfony\Component\HttpFoundation\Response;
use Tests\TestCase;

/**
 * A repair is proved by what was complained of: the same map is no proof when it was right before.
 */
final class ComplaintProofTest extends TestCase
{
    /** @param array<string, string> $answers */
    private function squealing(array $answers): Job
    {
        $data = $this->newJob(['complaint' => 'Squeals in the cold', 'answers' => $answers], self::ALL_RIGHT);
        $this->actingAs($this->person())->post('/jobs', $data)->assertSessionHasNoErrors();
        $this->put("/jobs/{$data['id']}/circuit", ['values' => ['positions' => '4']]);
        $job = $this->jobOf($data);
        $this->post("/jobs/$job->id/replacements", ['id' => $this->ulid(), 'parts' => ['motor']]);
        $this->post("/jobs/$job->id/proof", ['id' => $this->ulid(), 'states' => self::ALL_RIGHT]);
        self::assertSame(JobStage::Proof, $job->refresh()->stage);

        return $job;
    }

    /**
     * @param array<string, mixed> $with
     *
     * @return TestResponse<Response>
     */
    private function close(Job $job, array $with = []): TestResponse
    {
        return $this->post("/jobs/$job->id/close", $with + ['id' => $this->ulid(), 'outcome' => 'repaired']);
    }

    private function check(Job $job, string $test, string $value): void
    {
        $this->post("/jobs/$job->id/checks", [
            'id' => $this->ulid(),
            'test' => $test,
            'value' => $value,
        ])->assertSessionHasNoErrors();
    }

    public function testANoiseIsProvedByItsBeingGoneInTheSameWords(): void
    {
        $job = $this->squealing(['noise' => 'squeal', 'air' => 'fits']);
        $this->close($job, ['reason' => 'sounds fine'])->assertSessionHasErrors('outcome');
        self::assertStringContainsString('heard while it runs', session('errors')->first('outcome'));
        $checks = array_column($this->props("/jobs/$job->id/proof")['checks'], null, 'test');
        self::assertTrue($checks['noise']['complained']);
        self::assertTrue($checks['noise']['always']);
        self::assertArrayNotHasKey('air', $checks, 'What was right is not asked again.');
        $this->check($job, 'noise', 'squeal');
        self::assertSame(JobStage::Bench, $job->refresh()->stage, 'It is still there: back to the bench.');
        $this->post("/jobs/$job->id/replacements", ['id' => $this->ulid(), 'parts' => ['mounting']]);
        $this->post("/jobs/$job->id/proof", ['id' => $this->ulid(), 'states' => self::ALL_RIGHT]);
        $this->check($job, 'noise', 'quiet');
        $this->close($job, ['reason' => 'no clamp at hand'])->assertSessionHasNoErrors();
        self::assertSame(JobStage::Closed, $job->refresh()->stage);
        $titles = array_column(app(JobSheet::class)->of($job, true)['checks'], 'right', 'title');
        self::assertTrue($titles['What is heard while it runs'], 'The sheet for the file has it too.');
    }

    public function testAMapThatWasRightBeforeAsksHowTheComplaintWasSeenToBeGone(): void
    {
        $job = $this->squealing([]);
        foreach (['current@4' => 17.0, 'feed-drop@4' => 0.3, 'ground-drop@4' => 0.1] as $test => $value) {
            $this->post("/jobs/$job->id/checks", ['id' => $this->ulid(), 'test' => $test, 'value' => (string) $value]);
        }
        $this->close($job, ['reason' => ''])->assertSessionHasErrors('reason');
        $this->close($job, ['reason' => 'Two nights in the cold shed, silent'])->assertSessionHasNoErrors();
    }

    public function testWaterIsFollowedToWhereItComesInBeforeTheJobCloses(): void
    {
        $job = $this->jobOnBench($this->person());
        $this->post("/jobs/$job->id/readings", [
            'id' => $this->ulid(),
            'test' => 'look-pack-plug',
            'choice' => 'corroded',
        ])->assertSessionHasNoErrors();
        self::assertSame(1, $job->refresh()->still_open);
        $this->post("/jobs/$job->id/replacements", ['id' => $this->ulid(), 'parts' => ['pack', 'pack-plug']]);
        $this->post("/jobs/$job->id/proof", ['id' => $this->ulid(), 'states' => self::ALL_RIGHT]);
        $this->close($job, ['reason' => 'no clamp'])->assertSessionHasErrors('outcome');
        self::assertStringContainsString('cowl', session('errors')->first('outcome'));
        $open = $this->props("/jobs/$job->id/proof")['stillOpen'];
        self::assertCount(1, $open);
        $settle = fn(string $who): TestResponse => $this->from('/')->post("/jobs/$job->id/entries", [
            'id' => $this->ulid(),
            'kind' => 'settled',
            'data' => ['of' => $open[0]['of'], 'aspect' => $open[0]['aspect'], 'who' => $who, 'how' => 'drain cleared'],
        ]);
        $settle('')->assertSessionHasErrors('who');
        $settle('Dav')->assertSessionHasNoErrors();
        $settle('Dav')->assertSessionHasErrors('of');
        $file = (string) $this->get("/jobs/$job->id/file")->getContent();
        $this->close($job, ['reason' => 'no clamp'])->assertSessionHasNoErrors();
        $upload = \Illuminate\Http\UploadedFile::fake()->createWithContent('job.json', $file);
        $this->from('/')
            ->post('/jobs/import', ['file' => $upload])
            ->assertSessionHasNoErrors();
        $copy = Job::query()->where('workshop_id', $job->workshop_id)->where('id', '!=', $job->id)->firstOrFail();
        self::assertSame(0, $copy->still_open, 'Settled stays settled in a copy.');
    }
}
