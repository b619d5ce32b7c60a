<?php

declare(strict_types=1);

namespace App\Captures;

use App\Models\Capture;
use App\Models\Job;
use App\Models\User;
use App\Operation\DiskFull;
use App\Operation\DiskRoom;
use Illuminate\Database\UniqueConstraintViolationException;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Ispira\Core\Capture\CaptureError;
use Ispira\Core\Capture\Format\Importer;
use Ispira\Core\Capture\ImportSettings;
use Ispira\Core\Capture\Pulses;
use Ispira\Core\Job\JobStage;

/**
 * Takes a file into a job as a capture: its samples into a folder, what was measured into a row.
 */
final readonly class ImportCapture
{
    /**
     * @param string $id the same id sent again is the same capture
     *
     * @throws CaptureError
     * @throws DiskFull
     */
    public function __invoke(
        User $user,
        Job $job,
        string $id,
        string $path,
        string $name,
        ?string $position,
        ImportSettings $settings,
    ): Capture {
        $existing = self::existing($job, $id);
        if ($existing !== null) {
            return $existing;
        }
        $place = 'taken-in-' . strtolower((string) Str::ulid());
        $store = CaptureFiles::begin($place, DiskRoom::left($job, (int) filesize($path)));
        try {
            $head = Importer::import($path, $store, $settings);
            $capture = new Capture([
                'id' => $id,
                'job_id' => $job->id,
                'user_id' => $user->id,
                'name' => $name,
                'position' => $position,
                'head' => $head->toArray(),
                'pulses' => array_map(
                    static fn(int $channel): array => Pulses::of($store, $channel)->toArray(),
                    array_keys($head->channels),
                ),
                'bytes' => CaptureFiles::bytes($place),
                'taken_at' => now(),
            ]);
            // The row first: of two that were sent at once, one is refused here and leaves the samples of the other.
            DB::transaction(static function () use ($job, $capture, $place, $id): void {
                $locked = $job->locked();
                if ($locked->stage === JobStage::Closed) {
                    throw new CaptureError('This job is closed: what it holds stays. Reopen it first.');
                }
                $capture->save();
                CaptureFiles::keep($place, $id);
            });
        } catch (UniqueConstraintViolationException) {
            CaptureFiles::remove($place);

            return self::existing($job, $id) ??
                throw new CaptureError('The capture could not be stored. Choose the file again.');
        } catch (\Throwable $error) {
            CaptureFiles::remove($place);
            throw $error;
        }

        return $capture;
    }

    /** @throws CaptureError where the id is that of a capture elsewhere */
    private static function existing(Job $job, string $id): ?Capture
    {
        $existing = Capture::query()->find($id);
        if ($existing instanceof Capture && $existing->job_id !== $job->id) {
            throw new CaptureError('This file was not taken. Reload the page and choose it again.');
        }

        return $existing;
    }
}
