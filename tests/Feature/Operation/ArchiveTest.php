<?php

declare(strict_types=1);

namespace Tests\Feature\Operation;

use App\Models\Job;
use App\Models\Workshop;
use App\Operation\ArchiveSchema;
use App\Operation\WorkshopTables;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\File;
use Opis\JsonSchema\Validator;
use Tests\TestCase;

final class ArchiveTest extends TestCase
{
    private string $folder = '';

    protected function setUp(): void
    {
        parent::setUp();
        $this->folder = sys_get_temp_dir() . '/archive-' . bin2hex(random_bytes(6));
        File::ensureDirectoryExists($this->folder);
    }

    protected function tearDown(): void
    {
        File::deleteDirectory($this->folder);
        File::deleteDirectory(config()->string('ispira.captures'));
        parent::tearDown();
    }

    /** A workshop in which something stands in as many tables as its pages fill. */
    private function workshop(): Workshop
    {
        $lead = $this->person('lead');
        $lead->update(['name' => 'Zoë "the <lead>"']);
        $workshop = $lead->workshop;
        $workshop->update(['name' => 'Lake workshop', 'address' => "Quay 3\nHalvmark"]);
        $technician = $this->person('technician', $workshop);
        $job = $this->jobOnBench($technician);
        $id = $this->ulid();
        $this->post("/jobs/$job->id/readings", ['id' => $id, 'test' => 'current@4', 'value' => '99']);
        $this->post("/jobs/$job->id/readings/$id/strike", ['reason' => 'clamp']);
        $this->post("/jobs/$job->id/readings", ['id' => $this->ulid(), 'test' => 'common-ohms', 'overRange' => true]);
        $this->post("/jobs/$job->id/photos", [
            'id' => $this->ulid(),
            'photo' => UploadedFile::fake()->image('plug.jpg', 300, 200),
            'caption' => 'the plug',
        ])->assertSessionHasNoErrors();
        $samples = implode("\n", array_map(static fn(int $n): string => (string) ($n % 7), range(1, 600)));
        $this->post("/jobs/$job->id/captures", [
            'id' => $this->ulid(),
            'file' => UploadedFile::fake()->createWithContent('scope.csv', "$samples\n"),
            'rate' => '1k',
        ])->assertSessionHasNoErrors();
        $this->post("/jobs/$job->id/replacements", [
            'id' => $this->ulid(),
            'parts' => ['pack'],
            'partNumber' => 'HV-1',
            'note' => 'plug was brown',
        ]);
        $this->proveAndClose($job);
        $this->jobOnBench($lead);
        $this->post('/parts', [
            'number' => 'HV-77',
            'name' => 'Pack',
            'class' => 'resistor-pack',
            'source' => 'maker',
        ]);
        $this->post('/procedures/capacitor-discharge/runs', ['id' => $this->ulid(), 'job' => $job->id]);
        $this->post('/people/invite', ['name' => 'Nils', 'email' => 'nils@lake.test', 'role' => 'trainee']);

        return $workshop->refresh();
    }

    /** @return array<string, string> what an archive holds, by name; keys that the database gives are left out */
    private function held(string $path): array
    {
        $zip = new \ZipArchive();
        self::assertTrue($zip->open($path));
        $tables = new WorkshopTables();
        $held = [];
        for ($place = 0; $place < $zip->numFiles; ++$place) {
            $name = (string) $zip->getNameIndex($place);
            $text = (string) $zip->getFromIndex($place);
            if (str_starts_with($name, 'records/')) {
                $table = basename($name, '.jsonl');
                $given = [...array_keys($tables->references($table)), (string) $tables->numbered($table), 'updated_at'];
                $rows = array_map(
                    static fn(string $line): string => (string) json_encode(
                        array_diff_key((array) json_decode($line, true), array_flip($given)),
                    ),
                    array_filter(explode("\n", $text)),
                );
                sort($rows);
                $text = implode("\n", $rows);
            } elseif ($name === 'manifest.json') {
                $text = (string) json_encode(json_decode($text, true)['counts']);
            }
            $held[$name] = $text;
        }
        ksort($held);

        return $held;
    }

