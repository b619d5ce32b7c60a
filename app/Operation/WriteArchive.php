<?php

declare(strict_types=1);

namespace App\Operation;

use App\Captures\CaptureFiles;
use App\Jobs\JobView;
use App\Jobs\StoredJobFile;
use App\Models\Photo;
use App\Models\Workshop;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\File;
use Illuminate\Support\Facades\Storage;
use Ispira\Core\Job\JobFileFormat;

/**
 * Writes everything of a workshop into one zip: its records table by table, its photos and captures, and a job file of
 * every job, which says the same to programs that know nothing of the tables.
 */
final class WriteArchive
{
    public const FORMAT = 'ispira-workshop';
    public const VERSION = 1;
    /** What lets somebody in is nobody else's. */
    public const SECRET = ['users' => ['password', 'remember_token', 'session_key']];

    private const JSON =
        JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_PRESERVE_ZERO_FRACTION | JSON_THROW_ON_ERROR;

    private \ZipArchive $zip;

    /** @param string $work folder of its own for what is written before it is packed */
    public function __construct(
        private readonly WorkshopTables $tables,
        private readonly JobFileFormat $format,
        private readonly string $path,
        private readonly string $work,
    ) {
        $this->zip = new \ZipArchive();
    }

    /** @return array<string, int> how much of what was written */
    public function write(Workshop $workshop): array
    {
        File::ensureDirectoryExists($this->work);
        $this->zip->open($this->path, \ZipArchive::CREATE | \ZipArchive::EXCL) === true ||
            throw new \RuntimeException("$this->path cannot be written, or is there already.");
        // All of it as of one moment.
        $counts = DB::transaction(fn(): array => $this->records($workshop) + $this->jobs($workshop));
        $counts += $this->photos($workshop) + $this->captures($workshop);
        $this->text(
            'manifest.json',
            json_encode(
                [
                    'format' => self::FORMAT,
                    'version' => self::VERSION,
                    'program' => Health::version(),
                    'workshop' => $workshop->name,
                    'writtenAt' => now()->utc()->format('Y-m-d\TH:i:s\Z'),
                    'counts' => $counts,
                ],
                self::JSON | JSON_PRETTY_PRINT,
            ),
        );
        // Only now the files are read, one after the other.
        $this->zip->close() || throw new \RuntimeException("$this->path cannot be written: is the disk full?");

        return $counts;
    }

    /** @return array<string, int> */
    private function records(Workshop $workshop): array
    {
        $counts = [];
        foreach ($this->tables->names() as $table) {
            $path = "$this->work/$table.jsonl";
            $file = fopen($path, 'w') ?: throw new \RuntimeException("$path cannot be written.");
            $secret = array_flip(self::SECRET[$table] ?? []);
            $rows = $this->tables->rows($table, $workshop->id);
            foreach ($this->tables->primary($table) as $column) {
                $rows->orderBy("$table.$column");
            }
            $counts[$table] = 0;
            foreach ($rows->cursor() as $row) {
                $line = json_encode(array_diff_key((array) $row, $secret), self::JSON);
                fwrite($file, "$line\n");
                ++$counts[$table];
            }
            fclose($file);
            $this->file("records/$table.jsonl", $path);
        }

        return $counts;
    }

    /** @return array{'job files': int} */
    private function jobs(Workshop $workshop): array
    {
        $count = 0;
        foreach (
            $workshop
                ->jobs()
                ->with(['unit', 'readings', 'maps', 'replacements'])
                ->lazyById(50)
            as $job
        ) {
            $job->setRelation('workshop', $workshop);
            $file = StoredJobFile::of($job, false);
            $this->text(
                'jobs/' . JobView::number($job) . '.json',
                json_encode($this->format->toArray($file), self::JSON),
            );
            ++$count;
        }

        return ['job files' => $count];
    }

    /** @return array{'photo files': int} */
    private function photos(Workshop $workshop): array
    {
        $count = 0;
        $photos = Photo::query()->whereIn('job_id', $workshop->jobs()->select('id'));
        foreach ($photos->lazyById(500) as $photo) {
            $bytes = Storage::get($photo->path());
            if ($bytes !== null) {
                $this->text("files/{$photo->path()}", $bytes);
                ++$count;
            }
        }

        return ['photo files' => $count];
    }

    /** @return array{'capture files': int} */
    private function captures(Workshop $workshop): array
    {
        $count = 0;
        $ids = DB::table('captures')
            ->whereIn('job_id', $workshop->jobs()->select('id'))
            ->orderBy('id')
            ->pluck('id');
        foreach ($ids as $id) {
            CaptureFiles::of((string) $id);
            $folder = CaptureFiles::folder((string) $id);
            foreach (File::isDirectory($folder) ? File::files($folder) : [] as $file) {
                $this->file("files/captures/$id/" . $file->getFilename(), $file->getPathname());
                ++$count;
            }
        }

        return ['capture files' => $count];
    }

    private function text(string $name, string $bytes): void
    {
        $path = "$this->work/" . str_replace('/', '-', $name);
        file_put_contents($path, $bytes) === strlen($bytes) ||
            throw new \RuntimeException("$path cannot be written: is the disk full?");
        $this->file($name, $path);
    }

    private function file(string $name, string $path): void
    {
        $this->zip->addFile($path, $name) || throw new \RuntimeException("$path cannot be packed.");
    }
}
