<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Job;
use App\Models\Reading;
use Illuminate\Http\UploadedFile;
use Illuminate\Testing\TestResponse;
use Ispira\Core\Device\FamilyRegistry;
use Ispira\Core\Job\JobStage;
use PHPUnit\Framework\Attributes\DataProviderExternal;
use Symfony\Component\HttpFoundation\Response;
use Tests\Core\Families;
use Tests\TestCase;

/**
 * A circuit chosen wrongly can be changed: what still says something stays, the rest is set aside in words.
 */
final class OtherCircuitTest extends TestCase
{
    private function blower(): Job
    {
        $data = $this->newJob(['answers' => ['noise' => 'rub', 'outlets' => 'windscreen']], self::ALL_RIGHT);
        $this->actingAs($this->person())->post('/jobs', $data)->assertSessionHasNoErrors();
        $values = ['positions' => '4', 'motorAmps' => '16.5', 'supply' => '12'];
        $this->put("/jobs/{$data['id']}/circuit", ['values' => $values])->assertSessionHasNoErrors();
        $job = $this->jobOf($data);
        foreach (['look-wheel' => ['choice' => 'clean'], 'motor-volts@4' => ['value' => '12.6']] as $test => $shows) {
            $this->post(
                "/jobs/$job->id/readings",
                ['id' => $this->ulid(), 'test' => $test] + $shows,
            )->assertSessionHasNoErrors();
        }

        return $job->refresh();
    }

    /**
     * @param array<string, mixed> $with
     *
     * @return TestResponse<Response>
     */
    private function change(Job $job, string $family, array $with = []): TestResponse
    {
        return $this->from("/jobs/$job->id/circuit/other")->post(
            "/jobs/$job->id/circuit/other",
            $with + ['id' => $this->ulid(), 'family' => $family, 'values' => [], 'states' => [], 'answers' => []],
        );
    }

    public function testABlowerGoesOnAsTheDoorsOfTheSameVehicle(): void
    {
        $job = $this->blower();
        $leads = $this->props("/jobs/$job->id/bench")['leadsOn'];
        self::assertSame("/jobs/$job->id/circuit/other?family=air-door", $leads[0]['href']);
        self::assertSame($leads, $this->props("/jobs/$job->id/verdict")['leadsOn']);
        $seen = $this->props($leads[0]['href']);
        self::assertStringContainsString('12.6 V', implode("\n", $seen['setAside']));
        $readings = Reading::query()->where('job_id', $job->id)->count();
        $this->change($job, 'air-door', [
            'values' => ['kind' => 'vacuum'],
            'states' => array_fill_keys(array_column($seen['cells'], 'key'), null),
            'reason' => 'air only at the windscreen',
        ])->assertRedirect("/jobs/$job->id/bench");
        $job->refresh();
        self::assertSame(['air-door', JobStage::Bench], [$job->family, $job->stage]);
        self::assertSame('vacuum', $job->parameters['kind']);
        self::assertSame('Only the top speed blows', $job->complaint);
        self::assertSame($readings, Reading::query()->where('job_id', $job->id)->count(), 'No row is ever removed.');
        $changed = $this->props("/jobs/$job->id/circuit")['changed'][0];
        self::assertSame('Stepped-resistor blower', $changed['from']);
        self::assertStringContainsString('12.6 V', implode("\n", $changed['setAside']));
        foreach (['bench', 'circuit', 'complaint', 'verdict', 'log', 'captures', 'remedy'] as $page) {
            $this->get("/jobs/$job->id/$page")->assertOk();
        }
        $file = (string) $this->get("/jobs/$job->id/file")
            ->assertOk()
            ->getContent();
        self::assertStringContainsString('other-circuit', $file);
        $this->from('/')
            ->post('/jobs/import', ['file' => UploadedFile::fake()->createWithContent('job.json', $file)])
            ->assertSessionHasNoErrors();
        $copy = Job::query()->where('workshop_id', $job->workshop_id)->whereKeyNot($job->id)->firstOrFail();
        self::assertSame($changed['setAside'], $this->props("/jobs/$copy->id/circuit")['changed'][0]['setAside']);
    }

