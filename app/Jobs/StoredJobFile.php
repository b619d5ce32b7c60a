<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Log\PhotoFile;
use App\Log\PhotoRefused;
use App\Models\Job;
use App\Models\KeptReading;
use App\Models\Photo;
use App\Models\ProcedureRun;
use App\Models\Reading;
use App\Models\RepairEntry;
use App\Models\Replacement;
use App\Models\SpeedMap;
use App\Models\Strike;
use App\Models\Unit;
use App\Models\User;
use App\Operation\DiskFull;
use App\Operation\DiskRoom;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;
use Illuminate\Support\Str;
use Ispira\Core\Job\FiledReading;
use Ispira\Core\Job\JobFile;
use Ispira\Core\Job\JobStage;
use Ispira\Core\Kernel\FileError;
use Ispira\Core\Procedure\ProcedureFormat;
use Ispira\Core\Quality\Doubt;
use Ispira\Core\Repair\Ledger\Entry;

/**
 * Turns a stored job into a job file and back.
 */
final class StoredJobFile
{
    /** @param bool $photos whether its pictures go with it */
    public static function of(Job $job, bool $photos = true): JobFile
    {
        return new JobFile(
            [
                'kind' => $job->kind,
                'stage' => $job->stage,
                'number' => JobView::number($job),
                'complaint' => $job->complaint,
                'since' => $job->since,
                'intermittent' => $job->intermittent,
                'replacedBefore' => $job->replaced_before,
                'openedAt' => self::text($job->created_at),
                'closedAt' => self::text($job->closed_at),
                'part' => $job->part,
                'outcome' => $job->outcome,
                'dueOn' => $job->due_on?->toDateString(),
                'again' => $job->again(),
            ],
            ['name' => $job->unit->name, 'place' => $job->unit->place, 'model' => $job->unit->model, 'notes' => null],
            $job->family,
            $job->parameters,
            JobStates::maps($job),
            array_values(
                $job->readings
                    ->map(
                        static fn(Reading $reading): FiledReading => new FiledReading(
                            $reading->toCore(),
                            $reading->speed_map_id,
                            self::text($reading->taken_at),
                            self::text($reading->strike?->struck_at),
                            $reading->strike?->reason,
                            array_map(
                                static fn(array $doubt): Doubt => new Doubt($doubt['rule'], $doubt['sentence']),
                                $reading->doubts ?? [],
                            ),
                            self::text($reading->kept?->kept_at),
                            $reading->author ?? ($job->workshop->names()[$reading->user_id] ?? null),
                        ),
                    )
                    ->all(),
            ),
            array_values(
                $job->replacements
                    ->map(
                        static fn(Replacement $r): array => [
                            'id' => $r->id,
                            'remedy' => $r->remedy,
                            'partNumber' => $r->part_number,
                            'note' => $r->note,
                            'temporaryUntil' => $r->temporary_until?->toDateString(),
                            'at' => self::text($r->replaced_at),
                            'by' => $r->author ?? ($job->workshop->names()[$r->user_id] ?? null),
                        ],
                    )
                    ->all(),
            ),
            array_values(
                $job
                    ->entries()
                    ->get()
                    ->map(static fn(RepairEntry $entry): Entry => $entry->toCore($job->workshop->names()))
                    ->all(),
            ),
            array_values(
                $job
                    ->runs()
                    ->get()
                    ->map(static function (ProcedureRun $stored): array {
                        $run = $stored->toCore()->run;

                        return [
                            'procedure' => $run->procedure,
                            'startedAt' => (string) self::text($stored->started_at),
                            'marks' => $run->marks,
                        ];
                    })
                    ->all(),
            ),
            $photos ? self::photos($job) : [],
        );
    }

