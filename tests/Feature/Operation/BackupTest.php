<?php

declare(strict_types=1);

namespace Tests\Feature\Operation;

use DateTimeImmutable;
use Illuminate\Database\ConnectionInterface;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\File;
use Illuminate\Support\Str;
use Symfony\Component\Process\Process;
use Tests\ObjectStoreProcess;
use Tests\TestCase;

/**
 * What bin/backup writes, bin/restore brings back: every table row by row, every file byte by byte. It has a database of
 * its own.
 */
final class BackupTest extends TestCase
{
    private const DATABASE = 'ispira_restore_test';

    private string $folder = '';

    protected function setUp(): void
    {
        parent::setUp();
        $this->folder = sys_get_temp_dir() . '/backup-' . bin2hex(random_bytes(6));
        File::ensureDirectoryExists("$this->folder/files");
    }

    protected function tearDown(): void
    {
        File::deleteDirectory($this->folder);
        parent::tearDown();
    }

    /** @var array<string, string> */
    private array $settings = [];

    /** @param list<string> $command */
    private function runs(array $command, int $expected = 0): string
    {
        $process = new Process($command, base_path(), [
            'APP_ENV' => 'testing',
            'APP_KEY' => config()->string('app.key'),
            'DB_PRIVATE' => '',
            'DB_HOST' => config()->string('database.connections.mariadb.host'),
            'DB_PORT' => (string) config('database.connections.mariadb.port'),
            'DB_DATABASE' => self::DATABASE,
            'DB_USERNAME' => config()->string('database.connections.mariadb.username'),
            'DB_PASSWORD' => config()->string('database.connections.mariadb.password'),
            'ISPIRA_FILES' => "$this->folder/files",
            'ISPIRA_SETTINGS' => "$this->folder/settings.env",
            'BACKUP_FOLDER' => "$this->folder/kept",
            'BACKUP_KEY' => '',
            ...$this->settings,
        ]);
        $process->setTimeout(120)->run();
        $said = $process->getOutput() . $process->getErrorOutput();
        self::assertSame($expected, $process->getExitCode(), implode(' ', $command) . "\n$said");

        return $said;
    }

    private function connection(): ConnectionInterface
    {
        DB::purge('restored');

        return DB::connectUsing(
            'restored',
            ['database' => self::DATABASE] + config()->array('database.connections.mariadb'),
            true,
        );
    }

    /** @return array<string, list<string>> every row of every table */
    private function rows(): array
    {
        $rows = [];
        foreach ($this->connection()->select('SHOW TABLES') as $table) {
            $name = (string) array_values((array) $table)[0];
            // Nobody stays signed in and no lock stays held where a backup is brought back; it knows not of itself.
            if (!in_array($name, ['sessions', 'cache', 'cache_locks', 'backups'], true)) {
                $rows[$name] = array_values(
                    array_map(
                        static fn(object $row): string => serialize((array) $row),
                        $this->connection()->table($name)->get()->all(),
                    ),
                );
                sort($rows[$name]);
            }
        }

        return $rows;
    }

    /** @return array<string, string> */
    private function files(): array
    {
        $files = [];
        foreach (File::allFiles("$this->folder/files") as $file) {
            $files[$file->getRelativePathname()] = hash_file('sha256', $file->getPathname()) ?: '';
        }
        ksort($files);

        return $files;
    }

    private function fill(): void
    {
        $this->runs(['php', 'artisan', 'migrate:fresh', '--force']);
        $database = $this->connection();
        $workshop = $database->table('workshops')->insertGetId(['name' => "Ferry quay's \"best\" \\ Zoë 🛥"]);
        $user = $database->table('users')->insertGetId([
            'workshop_id' => $workshop,
            'name' => 'Ada',
            'email' => 'ada@ferry.test',
            'password' => 'x',
            'role' => 'lead',
            'session_key' => 'key',
        ]);
        foreach (range(1, 40) as $number) {
            $unit = strtolower((string) Str::ulid());
            $database->table('units')->insert(['id' => $unit, 'workshop_id' => $workshop, 'name' => "Van $number"]);
            $database->table('audit_entries')->insert([
                'workshop_id' => $workshop,
                'user_id' => $user,
                'act' => 'invited',
                'about' => "line\none\ttab; 'quoted' -- $number",
                'done_at' => '2026-01-01 10:00:00.123456',
            ]);
        }
        File::ensureDirectoryExists("$this->folder/files/private/photos/a");
        File::ensureDirectoryExists("$this->folder/files/captures/b");
        file_put_contents("$this->folder/files/private/photos/a/one.jpg", random_bytes(5000));
        file_put_contents("$this->folder/files/captures/b/0.f32", random_bytes(9000));
        file_put_contents("$this->folder/settings.env", "DB_PASSWORD=other\nLOG_LEVEL=info\n");
    }

