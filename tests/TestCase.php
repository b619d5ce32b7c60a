<?php

declare(strict_types=1);

namespace Tests;

use App\Models\Job;
use App\Models\User;
use App\Models\Workshop;
use Illuminate\Contracts\Console\Kernel;
use Illuminate\Foundation\Application;
use Illuminate\Foundation\Testing\DatabaseTransactions;
use Illuminate\Foundation\Testing\TestCase as Base;
use Illuminate\Support\Str;
use Ispira\Core\Job\JobStage;

abstract class TestCase extends Base
{
    use DatabaseTransactions;

    private static bool $migrated = false;

    public const ONLY_HIGH = [
        'key-off' => 'right',
        'off' => 'right',
        '1' => 'dead',
        '2' => 'dead',
        '3' => 'dead',
        '4' => 'right',
    ];
    public const ALL_RIGHT = [
        'key-off' => 'right',
        'off' => 'right',
        '1' => 'right',
        '2' => 'right',
        '3' => 'right',
        '4' => 'right',
    ];

    public function createApplication(): Application
    {
        $app = require __DIR__ . '/../bootstrap/app.php';
        \assert($app instanceof Application);
        $app->make(Kernel::class)->bootstrap();
        $database = $app->make('config')->get('database.connections.mariadb.database');
        if (!\is_string($database) || !str_ends_with($database, '_test')) {
            throw new \RuntimeException('Tests run only on a database whose name ends in _test.');
        }
        if (!self::$migrated) {
            $app->make(Kernel::class)->call('migrate:fresh', ['--force' => true]);
            self::$migrated = true;
        }

        return $app;
    }

    protected function setUp(): void
    {
        parent::setUp();
        $this->withoutVite();
    }

    protected function person(string $role = 'technician', ?Workshop $workshop = null): User
    {
        $workshop ??= Workshop::query()->create(['name' => 'Test workshop']);

        return $workshop->users()->create([
            'name' => 'Tess',
            'email' => Str::random(12) . '@workshop.test',
            'password' => 'a long password',
            'role' => $role,
        ]);
    }

    /**
     * @param array<string, mixed>  $with
     * @param array<array-key, string> $states
     *
     * @return array<string, mixed> a request that opens a job
     */
    protected function newJob(array $with = [], array $states = self::ONLY_HIGH): array
    {
        return $with + [
            'id' => (string) Str::ulid(),
            'mapId' => (string) Str::ulid(),
            'unitName' => 'Van 7',
            'complaint' => 'Only the top speed blows',
            'family' => 'stepped-blower',
            'parameters' => ['positions' => '4'],
            'states' => $states,
        ];
    }

    /**
     * A job of the user's, on the bench.
     *
     * @param array<string, mixed>     $parameters
     * @param array<array-key, string> $states
     */
    protected function jobOnBench(
        User $user,
        string $family = 'stepped-blower',
        array $parameters = ['positions' => '4'],
        array $states = self::ONLY_HIGH,
    ): Job {
        $data = $this->newJob(['family' => $family, 'parameters' => $parameters], $states);
        $this->actingAs($user)
            ->post('/jobs', $data)
            ->assertRedirect("/jobs/{$data['id']}/circuit");
        $this->put("/jobs/{$data['id']}/circuit", ['values' => $parameters])->assertRedirect(
            "/jobs/{$data['id']}/bench",
        );
        $job = $this->jobOf($data);
        self::assertSame(JobStage::Bench, $job->stage);

        return $job;
    }

    /**
     * Proves a job and closes it.
     *
     * @param array<array-key, string> $states
     * @param array<string, mixed>     $with   of the closing
     */
    protected function proveAndClose(Job $job, array $states = self::ALL_RIGHT, array $with = []): void
    {
        $this->post("/jobs/$job->id/proof", ['id' => $this->ulid(), 'states' => $states])->assertSessionHasNoErrors();
        $this->post(
            "/jobs/$job->id/close",
            $with + ['id' => $this->ulid(), 'outcome' => 'repaired', 'reason' => 'no clamp at hand'],
        )
            ->assertSessionHasNoErrors()
            ->assertRedirect("/jobs/$job->id/proof");
        self::assertSame(JobStage::Closed, $job->refresh()->stage);
    }

    /** @param array<string, mixed> $data */
    protected function jobOf(array $data): Job
    {
        return Job::query()->where('id', $data['id'])->firstOrFail();
    }

    protected function ulid(): string
    {
        return (string) Str::ulid();
    }

    /**
     * What a page is sent.
     *
     * @return array<string, mixed>
     */
    protected function props(string $path): array
    {
        $page = $this->get($path)->assertOk()->viewData('page');
        $props = json_decode(json_encode($page['props'], \JSON_THROW_ON_ERROR), true, 64, \JSON_THROW_ON_ERROR);
        self::assertIsArray($props);

        return $props;
    }
}
