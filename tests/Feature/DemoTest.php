<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Job;
use App\Models\User;
use App\Models\Workshop;
use App\People\Role;
use Database\Seeders\DatabaseSeeder;
use Illuminate\Foundation\Application;
use Illuminate\Support\Facades\DB;
use Ispira\Core\Away\Desk;
use Ispira\Core\Device\FamilyRegistry;
use Ispira\Core\Diagnosis\Inference\MemoryStore;
use Ispira\Core\Job\JobStage;
use Ispira\Core\Planning\PlannerRegistry;
use Tests\TestCase;

final class DemoTest extends TestCase
{
    private const OF_THE_PAST = 60;

    /** Where the demo was filled for the browser already, the same is looked at, and left as it was. */
    public function createApplication(): Application
    {
        $app = parent::createApplication();
        $filled = (string) getenv('ISPIRA_FILLED_DEMO');
        if ($filled !== '') {
            $app->make('config')->set('database.connections.mariadb.database', $filled);
            $app->make('db')->purge();
        }

        return $app;
    }

    public function testTheDemoHasJobsInEveryStageAndEveryPageOpens(): void
    {
        config(['ispira.demo' => true]);
        $this->seed(DatabaseSeeder::class);
        $workshop = Workshop::query()->where('name', 'Halvmark shared workshop')->firstOrFail();
        self::assertSame(47, $workshop->units()->count());
        self::assertSame(126, $workshop->jobs()->count());
        self::assertSame(
            [Role::Lead, Role::Technician, Role::Trainee],
            $workshop->users()->orderBy('id')->pluck('role')->all(),
        );
        foreach (JobStage::cases() as $stage) {
            foreach (array_keys(FamilyRegistry::shipped()->all()) as $family) {
                self::assertGreaterThan(
                    0,
                    $workshop->jobs()->where('stage', $stage)->where('family', $family)->count(),
                    "$family, $stage->value",
                );
            }
        }
        $this->actingAs(User::query()->where('email', 'iska@halvmark.example')->firstOrFail());
        $this->get('/')->assertOk();
        foreach (['/jobs/new', '/parts', '/due', '/parts.json', '/parts.csv', '/due.ics'] as $page) {
            $this->get($page)->assertOk();
        }
        self::assertCount(2, $this->props('/due')['jobs']);
        self::assertCount(1, $this->props('/due')['loans']);
        // Those of the past are alike: one of ten.
        foreach (
            $workshop
                ->jobs()
                ->whereRaw('number > ? or number % 10 = 0', [self::OF_THE_PAST])
                ->get()
            as $job
        ) {
            $this->assertPagesOpen($job);
        }
        $this->assertTheDeviceShowsTheSame($workshop);
        $this->assertPagesOpenWhereNobodyIsPaid($workshop);
        $this->assertRecordsOpen($workshop);
        $this->seed(DatabaseSeeder::class);
        self::assertSame(126, $workshop->jobs()->count(), 'the demo is loaded once');
    }

    private function assertRecordsOpen(Workshop $workshop): void
    {
        $vain = DB::table('job_results')->where('workshop_id', $workshop->id)->where('in_vain', true)->pluck('job_id');
        self::assertGreaterThan(3, $vain->count());
        foreach ($vain as $job) {
            $this->get("/jobs/$job/replay")->assertOk();
        }
        $said = $this->props('/experience');
        self::assertGreaterThan(5, \count($said['families']));
        self::assertGreaterThan(20, $said['jobs']);
        self::assertGreaterThan(40, $said['calibration']['held']['all']);
        self::assertNotSame([], $this->props('/lessons')['vain']);
        $this->actingAs(User::query()->where('email', 'runa@halvmark.example')->firstOrFail());
        foreach (['month', 'family', 'model', 'person'] as $by) {
            $results = $this->props("/results?by=$by");
            self::assertGreaterThan(1, \count($results['rows']));
            self::assertSame($results['all']['jobs'], array_sum(array_column($results['rows'], 'jobs')), $by);
        }
    }

