<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Job;
use App\Models\Photo;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\Storage;
use Inertia\Testing\AssertableInertia as Page;
use Tests\TestCase;

final class LogTest extends TestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        Storage::fake();
    }

    public function testTheLogHoldsEveryReadingWithItsSetUpAndPlace(): void
    {
        $job = $this->jobOnBench($this->person());
        $this->post("/jobs/$job->id/readings", ['id' => $this->ulid(), 'test' => 'motor-volts@2', 'value' => '7.4']);
        $this->get("/jobs/$job->id/log")->assertInertia(
            fn(Page $page) => $page
                ->component('Log')
                ->has('readings', 7)
                ->where('readings.0.number', 7.4)
                ->where('readings.0.unit', 'V')
                ->where('readings.0.place', 'blower plug, supply pin')
                ->where('readings.0.setUp', 'All plugged in, selector at 2'),
        );
    }

    public function testReadingsGoOutAsATableAndInAgain(): void
    {
        $from = $this->jobOnBench($this->person());
        foreach (['motor-volts@2' => '7.4', 'common-ohms' => 'OL', 'look-pack' => null] as $test => $value) {
            $this->post(
                "/jobs/$from->id/readings",
                $value === null
                    ? [
                        'id' => $this->ulid(),
                        'test' => $test,
                        'choice' => array_key_first($from->circuit()->observations['pack']->usual ?? []) ?? 'fine',
                    ]
                    : ['id' => $this->ulid(), 'test' => $test, 'value' => $value, 'supplyVolts' => '12.8'],
            );
        }
        $csv = $this->get("/jobs/$from->id/log.csv")
            ->assertOk()
            ->streamedContent();
        self::assertStringStartsWith('time,test,title,set-up,value,unit', $csv);
        $to = $this->jobOnBench($this->person());
        $before = $to->readings()->count();
        $this->take($to, $csv)->assertSessionHasNoErrors();
        self::assertSame($from->readings()->count(), $to->readings()->count() - $before);
        $reading = $to->readings()->where('test', 'motor-volts@2')->firstOrFail();
        self::assertSame(7.4, $reading->number);
        self::assertSame(12.8, $reading->supply_volts);
        self::assertTrue($to->readings()->where('test', 'common-ohms')->firstOrFail()->over_range);
        $this->take($to, $csv)->assertSessionHas(
            'notice',
            '0 readings were taken in, ' . $from->readings()->count() . ' were here already.',
        );
    }

    public function testATableOfAnotherHandIsUnderstood(): void
    {
        $job = $this->jobOnBench($this->person());
        $this->take(
            $job,
            "Value;Test;Unit;Time\r\n7,4;motor-volts@2;V;2026-11-25T09:00:00Z\r\n0,42k;pack-ohms-1;;\r\n",
        )->assertSessionHasNoErrors();
        self::assertSame(420.0, $job->readings()->where('test', 'pack-ohms-1')->firstOrFail()->number);
        self::assertSame(
            '2026-11-25 09:00',
            $job->readings()->where('test', 'motor-volts@2')->firstOrFail()->taken_at->format('Y-m-d H:i'),
        );
    }

    public function testABadTableIsRefusedWithItsLineAndNothingIsTaken(): void
    {
        $job = $this->jobOnBench($this->person());
        $before = $job->readings()->count();
        foreach (
            [
                "time,value\n1,2\n" => '"test" among them',
                "test,value\nmotor-volts@2,7.4\nno-such-test,1\n" => 'Line 3: This circuit has no test',
                "test,value\nmotor-volts@2,seven\n" => 'Line 2: "seven" is not a value in V',
                "test,value\nlook-pack,purple\n" => 'Line 2: Choose one of',
                "test,value,time\nmotor-volts@2,7.4,yesterday noonish\n" => 'is no time',
                "test,value,time\nmotor-volts@2,7.4,1950-01-01T00:00:00Z\n" => 'lies outside',
                "test,value\n" => 'no row',
            ]
            as $csv => $says
        ) {
            $this->take($job, $csv)->assertSessionHasErrors('table');
            self::assertStringContainsString($says, session('errors')->first('table'));
        }
        $this->post("/jobs/$job->id/log")->assertSessionHasErrors('table');
        self::assertSame($before, $job->readings()->count());
    }

    public function testAPhotoIsKeptWithoutWhatTheCameraWroteIntoIt(): void
    {
        $job = $this->jobOnBench($this->person());
        $this->post("/jobs/$job->id/readings", ['id' => $this->ulid(), 'test' => 'motor-volts@2', 'value' => '7.4']);
        $reading = $job->readings()->where('test', 'motor-volts@2')->firstOrFail();
        $id = $this->ulid();
        $photo = fn(): array => [
            'id' => $id,
            'photo' => $this->jpegWithPlace(3000, 1000),
            'reading' => $reading->id,
            'caption' => 'brown pin',
        ];
        $this->post("/jobs/$job->id/photos", $photo())->assertSessionHasNoErrors();
        $this->post("/jobs/$job->id/photos", $photo())->assertSessionHasNoErrors();
        $photos = Photo::query()->where('job_id', $job->id)->get();
        self::assertCount(1, $photos, 'The same submit twice is one photo.');
        $stored = $photos->firstOrFail();
        // It stood on its side: six in the file is a quarter turn.
        self::assertSame([667, 2000], [$stored->width, $stored->height]);
        $kept = (string) Storage::get($stored->path());
        self::assertStringNotContainsString('Exif', $kept);
        self::assertStringNotContainsString('secret place', $kept);
        self::assertSame('image/jpeg', (getimagesizefromstring($kept) ?: ['mime' => ''])['mime']);
        $shown = $this->props("/jobs/$job->id/log")['photos'][0];
        self::assertSame($reading->id, $shown['reading']);
        $this->get("/jobs/$job->id/photos/$stored->id")
            ->assertOk()
            ->assertHeader('Content-Type', 'image/jpeg');
        $this->delete("/jobs/$job->id/photos/$stored->id")->assertRedirect();
        Storage::assertMissing($stored->path());
    }

    public function testOtherFilesAreNoPhotos(): void
    {
        $job = $this->jobOnBench($this->person());
        foreach (
            [
                UploadedFile::fake()->createWithContent('photo.jpg', 'no picture'),
                UploadedFile::fake()->createWithContent('page.png', '<script>alert(1)</script>'),
                UploadedFile::fake()->createWithContent(
                    'cut.jpg',
                    substr((string) $this->jpegWithPlace(200, 100)->getContent(), 0, 60),
                ),
            ]
            as $file
        ) {
            $this->post("/jobs/$job->id/photos", ['id' => $this->ulid(), 'photo' => $file])->assertSessionHasErrors(
                'photo',
            );
        }
        $this->post("/jobs/$job->id/photos", ['id' => $this->ulid()])->assertSessionHasErrors('photo');
        self::assertSame(0, $job->photos()->count());
        self::assertSame([], Storage::allFiles());
    }

    public function testAnotherWorkshopsPhotosAndTablesAreNotFound(): void
    {
        $theirs = $this->jobOnBench($this->person());
        $this->post("/jobs/$theirs->id/photos", [
            'id' => $this->ulid(),
            'photo' => $this->jpegWithPlace(100, 100),
        ])->assertSessionHasNoErrors();
        $photo = $theirs->photos()->firstOrFail();
        $mine = $this->jobOnBench($this->person());
        $this->get("/jobs/$theirs->id/log")->assertNotFound();
        $this->get("/jobs/$theirs->id/log.csv")->assertNotFound();
        $this->get("/jobs/$mine->id/photos/$photo->id")->assertNotFound();
        $this->delete("/jobs/$mine->id/photos/$photo->id")->assertNotFound();
    }

    public function testATableIsSteppedThroughPositionByPosition(): void
    {
        $job = $this->jobOnBench($this->person());
        $this->post("/jobs/$job->id/readings", [
            'id' => $this->ulid(),
            'test' => 'motor-volts@2',
            'value' => '7.4',
            'series' => true,
        ])->assertRedirect("/jobs/$job->id/bench?test=motor-volts@3&series=1");
        $bench = $this->props("/jobs/$job->id/bench?test=motor-volts@3&series=1");
        self::assertTrue($bench['stepping']);
        self::assertCount(6, $bench['series']);
        foreach (['@3', '@4', '@key-off', '@off'] as $at) {
            $this->post("/jobs/$job->id/readings", [
                'id' => $this->ulid(),
                'test' => "motor-volts$at",
                'value' => '7.4',
                'series' => true,
            ])->assertSessionHasNoErrors();
        }
        $this->post("/jobs/$job->id/readings", [
            'id' => $this->ulid(),
            'test' => 'motor-volts@1',
            'value' => '5.4',
            'series' => true,
        ])->assertRedirect("/jobs/$job->id/bench");
    }

    /** @return \Illuminate\Testing\TestResponse<\Symfony\Component\HttpFoundation\Response> */
    private function take(Job $job, string $csv): \Illuminate\Testing\TestResponse
    {
        return $this->post("/jobs/$job->id/log", [
            'table' => UploadedFile::fake()->createWithContent('readings.csv', $csv),
        ]);
    }

    /** A JPEG that lies on its side and says where it was taken. */
    private function jpegWithPlace(int $width, int $height): UploadedFile
    {
        $picture = imagecreatetruecolor(max(1, $width), max(1, $height));
        ob_start();
        imagejpeg($picture);
        $jpeg = (string) ob_get_clean();
        // One entry of the camera's own notes: orientation (tag 0x0112) is 6.
        $notes = "Exif\0\0MM\0*\0\0\0\x08\0\x01\x01\x12\0\x03\0\0\0\x01\0\x06\0\0\0\0\0\0" . 'secret place';

        return UploadedFile::fake()->createWithContent(
            'photo.jpg',
            substr($jpeg, 0, 2) . "\xff\xe1" . pack('n', \strlen($notes) + 2) . $notes . substr($jpeg, 2),
        );
    }
}
