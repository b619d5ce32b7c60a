<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Captures\CaptureFiles;
use App\Models\Capture;
use App\Models\Job;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\File;
use Inertia\Testing\AssertableInertia as Page;
use Tests\ObjectStoreProcess;
use Tests\TestCase;

final class CapturesTest extends TestCase
{
    protected function tearDown(): void
    {
        File::deleteDirectory(config()->string('ispira.captures'));
        parent::tearDown();
    }

    public function testACaptureIsMeasuredDrawnAndTakenAsAReading(): void
    {
        $job = $this->blower();
        $capture = $this->import($job, 'command@3', '3');
        $page = $this->props("/jobs/$job->id/captures?test=command@3");
        $channel = $page['captures'][0]['channels'][0];
        self::assertEqualsWithDelta(100.0, $channel['pulses']['frequency'], 0.1);
        self::assertSame('command@3', $channel['readings'][0]['test']);
        $trace = $this->getJson("/jobs/$job->id/captures/$capture->id/trace?channel=0&from=0&to=4000&columns=200")
            ->assertOk()
            ->json();
        self::assertCount(200, $trace);
        self::assertEqualsWithDelta(5.0, max([0.0, ...array_column($trace, 1)]), 0.4);
        $id = $this->ulid();
        $this->post("/jobs/$job->id/captures/$capture->id/reading", [
            'id' => $id,
            'test' => 'command@3',
            'channel' => 0,
        ])->assertRedirect("/jobs/$job->id/bench");
        $reading = $job->readings()->where('id', $id)->firstOrFail();
        self::assertEqualsWithDelta($channel['pulses']['duty'], $reading->number, 1e-9);
        self::assertSame('capture scope.csv', $reading->instrument);
        $this->post("/jobs/$job->id/captures/$capture->id/reading", [
            'id' => $this->ulid(),
            'test' => 'command@5',
            'channel' => 0,
        ])->assertSessionHasErrors('test');
    }

    public function testStepsStandBesideEachOtherAndTheNewestOfEachCounts(): void
    {
        $job = $this->blower();
        foreach (['1', '2', '3', '2'] as $position) {
            $this->import($job, "command@$position", $position);
        }
        $steps = $this->props("/jobs/$job->id/captures")['steps'];
        self::assertSame(['1', '2', '3'], array_column($steps['rows'], 'position'));
        self::assertStringContainsString('rises', implode(' ', $steps['findings']));
    }

    public function testWhatIsExportedCanBeImportedAgain(): void
    {
        $job = $this->blower();
        $capture = $this->import($job, 'command@2', '2');
        foreach (['csv', 'vcd'] as $format) {
            $text = $this->get("/jobs/$job->id/captures/$capture->id/file.$format")
                ->assertOk()
                ->streamedContent();
            $this->post("/jobs/$job->id/captures", [
                'id' => $this->ulid(),
                'file' => UploadedFile::fake()->createWithContent("again.$format", $text),
                'position' => '2',
            ])->assertSessionHasNoErrors();
        }
        self::assertSame(3, $job->captures()->count());
        $duties = $job
            ->captures()
            ->get()
            ->map(static fn(Capture $one): float => (float) $one->pulses[0]['duty'])
            ->all();
        self::assertEqualsWithDelta($duties[0], $duties[1], 0.05);
        self::assertEqualsWithDelta($duties[0], $duties[2], 0.3);
    }

    public function testTheSameSubmitTwiceIsOneCapture(): void
    {
        $job = $this->blower();
        $id = $this->ulid();
        foreach ([1, 2] as $time) {
            $this->post("/jobs/$job->id/captures", [
                'id' => $id,
                'file' => $this->file('command@2'),
                'position' => '2',
            ])->assertSessionHasNoErrors();
        }
        self::assertSame(1, $job->captures()->count());
        $other = $this->jobOnBench($this->person());
        $this->post("/jobs/$other->id/captures", [
            'id' => $id,
            'file' => $this->file('command@2'),
        ])->assertSessionHasErrors('file');
    }

    public function testABadFileIsRefusedAtItsFieldAndLeavesNothing(): void
    {
        $job = $this->blower();
        $post = fn(array $with): \Illuminate\Testing\TestResponse => $this->post(
            "/jobs/$job->id/captures",
            $with + ['id' => $this->ulid()],
        );
        $post([])->assertSessionHasErrors(['file' => 'Choose a file that the scope has saved.']);
        $post([
            'file' => UploadedFile::fake()->createWithContent('words.csv', "no\nnumbers\n"),
        ])->assertSessionHasErrors('file');
        $post(['file' => UploadedFile::fake()->createWithContent('one.csv', "1\n2\n3\n")])->assertSessionHasErrors(
            'file',
        );
        $post([
            'file' => UploadedFile::fake()->createWithContent('one.csv', "1\n2\n3\n"),
            'rate' => 'fast',
        ])->assertSessionHasErrors('rate');
        $post(['file' => $this->file('command@2'), 'position' => '99'])->assertSessionHasErrors('position');
        self::assertSame(0, $job->captures()->count());
        self::assertSame(
            [],
            File::isDirectory(config()->string('ispira.captures'))
                ? File::directories(config()->string('ispira.captures'))
                : [],
        );
        $post([
            'file' => UploadedFile::fake()->createWithContent('one.csv', "1\n2\n3\n"),
            'rate' => '1k',
        ])->assertSessionHasNoErrors();
        self::assertSame(0.001, $job->captures()->firstOrFail()->shape()->interval);
    }