    /** @return list<array{id: string, reading: string|null, caption: string|null, takenAt: string|null, by: string|null, jpeg: string}> */
    private static function photos(Job $job): array
    {
        return array_values(
            $job
                ->photos()
                ->get()
                ->filter(static fn(Photo $photo): bool => Storage::exists($photo->path()))
                ->map(
                    static fn(Photo $photo): array => [
                        'id' => $photo->id,
                        'reading' => $job->readings->firstWhere('sequence', $photo->reading_sequence)?->id,
                        'caption' => $photo->caption,
                        'takenAt' => self::text($photo->taken_at),
                        'by' => $photo->author ?? ($job->workshop->names()[$photo->user_id] ?? null),
                        'jpeg' => (string) Storage::get($photo->path()),
                    ],
                )
                ->all(),
        );
    }

    /** Stores a file as a new job of the user's workshop, with ids of its own. */
    public static function import(User $user, JobFile $file): Job
    {
        return DB::transaction(static function () use ($user, $file): Job {
            $workshop = $user->workshop;
            $name = $file->unit['name'] ?? 'Imported unit';
            $unit =
                $workshop
                    ->units()
                    ->where('name', $name)
                    ->where('model', $file->unit['model'] ?? null)
                    ->first() ??
                $workshop->units()->create([
                    'name' => Str::limit($name, 117),
                    'place' => $file->unit['place'] ?? null,
                    'model' => $file->unit['model'] ?? null,
                ]);
            $opened = self::moment($file->job['openedAt']);
            $job = new Job([
                'workshop_id' => $workshop->id,
                'number' => $workshop->takeJobNumber(),
                'unit_id' => $unit instanceof Unit ? $unit->id : null,
                'user_id' => $user->id,
                'owner_id' => $user->id,
                'kind' => $file->job['kind'],
                'stage' => $file->job['stage'] ?? JobStage::Bench,
                'complaint' => $file->job['complaint'] === '' ? 'Imported job' : $file->job['complaint'],
                'since' => $file->job['since'],
                'intermittent' => $file->job['intermittent'],
                'replaced_before' => $file->job['replacedBefore'],
                'family' => $file->family,
                'parameters' => $file->parameters,
                'closed_at' => $file->job['closedAt'] === null ? null : self::moment($file->job['closedAt']),
                'part' => $file->job['part'],
                'outcome' => $file->job['outcome'],
                'due_on' => $file->job['dueOn'],
                'again' => $file->job['again'],
            ]);
            $job->created_at = $opened;
            $job->save();
            $maps = [];
            foreach ($file->maps as $map) {
                $stored = SpeedMap::query()->create([
                    'job_id' => $job->id,
                    'kind' => $map['kind'],
                    'noted_for' => $map['notedFor'],
                    'episode' => $map['episode'],
                    'taken_at' => $opened,
                ]);
                $maps[$map['id']] = $stored->id;
            }
            $readings = [];
            foreach ($file->readings as $filed) {
                $readings[$filed->reading->id] = self::importReading($user, $job, $filed, $maps, $opened);
            }
            $ids = [];
            foreach ($file->replacements as $replacement) {
                $id = (string) Str::ulid();
                $ids[(string) $replacement['id']] = $id;
                Replacement::query()->create([
                    'id' => $id,
                    'job_id' => $job->id,
                    'user_id' => $user->id,
                    'remedy' => $replacement['remedy'],
                    'part_number' => $replacement['partNumber'],
                    'note' => $replacement['note'],
                    'temporary_until' => $replacement['temporaryUntil'],
                    'author' => self::author($replacement['by']),
                    'replaced_at' => self::moment($replacement['at']),
                ]);
            }
            $ids += self::importPhotos($user, $job, $file, $readings);
            foreach ($file->entries as $entry) {
                $id = strtolower((string) Str::ulid());
                $ids[$entry->id] = $id;
                $data = $entry->data;
                foreach ($entry->refersTo() as $field => $of) {
                    $data[$field] = $ids[$of] ?? null;
                }
                RepairEntry::query()->create([
                    'id' => $id,
                    'job_id' => $job->id,
                    'user_id' => $user->id,
                    'kind' => $entry->kind,
                    'data' => $data,
                    'author' => self::author($entry->by),
                    'noted_at' => self::moment($entry->at),
                ]);
            }
            $job->recountOpen();
            foreach ($file->runs as $run) {
                $stored = ProcedureRun::query()->create([
                    'id' => strtolower((string) Str::ulid()),
                    'workshop_id' => $workshop->id,
                    'job_id' => $job->id,
                    'user_id' => $user->id,
                    'key' => $run['procedure']->key,
                    'text' => ProcedureFormat::toArray($run['procedure']),
                    'started_at' => self::moment($run['startedAt']),
                ]);
                foreach ($run['marks'] as $mark) {
                    $stored->marks()->create([
                        'user_id' => $user->id,
                        'kind' => $mark->kind,
                        'step' => $mark->step,
                        'note' => $mark->note,
                        'author' => self::author($mark->by),
                        'marked_at' => Carbon::createFromTimestamp($mark->at)->utc(),
                    ]);
                }
            }

            return $job;
        });
    }