    private function assertPagesOpen(Job $job): void
    {
        foreach (['complaint', 'circuit', 'file'] as $page) {
            $this->get("/jobs/$job->id/$page")->assertOk();
        }
        foreach (['bench', 'verdict', 'remedy', 'fit', 'strip', 'wires', 'swap'] as $page) {
            $job->stage === JobStage::Circuit
                ? $this->get("/jobs/$job->id/$page")->assertRedirect("/jobs/$job->id/circuit")
                : $this->get("/jobs/$job->id/$page")->assertOk();
        }
        $proof = $this->get("/jobs/$job->id/proof");
        \in_array($job->stage, [JobStage::Proof, JobStage::Closed], true)
            ? $proof->assertOk()
            : $proof->assertRedirect();
        if ($job->stage === JobStage::Closed) {
            self::assertNotNull($job->outcome);
            foreach (['customer', 'file'] as $for) {
                self::assertStringStartsWith(
                    '%PDF-',
                    (string) $this->get("/jobs/$job->id/sheet/$for.pdf")
                        ->assertOk()
                        ->getContent(),
                );
            }
        }
        $page = $job->stage === JobStage::Closed ? 'proof' : $job->stage->value;
        $this->get("/jobs/$job->id")->assertRedirect("/jobs/$job->id/$page");
    }

    private function assertPagesOpenWhereNobodyIsPaid(Workshop $workshop): void
    {
        $paid = $workshop->only(['labour_per_hour', 'come_back_hours']);
        $workshop->update(['labour_per_hour' => 0.0, 'come_back_hours' => 0.0]);
        foreach ($workshop->jobs()->latest('number')->get()->unique('stage') as $job) {
            $this->assertPagesOpen($job);
        }
        $workshop->update($paid);
    }

    /** On the bench of every family and at every later stage: what is kept of a job on a device shows the same there. */
    private function assertTheDeviceShowsTheSame(Workshop $workshop): void
    {
        $desk = new Desk(FamilyRegistry::shipped(), new PlannerRegistry(), new MemoryStore());
        $families = [];
        $jobs = $workshop->jobs()->where('stage', '!=', JobStage::Circuit)->latest('number')->get();
        // One on the bench of every family, and one of every later stage.
        $kinds = static fn(Job $one): string => $one->stage === JobStage::Bench ? $one->family : $one->stage->value;
        foreach ($jobs->unique($kinds) as $job) {
            $kept = $this->get("/jobs/$job->id/along")
                ->assertOk()
                ->getContent();
            $families[$job->family] = true;
            foreach (['bench', 'verdict', 'remedy', 'fit', 'strip', 'wires', 'swap', 'proof'] as $page) {
                $response = $this->get("/jobs/$job->id/$page");
                if ($response->isRedirect()) {
                    continue;
                }
                $answer = $desk->answer(
                    (string) json_encode(['kept' => $kept, 'today' => now()->toDateString(), 'page' => $page]),
                );
                self::assertSame($response->viewData('page')['component'], $answer['component']);
                $differ = self::differences(
                    self::comparable(
                        (array) json_decode((string) json_encode($response->viewData('page')['props']), true),
                    ),
                    self::comparable((array) json_decode((string) json_encode($answer['props']), true)),
                );
                self::assertSame([], $differ, "$page of $job->family $job->number");
            }
        }
        self::assertCount(11, $families);
    }

    /** @return list<string> where they differ */
    private static function differences(mixed $one, mixed $other, string $path = ''): array
    {
        if (!\is_array($one) || !\is_array($other)) {
            return $one === $other ? [] : ["$path: " . json_encode($one) . ' is ' . json_encode($other)];
        }
        $differ = [];
        foreach (array_keys($one + $other) as $key) {
            array_push($differ, ...self::differences($one[$key] ?? null, $other[$key] ?? null, "$path/$key"));
        }

        return $differ;
    }

    /**
     * Without what only the server has, and with moments in one form.
     *
     * @param array<array-key, mixed> $props
     *
     * @return array<array-key, mixed>
     */
    private static function comparable(array $props): array
    {
        unset($props['errors'], $props['user'], $props['notice'], $props['pulse'], $props['meters'], $props['runs']);
        unset($props['photos'], $props['route']);
        array_walk_recursive($props, static function (mixed &$value): void {
            if (\is_string($value) && preg_match('/^\d{4}-\d\d-\d\dT[\d:.]+(?:Z|[+-]\d\d:\d\d)$/', $value) === 1) {
                $value = substr(
                    (new \DateTimeImmutable($value))->setTimezone(new \DateTimeZone('UTC'))->format('c'),
                    0,
                    19,
                );
            }
            if (\is_float($value)) {
                $value = round($value, 9);
            }
        });
        ksort($props);

        return $props;
    }
}
