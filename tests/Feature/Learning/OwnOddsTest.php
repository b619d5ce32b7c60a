<?php

declare(strict_types=1);

namespace Tests\Feature\Learning;

use App\Models\Job;
use App\Models\User;
use App\Models\Workshop;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;
use Tests\TestCase;

final class OwnOddsTest extends TestCase
{
    public function testAProvenJobMovesTheOddsOfTheNextAndAReopenedOneNoMore(): void
    {
        $user = $this->person();
        $before = $this->chanceOf($this->jobOnBench($user), 'motor-plug');
        $proven = [];
        for ($n = 0; $n < 6; ++$n) {
            $proven[] = $this->proven($user, 'motor-plug');
        }
        self::assertSame(6.0, $this->counted($user));
        $after = $this->chanceOf($this->jobOnBench($user), 'motor-plug');
        self::assertGreaterThan(1.5 * $before, $after);

        $this->post("/jobs/{$proven[0]->id}/reopen", ['id' => $this->ulid(), 'cameBack' => true, 'reason' => 'Back.']);
        self::assertSame(5.0, $this->counted($user), 'what did not hold counts no more');
        $verdicts = (string) DB::table('job_results')->where('job_id', $proven[0]->id)->value('verdicts');
        self::assertSame('[["motor-plug",null,false]]', $verdicts);

        $user->workshop->update(['odds' => Workshop::SHIPPED_ODDS]);
        self::assertEqualsWithDelta($before, $this->chanceOf($this->jobOnBench($user->refresh()), 'motor-plug'), 1e-9);
        // Another workshop has odds of its own.
        self::assertEqualsWithDelta($before, $this->chanceOf($this->jobOnBench($this->person()), 'motor-plug'), 1e-9);
    }

    public function testWhatATraineeClosesCountsOnceItIsCountersigned(): void
    {
        $user = $this->person();
        $trainee = $this->person('trainee', $user->workshop);
        $job = $this->proven($trainee, 'pack');
        self::assertSame(0.0, $this->counted($user));
        $open = $job->refresh()->stillOpen()->items();
        $sign = array_values(array_filter($open, static fn($one): bool => $one->aspect === 'countersign'))[0];
        $this->actingAs($user)
            ->post("/jobs/$job->id/entries", [
                'id' => $this->ulid(),
                'kind' => 'settled',
                'data' => ['of' => $sign->of, 'aspect' => $sign->aspect, 'who' => 'Tess', 'how' => 'Looked at.'],
            ])
            ->assertSessionHasNoErrors();
        self::assertSame(1.0, $this->counted($user));
    }

    public function testThePageShowsOwnBesideShippedWithItsNumbers(): void
    {
        $user = $this->person();
        self::assertNull($this->actingAs($user)->props('/experience')['family']);
        $this->proven($user, 'motor');
        $this->proven($user, 'motor', 'Ovel cab');
        $page = $this->props('/experience');
        self::assertSame(['stepped-blower', 2.0], [$page['family'], (float) $page['jobs']]);
        self::assertSame(
            [['Ovel cab', 1.0]],
            array_map(static fn(array $one): array => [$one['value'], (float) $one['jobs']], $page['models']),
        );
        $motor = array_column($page['odds'], null, 'remedy')['motor'];
        self::assertSame(2.0, (float) $motor['jobs']);
        self::assertGreaterThan($motor['shipped'], $motor['own']);
        self::assertGreaterThan($motor['low'], $motor['own']);
        self::assertLessThan($motor['high'], $motor['own']);
        $this->get('/experience?family=lift&model=none')->assertOk();
        $model = $this->props('/experience?family=stepped-blower&model=Ovel%20cab');
        self::assertSame('Ovel cab', $model['model']);
    }

    public function testExperienceGoesFromWorkshopToWorkshopAndCanBeTakenBack(): void
    {
        $giver = $this->person('lead', Workshop::query()->create(['name' => 'Quay workshop']));
        for ($n = 0; $n < 8; ++$n) {
            $this->proven($giver, 'pack-plug');
        }
        $file = (string) $this->get('/experience.json')->assertOk()->getContent();
        foreach (['Van 7', 'Tess', 'Only the top', substr((string) now()->year, 0, 4) . '-01'] as $private) {
            self::assertStringNotContainsString($private, $file);
        }
        $taker = $this->person('lead');
        $before = $this->chanceOf($this->jobOnBench($taker), 'pack-plug');
        $this->send($file, '0.7')->assertSessionHasErrors('weight');
        $this->send('no json', '1')->assertSessionHasErrors('file');
        $this->send($file, '1')->assertSessionHasNoErrors();
        $this->send($file, '0.5')->assertSessionHasNoErrors();
        $page = $this->props('/experience?family=stepped-blower');
        self::assertCount(1, $page['taken'], 'the same workshop again replaces what it gave');
        self::assertSame(
            ['Quay workshop', 0.5, 8.0],
            [$page['taken'][0]['name'], (float) $page['taken'][0]['weight'], (float) $page['taken'][0]['jobs']],
        );
        self::assertSame(4.0, (float) $page['jobs']);
        self::assertGreaterThan(1.1 * $before, $this->chanceOf($this->jobOnBench($taker), 'pack-plug'));
        self::assertSame('[]', json_encode(json_decode((string) $this->get('/experience.json')->getContent())->counts));

        $stranger = $this->person('lead');
        $this->actingAs($stranger)
            ->delete("/experience/{$page['taken'][0]['id']}")
            ->assertNotFound();
        $this->actingAs($taker)
            ->delete("/experience/{$page['taken'][0]['id']}")
            ->assertRedirect('/experience');
        self::assertEqualsWithDelta($before, $this->chanceOf($this->jobOnBench($taker), 'pack-plug'), 1e-9);
        $this->actingAs($giver);
        $this->send($file, '1')->assertSessionHasErrors('file');
    }

    /** @return TestResponse<\Symfony\Component\HttpFoundation\Response> */
    private function send(string $json, string $weight): TestResponse
    {
        return $this->post('/experience', [
            'weight' => $weight,
            'file' => UploadedFile::fake()->createWithContent('experience.json', $json),
        ]);
    }

    private function proven(User $user, string $part, ?string $model = null): Job
    {
        $job = $this->jobOnBench($user);
        $job->unit->update(['model' => $model]);
        $this->post("/jobs/$job->id/replacements", ['id' => $this->ulid(), 'parts' => [$part]]);
        $this->proveAndClose($job);
        // So that nothing was replaced on the unit of the next job.
        $job->unit->update(['name' => "Van of $job->id"]);
        // A verdict of these few readings would be none: only what was replaced is known.
        $job->replacements()->update(['verdict' => null]);
        $job->refresh()->recountOpen();

        return $job;
    }

    private function chanceOf(Job $job, string $remedy): float
    {
        $suspects = $this->props("/jobs/$job->id/bench")['diagnosis']['suspects'];

        return (float) (array_column($suspects, 'probability', 'remedy')[$remedy] ?? 0.0);
    }

    private function counted(User $user): float
    {
        $shares = (float) DB::table('proven_faults')->where('workshop_id', $user->workshop_id)->sum('share');
        $sum = (float) DB::table('proven_counts')->where('workshop_id', $user->workshop_id)->sum('jobs');
        self::assertEqualsWithDelta($shares, $sum, 1e-9, 'the sums go with what they are of');

        return round($shares, 9);
    }
}
