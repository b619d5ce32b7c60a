<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Job;
use App\Models\Reading;
use Illuminate\Http\UploadedFile;
use Ispira\Core\Reading\Trust;
use PHPUnit\Framework\Attributes\TestWith;
use Tests\TestCase;

/**
 * What was seen before the job counts, with its day and less than what is seen now.
 */
final class SeenBeforeTest extends TestCase
{
    /**
     * @param array<string, mixed> $with
     *
     * @return \Illuminate\Testing\TestResponse<\Symfony\Component\HttpFoundation\Response>
     */
    private function see(Job $job, array $with): \Illuminate\Testing\TestResponse
    {
        return $this->post("/jobs/$job->id/readings", $with + ['id' => $this->ulid(), 'test' => 'noise']);
    }

    private function drag(Job $job): float
    {
        $suspects = $this->props("/jobs/$job->id/bench")['diagnosis']['suspects'];

        return array_sum(
            array_map(
                static fn(array $one): float => str_contains((string) $one['remedy'], 'motor')
                    ? (float) $one['probability']
                    : 0.0,
                $suspects,
            ),
        );
    }

    public function testAnOldSquealSpeaksForDragButLessThanOneThatIsHeardNow(): void
    {
        $nothing = $this->jobOnBench($this->person());
        $odds = [$this->drag($nothing)];
        $old = $this->jobOnBench($this->person());
        $this->see($old, ['choice' => 'squeal', 'seenOn' => '2024-11-02'])->assertSessionHasNoErrors();
        $odds[] = $this->drag($old);
        $now = $this->jobOnBench($this->person());
        $this->see($now, ['choice' => 'squeal'])->assertSessionHasNoErrors();
        $odds[] = $this->drag($now);
        self::assertGreaterThan($odds[0], $odds[1]);
        self::assertGreaterThan($odds[1], $odds[2]);
    }

    public function testItStandsWithItsDayAndIsNoComplaintThatHasToBeGone(): void
    {
        $job = $this->jobOnBench($this->person());
        $this->see($job, ['choice' => 'squeal', 'seenOn' => '2024-11-02']);
        $reading = Reading::query()->where('job_id', $job->id)->where('test', 'noise')->firstOrFail();
        self::assertSame(Trust::Remembered, $reading->trust);
        self::assertSame('2024-11-02', $reading->taken_at->toDateString());
        $shown = $this->props("/jobs/$job->id/bench")['readings'][0];
        self::assertTrue($shown['seenBefore']);
        $this->post("/jobs/$job->id/replacements", ['id' => $this->ulid(), 'parts' => ['pack']]);
        self::assertNotContains('noise', array_column($this->props("/jobs/$job->id/proof")['checks'], 'test'));
        $this->post("/jobs/$job->id/proof", ['id' => $this->ulid(), 'states' => self::ONLY_HIGH]);
        $this->see($job->refresh(), ['test' => 'look-pack-plug', 'choice' => 'burnt', 'seenOn' => '2025-03-01']);
        self::assertSame(
            0,
            Reading::query()->where('job_id', $job->id)->where('test', 'look-pack-plug')->value('episode'),
            'Seen on the machine as it was then.',
        );
        $file = (string) $this->get("/jobs/$job->id/file")->getContent();
        $this->from('/')
            ->post('/jobs/import', ['file' => UploadedFile::fake()->createWithContent('job.json', $file)])
            ->assertSessionHasNoErrors();
        $copy = Job::query()->where('workshop_id', $job->workshop_id)->whereKeyNot($job->id)->firstOrFail();
        $again = $copy->readings()->where('test', 'noise')->firstOrFail();
        self::assertSame('2024-11-02', $again->taken_at->toDateString());
        self::assertSame(Trust::Remembered, $again->trust);
    }

    #[TestWith(['tomorrow'])]
    #[TestWith(['2031-01-01'])]
    #[TestWith(['1931-01-01'])]
    #[TestWith(['2024-02-31'])]
    #[TestWith(['yesterday'])]
    public function testOnlyADayBeforeTodayIsOne(string $day): void
    {
        $job = $this->jobOnBench($this->person());
        $this->see($job, ['choice' => 'squeal', 'seenOn' => $day])->assertSessionHasErrors('seenOn');
        self::assertFalse(Reading::query()->where('job_id', $job->id)->where('test', 'noise')->exists());
    }
}