    /** @param array<string, string> $maps stored id by the file's */
    private static function importReading(User $user, Job $job, FiledReading $filed, array $maps, Carbon $opened): int
    {
        $reading = $filed->reading;
        $stored = Reading::query()->create([
            'id' => (string) Str::ulid(),
            'job_id' => $job->id,
            'speed_map_id' => $filed->map === null ? null : $maps[$filed->map],
            'user_id' => $user->id,
            ...Reading::columns($reading),
            'episode' => $reading->episode,
            'doubts' =>
                $filed->doubts === []
                    ? null
                    : array_map(static fn(Doubt $doubt): array => $doubt->toArray(), $filed->doubts),
            'author' => self::author($filed->by),
            'taken_at' => $filed->takenAt === null ? $opened : self::moment($filed->takenAt),
        ]);
        if ($filed->keptAt !== null) {
            KeptReading::query()->create([
                'reading_sequence' => $stored->sequence,
                'user_id' => $user->id,
                'kept_at' => self::moment($filed->keptAt),
            ]);
        }
        if ($reading->struck) {
            Strike::query()->create([
                'reading_sequence' => $stored->sequence,
                'user_id' => $user->id,
                'reason' => $filed->struckBecause,
                'struck_at' => self::moment($filed->struckAt),
            ]);
        }

        return $stored->sequence;
    }

    /**
     * @param array<string, int> $readings sequence by the file's id
     *
     * @return array<string, string> stored id by the file's
     */
    private static function importPhotos(User $user, Job $job, JobFile $file, array $readings): array
    {
        $ids = [];
        foreach ($file->photos as $one) {
            // Nothing of what stands beside the picture comes along.
            $path = (string) tempnam(sys_get_temp_dir(), 'photo');
            file_put_contents($path, $one['jpeg']);
            try {
                $picture = PhotoFile::keeping($path);
                DiskRoom::left($job, strlen($picture->jpeg));
            } catch (PhotoRefused | DiskFull $refused) {
                throw FileError::at("photos: {$one['id']}", $refused->getMessage());
            } finally {
                unlink($path);
            }
            $photo = Photo::query()->create([
                'id' => strtolower((string) Str::ulid()),
                'job_id' => $job->id,
                'user_id' => $user->id,
                'reading_sequence' => $one['reading'] === null ? null : $readings[$one['reading']],
                'caption' => $one['caption'],
                'width' => $picture->width,
                'height' => $picture->height,
                'bytes' => strlen($picture->jpeg),
                'author' => self::author($one['by']),
                'taken_at' => self::moment($one['takenAt']),
            ]);
            Storage::put($photo->path(), $picture->jpeg) ||
                throw new \RuntimeException('The photo could not be stored.');
            $ids[$one['id']] = $photo->id;
        }

        return $ids;
    }

    private static function author(?string $name): ?string
    {
        return $name === null ? null : mb_substr($name, 0, 120);
    }

    private static function text(?Carbon $moment): ?string
    {
        return $moment?->utc()->format('Y-m-d\TH:i:s.u\Z');
    }

    private static function moment(?string $text): Carbon
    {
        return $text === null ? now() : Carbon::parse($text)->utc();
    }
}
