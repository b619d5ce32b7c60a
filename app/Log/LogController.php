<?php

declare(strict_types=1);

namespace App\Log;

use App\Bench\ReadingRefused;
use App\Bench\RecordReading;
use App\Http\Controller;
use App\Http\CsvDownload;
use App\Http\Middleware\BodyLimit;
use App\Jobs\JobStates;
use App\Jobs\JobView;
use App\Models\Job;
use App\Models\Photo;
use App\Models\Reading;
use App\Operation\DiskFull;
use App\Operation\DiskRoom;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;
use Illuminate\Validation\ValidationException;
use Ispira\Core\Diagnosis\Presentation\Words;
use Ispira\Core\Job\JobStage;
use Ispira\Core\Job\Shown\ReadingShown;
use Ispira\Core\Kernel\DisplayUnits;
use Ispira\Core\Kernel\UnreadableNumber;
use Ispira\Core\Pages\JobShown;
use Symfony\Component\HttpFoundation\StreamedResponse;

/**
 * Everything that was read in a job: filtered, over time, as a table, with photos.
 */
final class LogController extends Controller
{
    public function show(Job $job, DisplayUnits $units): LogPage|RedirectResponse
    {
        if ($job->stage === JobStage::Circuit) {
            return $this->whereItStands($job);
        }
        $circuit = $job->circuit();
        $words = new Words($circuit, $units);
        $facts = [];
        foreach ($job->readings as $reading) {
            $test = $circuit->tests[$reading->test];
            $unit = $words->unit($test->probe->quantity);
            $facts[$reading->id] = [
                'setUp' => $words->setUp($test),
                'place' => isset($circuit->places[$test->probe->at])
                    ? $words->place($test->probe->at)
                    : $words->test($test),
                'unit' => $unit->symbol,
                'number' => $reading->number === null ? null : $unit->fromBase($reading->number),
            ];
        }

        return new LogPage(
            job: JobView::head($job),
            open: $job->stage === JobStage::Bench,
            readings: array_map(
                static fn(ReadingShown $one): LoggedReading => new LoggedReading($one, ...$facts[$one->id]),
                (new JobShown(JobStates::of($job), app(DisplayUnits::class)))->readings(),
            ),
            photos: array_values(
                $job
                    ->photos()
                    ->get()
                    ->map(
                        static fn(Photo $photo): PhotoShown => new PhotoShown(
                            id: $photo->id,
                            caption: $photo->caption,
                            width: $photo->width,
                            height: $photo->height,
                            reading: $job->readings->firstWhere('sequence', $photo->reading_sequence)?->id,
                            takenAt: $photo->taken_at->toIso8601String(),
                        ),
                    )
                    ->all(),
            ),
        );
    }

    public function export(Job $job): StreamedResponse
    {
        $circuit = $job->circuit();

        return CsvDownload::of(ReadingTable::rows($job, $circuit), JobView::number($job) . '-readings.csv');
    }

    public function import(Request $request, Job $job, RecordReading $record): RedirectResponse
    {
        if ($job->stage !== JobStage::Bench) {
            return $this->refused($job, 'This job is no longer on the bench: no reading was taken in.');
        }
        $request->validate(
            ['table' => ['required', 'file', 'max:2000']],
            ['table.required' => 'Choose a table.', 'table.max' => 'The table is larger than 2 MB.'],
        );
        $file = $request->file('table');
        abort_unless($file instanceof UploadedFile, 422);
        try {
            $read = ReadingTable::read($file->getPathname(), $job, $job->circuit());
            $before = $job->readings()->count();
            DB::transaction(function () use ($request, $job, $read, $record): void {
                foreach ($read as ['reading' => $reading, 'takenAt' => $takenAt]) {
                    $record($this->user($request), $job, $reading, $takenAt);
                }
            });
        } catch (UnreadableNumber | ReadingRefused $error) {
            throw ValidationException::withMessages(['table' => $error->getMessage()]);
        }
        $new = $job->readings()->count() - $before;

        return redirect("/jobs/$job->id/log", 303)->with(
            'notice',
            "$new readings were taken in" .
                ($new < count($read) ? ', ' . (count($read) - $new) . ' were here already' : '') .
                '.',
        );
    }

    public function photo(Request $request, Job $job): RedirectResponse
    {
        $data = $request->validate(
            [
                'id' => ['required', 'ulid'],
                'photo' => ['required', 'file', 'max:' . BodyLimit::PHOTO_BYTES / 1000],
                'reading' => ['nullable', 'string', 'max:40'],
                'caption' => ['nullable', 'string', 'max:200'],
            ],
            [
                'photo.required' => 'Choose a photo.',
                'photo.max' => 'The photo is larger than 12 MB.',
                'photo.uploaded' => 'The photo did not arrive whole. Try it once more.',
            ],
        );
        $file = $request->file('photo');
        abort_unless($file instanceof UploadedFile, 422);
        $reading = isset($data['reading']) ? $job->readings->firstWhere('id', $data['reading']) : null;
        try {
            $picture = PhotoFile::of($file->getPathname());
        } catch (PhotoRefused $error) {
            throw ValidationException::withMessages(['photo' => $error->getMessage()]);
        }
        $id = strtolower($data['id']);
        $known = Photo::query()->find($id);
        if ($known !== null && $known->job_id !== $job->id) {
            throw ValidationException::withMessages([
                'photo' => 'This photo was not taken. Reload the page and choose it again.',
            ]);
        }
        if ($known === null) {
            try {
                DiskRoom::left($job, strlen($picture->jpeg));
            } catch (DiskFull $full) {
                throw ValidationException::withMessages(['photo' => $full->getMessage()]);
            }
            DB::transaction(function () use ($request, $job, $data, $reading, $picture, $id): void {
                $locked = $job->locked();
                if ($locked->stage === JobStage::Closed) {
                    throw ValidationException::withMessages([
                        'photo' => 'This job is closed: what it holds stays. Reopen it first.',
                    ]);
                }
                $photo = Photo::query()->create([
                    'id' => $id,
                    'job_id' => $job->id,
                    'user_id' => $this->user($request)->id,
                    'reading_sequence' => $reading instanceof Reading ? $reading->sequence : null,
                    'caption' => $data['caption'] ?? null,
                    'width' => $picture->width,
                    'height' => $picture->height,
                    'bytes' => strlen($picture->jpeg),
                    'taken_at' => now(),
                ]);
                Storage::put($photo->path(), $picture->jpeg) ||
                    throw new \RuntimeException('The photo could not be stored.');
            });
        }

        return back(303);
    }

    public function picture(Job $job, string $photo): StreamedResponse
    {
        $found = $job->photos()->findOrFail($photo);
        abort_unless(Storage::exists($found->path()), 404);

        return Storage::response($found->path(), null, [
            'Content-Type' => 'image/jpeg',
            'Cache-Control' => 'private, max-age=86400',
        ]);
    }

    public function removePhoto(Job $job, string $photo): RedirectResponse
    {
        if ($job->stage === JobStage::Closed) {
            return $this->refused($job, 'This job is closed: what it holds stays. Reopen it first.');
        }
        $found = $job->photos()->findOrFail($photo);
        // First the file: where it cannot be taken away, nothing is, and it can be tried again.
        Storage::delete($found->path());
        $found->delete();

        return back(303);
    }
}
