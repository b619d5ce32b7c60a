<?php

declare(strict_types=1);

namespace App\Operation;

use App\Captures\CaptureFiles;
use App\Log\PhotoFile;
use App\Log\PhotoRefused;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\File;
use Illuminate\Support\Facades\Storage;
use Illuminate\Support\Str;

/**
 * Takes a workshop in from what another installation wrote: all records with their authors, moments and numbers, photos
 * and captures. Keys that the database gives are given anew. Nothing of it stays when anything is wrong.
 */
final class ReadArchive
{
    private const BATCH = 200;
    private const LONGEST_LINE = 20_000_000;

    /** @var array<string, array<string, int>> new key by table and old one */
    private array $keys = [];
    /** @var list<array{0: string, 1: string}> addresses under which people come that are taken here: old and new */
    private array $renamed = [];
    private int $workshop = 0;

    public function __construct(private readonly WorkshopTables $tables, private readonly \ZipArchive $zip) {}

    /** @throws ArchiveRefused with words that say what is wrong and where */
    public function read(): ArchiveTaken
    {
        $manifest = json_decode((string) $this->zip->getFromName('manifest.json', 100_000), true);
        if (!is_array($manifest) || ($manifest['format'] ?? null) !== WriteArchive::FORMAT) {
            throw new ArchiveRefused('This is no archive of a workshop.');
        }
        if (($manifest['version'] ?? null) !== WriteArchive::VERSION) {
            throw new ArchiveRefused('This archive is of another version. Bring this installation up to date first.');
        }
        $written = [];
        try {
            return DB::transaction(function () use (&$written): ArchiveTaken {
                [$this->keys, $this->renamed] = [[], []];
                $counts = [];
                foreach ($this->tables->names() as $table) {
                    $counts[$table] = $this->table($table);
                }
                if (($counts['workshops'] ?? 0) !== 1) {
                    throw new ArchiveRefused('records/workshops.jsonl: exactly one workshop belongs there.');
                }
                $counts['files'] = $this->files($written);

                return new ArchiveTaken($this->workshop, $counts, $this->renamed);
            });
        } catch (\Throwable $error) {
            foreach ($written as [$kind, $id]) {
                $kind === 'photo' ? Storage::delete($id) : CaptureFiles::remove($id);
            }
            throw $error;
        }
    }

    private function table(string $table): int
    {
        $stream = $this->zip->getStream("records/$table.jsonl");
        if ($stream === false) {
            throw new ArchiveRefused("records/$table.jsonl is missing.");
        }
        $columns = array_flip(DB::getSchemaBuilder()->getColumnListing($table));
        [$rows, $line] = [[], 0];
        while (($text = stream_get_line($stream, self::LONGEST_LINE, "\n")) !== false) {
            ++$line;
            $row = json_decode($text, true);
            if (!is_array($row) || array_filter($row, is_array(...)) !== []) {
                throw new ArchiveRefused("records/$table.jsonl, line $line is no record.");
            }
            $unknown = array_keys(array_diff_key($row, $columns));
            if ($unknown !== []) {
                throw new ArchiveRefused("records/$table.jsonl, line $line: \"$unknown[0]\" is not known here.");
            }
            $rows[] = $this->ours($table, $row, $line);
            if (count($rows) === self::BATCH) {
                $this->insert($table, $rows);
                $rows = [];
            }
        }
        fclose($stream);
        $this->insert($table, $rows);

        return $line;
    }

    /**
     * A record with the keys of this installation.
     *
     * @param array<array-key, mixed> $row
     *
     * @return array<array-key, mixed>
     */
    private function ours(string $table, array $row, int $line): array
    {
        foreach ($this->tables->references($table) as $column => $other) {
            if (isset($row[$column])) {
                $row[$column] =
                    $this->key($other, $row[$column]) ??
                    throw new ArchiveRefused(
                        "records/$table.jsonl, line $line: $column refers to nothing in this archive.",
                    );
            }
        }
        if ($table === 'users') {
            $email = is_string($row['email'] ?? null) ? $row['email'] : '';
            if (DB::table('users')->where('email', $email)->exists()) {
                [$name, $host] = explode('@', "$email@", 3);
                $row['email'] = "$name+" . strtolower(Str::random(6)) . "@$host";
                $this->renamed[] = [$email, $row['email']];
            }
            // Nobody comes in by a word that was good elsewhere: a lead makes a link.
            $row['password'] = password_hash(Str::random(40), PASSWORD_BCRYPT);
            $row['session_key'] = Str::random(20);
        }

        return $row;
    }

