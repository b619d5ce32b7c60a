<?php

declare(strict_types=1);

namespace Tests\Feature\Operation;

use App\Bench\ReadingRefused;
use App\Bench\RecordReading;
use App\Jobs\RecordMap;
use App\Models\Job;
use Illuminate\Http\Middleware\TrustHosts;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\File;
use Illuminate\Support\Facades\Route;
use Illuminate\Validation\ValidationException;
use Ispira\Core\Job\JobStage;
use Ispira\Core\Job\MapKind;
use Ispira\Core\Job\ReadingsFormat;
use Ispira\Core\Reading\Reading;
use Symfony\Component\Process\Process;
use Tests\TestCase;

final class OperationTest extends TestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        config(['ispira.captures' => sys_get_temp_dir() . '/captures-' . bin2hex(random_bytes(6))]);
    }

    protected function tearDown(): void
    {
        File::deleteDirectory(config()->string('ispira.captures'));
        parent::tearDown();
    }

    public function testAMonitorSeesWhetherThisMachineCanServe(): void
    {
        $this->get('/health')
            ->assertOk()
            ->assertJson(['status' => 'well', 'checks' => ['database' => 'well', 'clock' => 'well', 'disk' => 'well']])
            ->assertHeaderMissing('Set-Cookie');
        config(['ispira.disk.free' => 1_000_000_000]);
        $this->get('/health')
            ->assertStatus(503)
            ->assertJson(['status' => 'unwell', 'checks' => ['disk' => 'unwell', 'database' => 'well']]);
    }

    public function testEveryAnswerHasANumberAndAnErrorShowsIt(): void
    {
        $first = (string) $this->get('/sign-in')->headers->get('X-Request-Id');
        self::assertMatchesRegularExpression('/^[0-9A-Z]{26}$/', $first);
        Route::middleware('web')->get('/broken', static fn() => throw new \RuntimeException('broken'));
        $broken = $this->get('/broken')->assertStatus(500);
        $broken->assertInertia(
            static fn($page) => $page
                ->component('Problem')
                ->where('request', (string) $broken->headers->get('X-Request-Id')),
        );
    }

    public function testNoMoreIsStoredThanMayBeAndTheWordsSayWhy(): void
    {
        $job = $this->jobOnBench($this->person('lead'));
        $send = fn(string $place, string $field, UploadedFile $file, array $with = []) => $this->post(
            "/jobs/$job->id/$place",
            $with + ['id' => $this->ulid(), $field => $file],
        );
        $photo = static fn(): UploadedFile => UploadedFile::fake()->image('plug.jpg', 600, 400);
        $table = static fn(int $rows): UploadedFile => UploadedFile::fake()->createWithContent(
            'scope.csv',
            implode("\n", array_map(static fn(int $n): string => (string) ($n % 5), range(1, $rows))),
        );
        $send('photos', 'photo', $photo())->assertSessionHasNoErrors();
        $kept = (int) DB::table('photos')->where('job_id', $job->id)->sum('bytes');
        self::assertGreaterThan(500, $kept);
        foreach (['job' => 'as a job may', 'workshop' => 'The workshop holds'] as $limit => $words) {
            $before = config("ispira.disk.$limit");
            config(["ispira.disk.$limit" => 0]);
            $send('photos', 'photo', $photo())->assertSessionHasErrors('photo');
            self::assertStringContainsString($words, session('errors')->first('photo'));
            $send('captures', 'file', $table(50), ['rate' => '1k'])->assertSessionHasErrors('file');
            config(["ispira.disk.$limit" => $before]);
        }
        // Samples may take far more room than the text that names them: they are counted while they come.
        config(['ispira.disk.job' => 1]);
        $send('captures', 'file', $table(400_000), ['rate' => '1k'])->assertSessionHasErrors('file');
        self::assertStringContainsString('more room on the disk', session('errors')->first('file'));
        self::assertSame([], glob(config()->string('ispira.captures') . '/*') ?: []);
        config(['ispira.disk.job' => 2000]);
        $same = ['id' => $this->ulid(), 'rate' => '1k'];
        $send('captures', 'file', $table(50), $same)->assertSessionHasNoErrors();
        $send('captures', 'file', $table(60), $same)->assertSessionHasNoErrors();
        self::assertSame(50, $job->captures()->firstOrFail()->shape()->count);
        $page = $this->props('/installation');
        self::assertSame(['database', 'clock', 'disk', 'folders'], array_keys($page['checks']));
        self::assertNull($page['lastBackup']);
    }

    public function testAFewLinesDoNotBecomeAFullDisk(): void
    {
        $job = $this->jobOnBench($this->person());
        $lines = "time,volts\n0,5\n0.0000001,0\n900,5\n901,0\n";
        $this->post("/jobs/$job->id/captures", [
            'id' => $this->ulid(),
            'file' => UploadedFile::fake()->createWithContent('scope.csv', $lines),
        ])->assertSessionHasNoErrors();
        self::assertLessThan(5_000_000, (int) DB::table('captures')->sum('bytes'));
    }

    public function testWhatRanOutIsRemovedByTheClock(): void
    {
        $old = config()->string('ispira.captures') . '/taken-in-old';
        File::ensureDirectoryExists($old);
        touch($old, time() - 100_000);
        File::ensureDirectoryExists(config()->string('ispira.captures') . '/taken-in-new');
        DB::table('sessions')->insert(['id' => 'a', 'payload' => '', 'last_activity' => time() - 90_000]);
        DB::table('sessions')->insert(['id' => 'b', 'payload' => '', 'last_activity' => time()]);
        DB::table('slow_requests')->insert([
            'request' => 'x',
            'route' => 'GET /',
            'milliseconds' => 1200,
            'at' => now()->subDays(40),
        ]);
        Cache::store('database')->put('kept', 1, 600);
        self::assertSame(0, Artisan::call('ispira:tidy'));
        self::assertSame(['b'], DB::table('sessions')->pluck('id')->all());
        self::assertSame(0, DB::table('slow_requests')->count());
        self::assertSame(1, Cache::store('database')->get('kept'));
        self::assertSame(['taken-in-new'], array_map(basename(...), File::directories(dirname($old))));
    }

    public function testAnotherNameThanItsOwnIsRefused(): void
    {
        // While tests run the framework lets every name through: the rule is asked itself.
        $hosts = (new TrustHosts($this->app))->hosts();
        self::assertContains('^127\.0\.0\.1$', $hosts);
        self::assertNotContains(
            1,
            array_map(static fn($host): int => (int) preg_match("{{$host}}i", 'evil.example'), $hosts),
        );
    }

    public function testSomebodyWithoutALeadGetsALinkFromWhoRunsIt(): void
    {
        $person = $this->person('lead');
        self::assertSame(1, Artisan::call('ispira:reset-link', ['email' => 'nobody@workshop.test']));
        self::assertSame(0, Artisan::call('ispira:reset-link', ['email' => $person->email]));
        preg_match('#/invited/\w{40}#', Artisan::output(), $link);
        $this->get($link[0] ?? '')->assertOk();
    }

    public function testInstallingSaysWhatItWouldDoAndDoesNothing(): void
    {
        $process = new Process(['bin/install', '--dry-run', '--name', 'ispira.test'], base_path());
        $process->run();
        self::assertSame(0, $process->getExitCode(), $process->getErrorOutput());
        foreach (
            ['install Debian packages', 'make the user ispira', 'without development packages', 'backup']
            as $said
        ) {
            self::assertStringContainsString($said, $process->getOutput());
        }
        $process = new Process(['bin/install', '--dry-run', '--name', 'not a name'], base_path());
        self::assertSame(1, $process->run());
    }

    public function testWhatComesAfterTheJobWasClosedMeanwhileIsRefusedInsideItsLock(): void
    {
        $person = $this->person();
        $job = $this->jobOnBench($person);
        $before = Job::query()
            ->with(['readings', 'maps'])
            ->findOrFail($job->id);
        Job::query()
            ->whereKey($job->id)
            ->update(['stage' => JobStage::Closed, 'closed_at' => now()]);
        // The page was loaded, and the stage looked at, before another window closed the job.
        $reading = new Reading($this->ulid(), 'battery-volts@4', 12.4);
        $refused = [];
        foreach (
            [
                fn() => $this->make(RecordReading::class)($person, $before, $reading),
                fn() => $this->make(RecordMap::class)($person, $before, $this->ulid(), MapKind::Remembered, 'then', []),
            ]
            as $late
        ) {
            try {
                $late();
            } catch (ReadingRefused | ValidationException $words) {
                $refused[] = $words->getMessage();
            }
        }
        self::assertCount(2, $refused);
        self::assertSame([], preg_grep('/closed meanwhile/', $refused, PREG_GREP_INVERT));
        $this->post("/jobs/$job->id/photos", [
            'id' => $this->ulid(),
            'photo' => UploadedFile::fake()->image('late.jpg'),
        ])->assertSessionHasErrors('photo');
        $this->post("/jobs/$job->id/captures", [
            'id' => $this->ulid(),
            'file' => UploadedFile::fake()->createWithContent('scope.csv', "1\n2\n3\n4\n"),
            'rate' => '1k',
        ])->assertSessionHasErrors('file');
        self::assertSame(
            [1, 0, 0],
            [$before->maps()->count(), $before->photos()->count(), $before->captures()->count()],
        );
    }

    public function testAJobHoldsSoManyReadingsAndNoMore(): void
    {
        $job = $this->jobOnBench($person = $this->person());
        $one = $this->make(RecordReading::class)(
            $person,
            $job,
            new Reading($this->ulid(), 'battery-volts@4', 12.4),
        )->getAttributes();
        unset($one['sequence']);
        $more = [];
        for ($held = $job->readings()->count(); $held < ReadingsFormat::MOST_READINGS; ++$held) {
            $more[] = [...$one, 'id' => $this->ulid()];
        }
        DB::table('readings')->insert($more);
        $this->expectExceptionMessage('1000 readings, which is the most');
        $this->make(RecordReading::class)($person, $job, new Reading($this->ulid(), 'battery-volts@4', 12.3));
    }

    /**
     * @template T of object
     *
     * @param class-string<T> $class
     *
     * @return T
     */
    private function make(string $class): object
    {
        return $this->app->make($class);
    }
}