    public function testAWorkshopComesBackWithAuthorsNumbersPhotosAndCaptures(): void
    {
        $workshop = $this->workshop();
        $elsewhere = $this->jobOnBench($this->person());
        $before = "$this->folder/before.zip";
        self::assertSame(0, Artisan::call('ispira:archive', ['workshop' => $workshop->id, 'file' => $before]));
        self::assertSame(1, Artisan::call('ispira:archive', ['workshop' => $workshop->id, 'file' => $before]));
        $held = $this->held($before);
        self::assertStringNotContainsString('password', $held['records/users.jsonl']);
        $number = static fn(string $kind): int => count(
            array_filter(array_keys($held), static fn(string $name): bool => str_starts_with($name, $kind)),
        );
        self::assertSame([2, 1, 3], [$number('jobs/'), $number('files/photos/'), $number('files/captures/')]);

        self::assertSame(1, Artisan::call('ispira:archive-import', ['file' => $before]));
        self::assertStringContainsString('are here already', Artisan::output());
        self::assertSame(1, Artisan::call('ispira:workshop-delete', ['workshop' => $workshop->id, 'name' => 'Lake']));
        self::assertSame(
            0,
            Artisan::call('ispira:workshop-delete', ['workshop' => $workshop->id, 'name' => 'Lake workshop']),
        );
        $tables = new WorkshopTables();
        foreach ($tables->names() as $table) {
            self::assertSame(0, $tables->rows($table, $workshop->id)->count(), $table);
        }
        self::assertTrue(Job::query()->whereKey($elsewhere->id)->exists());

        // Somebody came meanwhile with an address of theirs, and what the database counts has gone on.
        $this->person()->update([
            'email' => json_decode(explode("\n", $held['records/users.jsonl'])[0], true)['email'],
        ]);
        self::assertSame(0, Artisan::call('ispira:archive-import', ['file' => $before]));
        self::assertStringContainsString('signs in with', Artisan::output());
        $back = Workshop::query()->where('name', 'Lake workshop')->firstOrFail();
        self::assertGreaterThan($workshop->id, $back->id);
        $after = "$this->folder/after.zip";
        self::assertSame(0, Artisan::call('ispira:archive', ['workshop' => $back->id, 'file' => $after]));
        $again = $this->held($after);
        // All but the address that was taken here.
        self::assertSame(array_keys($held), array_keys($again));
        foreach (array_diff_key($held, ['records/users.jsonl' => 0]) as $name => $text) {
            self::assertSame($text, $again[$name], $name);
        }
        $lead = $back->users()->where('role', 'lead')->firstOrFail();
        auth()->logout();
        $this->post('/sign-in', ['email' => $lead->email, 'password' => 'a long password'])->assertSessionHasErrors();
        $this->actingAs($lead);
        $closed = $back->jobs()->where('number', 1)->firstOrFail();
        self::assertContains(
            'Tess',
            $closed->readings()->get()->map(static fn($one) => $one->author ?? $back->names()[$one->user_id])->all(),
        );
        $photo = $closed->photos()->firstOrFail();
        $this->get("/jobs/$closed->id/photos/$photo->id")->assertOk();
        $this->props("/jobs/$closed->id/captures");
    }