    /** @param array{0: string, 1: string} $field what is referred to */
    private function key(array $field, mixed $old): mixed
    {
        [$table, $column] = $field;
        if ($this->tables->numbered($table) === $column) {
            return is_int($old) ? $this->keys[$table]["$old"] ?? null : null;
        }
        // A key that goes on to another one, such as that of the workshop in the key of a job.
        $further = $this->tables->references($table)[$column] ?? null;
        if ($further !== null) {
            return $this->key($further, $old);
        }

        return is_scalar($old) ? $old : null;
    }

    /** @param list<array<array-key, mixed>> $rows */
    private function insert(string $table, array $rows): void
    {
        if ($rows === []) {
            return;
        }
        $numbered = $this->tables->numbered($table);
        $old = $numbered === null ? [] : array_column($rows, $numbered);
        $rows =
            $numbered === null
                ? $rows
                : array_map(static fn(array $row): array => array_diff_key($row, [$numbered => 0]), $rows);
        DB::table($table)->insert($rows);
        if ($numbered === null) {
            return;
        }
        // Of rows that one statement inserts the first has the number that is told, and the others follow in steps.
        $first = (int) DB::getPdo()->lastInsertId();
        $step = (int) (DB::selectOne('SELECT @@auto_increment_increment AS step')->step ?? 1);
        foreach ($old as $place => $key) {
            $this->keys[$table]["$key"] = $first + $place * $step;
        }
        if ($table === 'workshops') {
            $this->workshop = $first;
        }
    }

    /**
     * Photos and captures of the records that came in; nothing else that a zip may hold.
     *
     * @param list<array{0: string, 1: string}> $written
     */
    private function files(array &$written): int
    {
        $count = 0;
        $photos = $this->tables->rows('photos', $this->workshop)->pluck('job_id', 'id')->all();
        $captures = array_flip($this->tables->rows('captures', $this->workshop)->pluck('id')->all());
        for ($place = 0; $place < $this->zip->numFiles; ++$place) {
            $name = (string) $this->zip->getNameIndex($place);
            if (
                preg_match('#^files/(photos/([0-9A-Za-z]{26})/([0-9A-Za-z]{26})\.jpg)$#', $name, $found) === 1 &&
                ($photos[$found[3]] ?? null) === $found[2]
            ) {
                $written[] = ['photo', $found[1]];
                Storage::put($found[1], $this->picture($place, $name)) ||
                    throw new \RuntimeException('A photo could not be stored.');
                ++$count;
            } elseif (
                preg_match('#^files/captures/([0-9A-Za-z]{26})/(head\.json|\d\.f32|\d\.blocks)$#', $name, $found) ===
                    1 &&
                isset($captures[$found[1]])
            ) {
                $written[] = ['capture', $found[1]];
                File::ensureDirectoryExists(CaptureFiles::folder($found[1]));
                file_put_contents(
                    CaptureFiles::folder($found[1]) . "/$found[2]",
                    $this->zip->getStreamIndex($place),
                ) !== false || throw new \RuntimeException('A capture could not be stored.');
                ++$count;
            }
        }
        foreach (array_keys($captures) as $id) {
            CaptureFiles::send((string) $id);
        }

        return $count;
    }

    private function picture(int $place, string $name): string
    {
        $path = (string) tempnam(sys_get_temp_dir(), 'photo');
        try {
            file_put_contents($path, $this->zip->getStreamIndex($place));

            return PhotoFile::keeping($path)->jpeg;
        } catch (PhotoRefused $refused) {
            throw new ArchiveRefused("$name: {$refused->getMessage()}");
        } finally {
            unlink($path);
        }
    }
}