    public function testWhatTheOtherCircuitAsksInTheSameWordsStays(): void
    {
        $job = $this->blower();
        $seen = $this->props("/jobs/$job->id/circuit/other?family=electronic-blower");
        self::assertSame(16.5, (float) $seen['values']['motorAmps'], 'What was typed of the circuit is carried over.');
        self::assertStringContainsString('What is heard while it runs', implode("\n", $seen['kept']));
        self::assertStringContainsString('clean, turns clear', implode("\n", $seen['kept']));
        self::assertNotContains('noise', array_column($seen['questions'], 'test'), 'Answered already.');
        $this->change($job, 'electronic-blower', ['values' => ['motorAmps' => '16.5']])->assertSessionHasNoErrors();
        $left = $job->refresh()->readings->pluck('choice', 'test');
        self::assertSame('rub', $left['noise']);
        self::assertSame('windscreen', $left['outlets']);
        self::assertArrayNotHasKey('motor-volts@4', $left);
    }

    public function testAWrongNumberOfSpeedsSetsAsideOnlyWhatIsGone(): void
    {
        $job = $this->blower();
        $this->from('/')
            ->put("/jobs/$job->id/circuit", ['values' => ['positions' => '3']])
            ->assertSessionHasErrors('circuit');
        $this->change($job, 'stepped-blower', ['values' => ['positions' => '3']])->assertSessionHasNoErrors();
        $left = $job->refresh()->readings->pluck('test');
        self::assertContains('speed@3', $left);
        self::assertContains('look-wheel', $left);
        self::assertNotContains('speed@4', $left);
        self::assertNotContains('motor-volts@4', $left);
    }

    /** Every way from one family to another leads to a job whose pages open. */
    #[DataProviderExternal(Families::class, 'all')]
    public function testEveryFamilyLeadsToEveryOther(string $from): void
    {
        $registry = FamilyRegistry::shipped();
        $family = $registry->get($from);
        $circuit = $family->circuit($family->parameters()->read([]));
        $states = array_map(static fn(): string => 'right', $circuit->positions);
        $job = $this->jobOnBench($this->person(), $from, [], $states);
        foreach (array_keys($registry->all()) as $to) {
            $seen = $this->props("/jobs/$job->id/circuit/other?family=$to");
            self::assertNotSame([], $seen['cells']);
            $this->change($job, $to)->assertSessionHasNoErrors();
            self::assertSame($to, $job->refresh()->family);
            $this->get("/jobs/$job->id/bench")->assertOk();
        }
    }

    public function testItIsRefusedWhereItWouldLoseARepairAndTheSamePressIsOneChange(): void
    {
        $job = $this->blower();
        $id = $this->ulid();
        $this->change($job, 'air-door', ['id' => $id])->assertSessionHasNoErrors();
        $this->change($job, 'stepped-blower', ['id' => $id])->assertSessionHasNoErrors();
        self::assertSame('air-door', $job->refresh()->family, 'Sent twice, changed once.');
        $this->change($job, 'no-such')->assertSessionHasErrors('family');
        $this->change($job, 'air-door', ['states' => ['nowhere' => 'right']])->assertSessionHasErrors('states');
        $this->change($job, 'stepped-blower', ['values' => ['positions' => '99']])->assertSessionHasErrors('positions');
        $this->change($job, 'stepped-blower')->assertSessionHasNoErrors();
        $this->post("/jobs/$job->id/replacements", ['id' => $this->ulid(), 'parts' => ['motor']]);
        $job->refresh()->update(['stage' => JobStage::Bench]);
        $this->change($job, 'air-door')->assertSessionHasErrors('circuit');
        $this->get("/jobs/$job->id/circuit/other")->assertRedirect("/jobs/$job->id/bench");
        $this->actingAs($this->person());
        $this->change($job, 'air-door')->assertNotFound();
        $this->get("/jobs/$job->id/circuit/other")->assertNotFound();
    }

    /** Two windows: what the other one still shows of the old circuit is refused, and nothing is stored. */
    public function testAReadingOfTheOldCircuitIsRefusedInWords(): void
    {
        $job = $this->blower();
        $old = $job->circuit()->tests['motor-volts@4'];
        $this->change($job, 'air-door')->assertSessionHasNoErrors();
        $count = Reading::query()->where('job_id', $job->id)->count();
        try {
            app(\App\Bench\RecordReading::class)(
                $job->workshop->users()->firstOrFail(),
                $job,
                new \Ispira\Core\Reading\Reading($this->ulid(), $old->key, 12.1),
            );
            self::fail('It was taken.');
        } catch (\App\Bench\ReadingRefused $refused) {
            self::assertStringContainsString('changed meanwhile', $refused->getMessage());
        }
        $this->post("/jobs/$job->id/maps", [
            'id' => $this->ulid(),
            'notedFor' => 'last winter',
            'states' => ['4' => 'dead'],
        ])->assertSessionHasErrors('states');
        self::assertSame($count, Reading::query()->where('job_id', $job->id)->count());
    }
}