    public function testADamagedOrForeignArchiveLeavesNothing(): void
    {
        $workshop = $this->workshop();
        $good = "$this->folder/good.zip";
        Artisan::call('ispira:archive', ['workshop' => $workshop->id, 'file' => $good]);
        Artisan::call('ispira:workshop-delete', ['workshop' => $workshop->id, 'name' => 'Lake workshop']);
        $jobs = Job::query()->count();
        $refused = function (\Closure $spoil, string $words) use ($good, $jobs): void {
            $bad = "$this->folder/" . bin2hex(random_bytes(4)) . '.zip';
            copy($good, $bad);
            $zip = new \ZipArchive();
            $zip->open($bad);
            $spoil($zip);
            $zip->close();
            self::assertSame(1, Artisan::call('ispira:archive-import', ['file' => $bad]), $words);
            self::assertStringContainsString($words, Artisan::output());
            self::assertSame($jobs, Job::query()->count(), $words);
        };
        $change = static fn(string $name, string $from, string $to): \Closure => static fn(
            \ZipArchive $zip,
        ) => $zip->addFromString($name, str_replace($from, $to, (string) $zip->getFromName($name)));
        $refused(static fn(\ZipArchive $zip) => $zip->deleteName('manifest.json'), 'no archive of a workshop');
        $refused($change('manifest.json', '"version": 1', '"version": 9'), 'of another version');
        $refused(static fn(\ZipArchive $zip) => $zip->deleteName('records/units.jsonl'), 'units.jsonl is missing');
        $refused(
            $change('records/jobs.jsonl', '"complaint"', '"grumble"'),
            'jobs.jsonl, line 1: "grumble" is not known',
        );
        $refused($change('records/readings.jsonl', '"user_id":', '"user_id":9'), 'user_id refers to nothing');
        $refused(static fn(\ZipArchive $zip) => $zip->addFromString('records/units.jsonl', "x\n"), 'is no record');
        $photo = '';
        $spoilPhoto = static function (\ZipArchive $zip) use (&$photo): void {
            for ($place = 0; $place < $zip->numFiles; ++$place) {
                $name = (string) $zip->getNameIndex($place);
                $photo = str_ends_with($name, '.jpg') ? $name : $photo;
            }
            $zip->addFromString($photo, 'no picture');
        };
        $refused($spoilPhoto, 'no JPEG');
        self::assertSame(1, Artisan::call('ispira:archive-import', ['file' => "$this->folder/none.zip"]));
    }

    public function testEveryTableIsOfAWorkshopOrNamedAsOneThatIsNot(): void
    {
        $all = array_column(
            DB::select('SELECT table_name AS name FROM information_schema.tables WHERE table_schema = DATABASE()'),
            'name',
        );
        $ofTheInstallation = ['backups', 'cache', 'cache_locks', 'migrations', 'sessions'];
        $known = [...(new WorkshopTables())->names(), ...WorkshopTables::LEFT_OUT, ...$ofTheInstallation];
        self::assertEqualsCanonicalizing($known, $all);
        foreach ($all as $table) {
            self::assertNotSame([], (new WorkshopTables())->primary($table), "$table has no primary key");
        }
    }

    public function testAnArchiveKeepsToItsSchemas(): void
    {
        $tables = new WorkshopTables();
        $formats = base_path('docs/formats');
        self::assertSame(
            ArchiveSchema::written($tables),
            (string) file_get_contents("$formats/workshop-records.schema.json"),
            'The tables changed: run bin/artisan ispira:archive-schema',
        );
        $path = "$this->folder/one.zip";
        Artisan::call('ispira:archive', ['workshop' => $this->workshop()->id, 'file' => $path]);
        $zip = new \ZipArchive();
        $zip->open($path);
        $schema = ArchiveSchema::of($tables);
        $validator = new Validator();
        $holds = static fn(string $json, mixed $schema): bool => $validator
            ->validate(
                json_decode($json, false, 64, \JSON_THROW_ON_ERROR),
                json_decode(json_encode($schema, \JSON_THROW_ON_ERROR)),
            )
            ->isValid();
        $manifest = json_decode((string) file_get_contents("$formats/workshop-manifest.schema.json"));
        self::assertTrue($holds((string) $zip->getFromName('manifest.json'), $manifest));
        $lines = 0;
        foreach ($tables->names() as $table) {
            foreach (array_filter(explode("\n", (string) $zip->getFromName("records/$table.jsonl"))) as $line) {
                self::assertTrue($holds($line, $schema['$defs'][$table] ?? false), "$table: $line");
                ++$lines;
            }
        }
        self::assertGreaterThan(20, $lines);
    }
}