    public function testEveryRowAndEveryFileComesBack(): void
    {
        $this->fill();
        [$rows, $files] = [$this->rows(), $this->files()];
        self::assertCount(40, $rows['audit_entries']);
        $this->runs(['bin/backup']);
        $written = glob("$this->folder/kept/ispira-*.tar.gz") ?: [];
        self::assertCount(1, $written);
        self::assertSame('600', substr(sprintf('%o', fileperms($written[0])), -3));
        self::assertSame(1, $this->connection()->table('backups')->where('encrypted', false)->count());

        self::assertStringContainsString('holds data', $this->runs(['bin/restore', $written[0]], 1));
        $this->connection()->table('audit_entries')->delete();
        File::deleteDirectory("$this->folder/files");
        unlink("$this->folder/settings.env");
        $this->runs(['bin/restore', $written[0], '--over']);
        self::assertSame($rows, $this->rows());
        self::assertSame($files, $this->files());
        $settings = (string) file_get_contents("$this->folder/settings.env");
        self::assertStringContainsString('LOG_LEVEL=info', $settings);
        self::assertStringNotContainsString('DB_PASSWORD=other', $settings);
    }

    public function testFilesInASharedStoreAreInItAndComeBack(): void
    {
        $this->fill();
        $store = new ObjectStoreProcess();
        $this->settings = $store->settings();
        $this->runs(['php', 'artisan', 'ispira:files', "$this->folder/files", '--send']);
        $keys = $store->keys();
        self::assertSame(['captures/b/0.f32', 'photos/a/one.jpg'], $keys);
        $files = $this->files();
        File::deleteDirectory("$this->folder/files");
        $this->runs(['bin/backup']);
        $written = (glob("$this->folder/kept/ispira-*.tar.gz") ?: [''])[0];
        File::deleteDirectory("$store->folder/ispira");
        $this->runs(['bin/restore', $written, '--over']);
        self::assertSame($keys, $store->keys());
        self::assertSame($files, $this->files());
        $this->settings = [];
        self::assertStringContainsString(
            'kept in a folder',
            $this->runs(['php', 'artisan', 'ispira:files', "$this->folder/files", '--fetch'], 1),
        );
    }

    public function testAnEncryptedOneNeedsItsIdentityAndADamagedOneIsRefused(): void
    {
        $this->fill();
        $rows = $this->rows();
        $this->runs(['age-keygen', '-o', "$this->folder/identity"]);
        preg_match('/age1\w+/', (string) file_get_contents("$this->folder/identity"), $recipient);
        file_put_contents("$this->folder/recipients", ($recipient[0] ?? '') . "\n");
        $this->runs(['bin/backup', '--key', "$this->folder/recipients"]);
        $written = (glob("$this->folder/kept/ispira-*.tar.gz.age") ?: [''])[0];
        self::assertStringStartsWith('age-encryption', (string) file_get_contents($written));
        self::assertStringContainsString('--identity', $this->runs(['bin/restore', $written, '--over'], 1));
        $spoiled = "$this->folder/spoiled.tar.gz.age";
        $bytes = (string) file_get_contents($written);
        $bytes[strlen($bytes) - 40] = chr(ord($bytes[strlen($bytes) - 40]) ^ 1);
        file_put_contents($spoiled, $bytes);
        $this->runs(['bin/restore', $spoiled, '--identity', "$this->folder/identity", '--over'], 1);
        self::assertSame($rows, $this->rows(), 'nothing is taken away for a backup that cannot be read');
        $this->runs(['bin/restore', $written, '--identity', "$this->folder/identity", '--over']);
        self::assertSame($rows, $this->rows());
    }

    public function testWhoTheDatabaseDoesNotLetInIsToldBeforeAnythingIsTouched(): void
    {
        $this->settings = ['DB_SOCKET' => '/run/mysqld/mysqld.sock', 'DB_USERNAME' => 'lodger', 'DB_PASSWORD' => ''];
        self::assertStringContainsString('runuser -u lodger -- bin/backup', $this->runs(['bin/backup'], 1));
        self::assertDirectoryDoesNotExist("$this->folder/kept");
        File::put("$this->folder/some.tar.gz", 'no backup');
        self::assertStringContainsString(
            "runuser -u lodger -- bin/restore $this->folder/some.tar.gz",
            $this->runs(['bin/restore', "$this->folder/some.tar.gz"], 1),
        );
    }

    public function testOldOnesGoButOneADayAWeekAndAMonth(): void
    {
        $this->fill();
        File::ensureDirectoryExists("$this->folder/kept");
        $days = array_map(static fn(int $back): string => gmdate('Ymd', time() - $back * 86_400), [
            ...range(1, 40),
            70,
            100,
            400,
        ]);
        foreach ($days as $day) {
            foreach (['010000', '020000'] as $time) {
                touch("$this->folder/kept/ispira-{$day}T{$time}Z.tar.gz");
            }
        }
        $this->runs(['bin/backup', '--keep', '3,2,4']);
        $kept = array_map(basename(...), glob("$this->folder/kept/ispira-*") ?: []);
        $written = (string) end($kept);
        // A day may be the newest of its week and of its month too: how many stay depends on the day of this test.
        $stay = [];
        foreach (['Ymd' => 3, 'oW' => 2, 'Ym' => 4] as $period => $count) {
            $of = [];
            foreach ([substr($written, 7, 8), ...$days] as $day) {
                $of[(new DateTimeImmutable($day))->format($period)] ??= $day;
            }
            foreach (array_slice($of, 0, $count) as $day) {
                $stay[] = str_contains($written, $day) ? $written : "ispira-{$day}T020000Z.tar.gz";
            }
        }
        self::assertEqualsCanonicalizing(array_values(array_unique($stay)), $kept);
    }
}