    public function testACaptureIsRemovedWithItsSamples(): void
    {
        $job = $this->blower();
        $capture = $this->import($job, 'command@2', '2');
        self::assertDirectoryExists(CaptureFiles::folder($capture->id));
        $this->delete("/jobs/$job->id/captures/$capture->id")->assertRedirect("/jobs/$job->id/captures");
        self::assertDirectoryDoesNotExist(CaptureFiles::folder($capture->id));
        $this->get("/jobs/$job->id/captures/$capture->id/trace?channel=0&from=0&to=10&columns=10")->assertNotFound();
    }

    public function testAnotherWorkshopsCaptureIsNotFound(): void
    {
        $theirs = $this->blower();
        $capture = $this->import($theirs, 'command@2', '2');
        $mine = $this->blower();
        foreach (
            [
                "/jobs/$mine->id/captures/$capture->id/trace?channel=0&from=0&to=10&columns=10",
                "/jobs/$theirs->id/captures",
                "/jobs/$mine->id/captures/$capture->id/file.csv",
            ]
            as $path
        ) {
            $this->get($path)->assertNotFound();
        }
        $this->delete("/jobs/$mine->id/captures/$capture->id")->assertNotFound();
    }

    public function testThePageStandsWithoutCaptures(): void
    {
        $job = $this->blower();
        $this->get("/jobs/$job->id/captures")->assertInertia(
            fn(Page $page) => $page->component('Captures')->has('captures', 0)->has('steps.rows', 0),
        );
    }

    private function blower(): Job
    {
        return $this->jobOnBench(
            $this->person(),
            'electronic-blower',
            [],
            ['key-off' => 'right', 'off' => 'right', '1' => 'right', '5' => 'slow'],
        );
    }

    private function import(Job $job, string $test, string $position): Capture
    {
        $this->post("/jobs/$job->id/captures", [
            'id' => ($id = $this->ulid()),
            'file' => $this->file($test),
            'position' => $position,
        ])->assertSessionHasNoErrors();

        return $job->captures()->findOrFail(strtolower($id));
    }

    private function file(string $test): UploadedFile
    {
        // The simulated scope goes by the ending; what is uploaded is a copy that goes with the test.
        $path = sys_get_temp_dir() . '/scope-' . bin2hex(random_bytes(6)) . '.csv';
        self::assertSame(
            0,
            Artisan::call('ispira:scope-sim', ['test' => $test, 'file' => $path, '--seconds' => '0.2']),
        );
        $table = (string) file_get_contents($path);
        unlink($path);

        return UploadedFile::fake()->createWithContent('scope.csv', $table);
    }

    public function testFilesInASharedStoreAreFetchedWhereTheyAreLookedAt(): void
    {
        $store = new ObjectStoreProcess();
        $store->use();
        $job = $this->blower();
        $capture = $this->import($job, 'command@2', '2');
        self::assertContains("captures/$capture->id/head.json", $store->keys());
        // Another machine has never seen it.
        File::deleteDirectory(CaptureFiles::folder($capture->id));
        $trace = "/jobs/$job->id/captures/$capture->id/trace?channel=0&from=0&to=4000&columns=50";
        self::assertCount(50, $this->getJson($trace)->assertOk()->json());
        self::assertFileExists(CaptureFiles::folder($capture->id) . '/head.json');
        $this->post("/jobs/$job->id/photos", [
            'id' => $this->ulid(),
            'photo' => UploadedFile::fake()->image('plug.jpg'),
        ])->assertSessionHasNoErrors();
        $photo = $job->photos()->firstOrFail();
        self::assertContains($photo->path(), $store->keys());
        self::assertStringStartsWith(
            "\xff\xd8",
            $this->get("/jobs/$job->id/photos/$photo->id")
                ->assertOk()
                ->streamedContent(),
        );
        $this->delete("/jobs/$job->id/captures/$capture->id")->assertRedirect();
        self::assertSame([$photo->path()], $store->keys());

        // Where the store does not answer, nothing is half done, and it is said.
        $store->stop();
        $this->get("/jobs/$job->id/photos/$photo->id")->assertStatus(503);
        $this->delete("/jobs/$job->id/photos/$photo->id")->assertStatus(503);
        $this->post("/jobs/$job->id/photos", [
            'id' => $this->ulid(),
            'photo' => UploadedFile::fake()->image('fuse.jpg'),
        ])->assertStatus(503);
        self::assertSame(1, $job->photos()->count());
    }
}
