<?php

declare(strict_types=1);

namespace App\Captures;

use App\Models\Capture;
use App\Models\Job;
use App\Models\User;
use Illuminate\Support\Facades\File;
use Ispira\Core\Capture\CaptureError;
use Ispira\Core\Capture\Format\Importer;
use Ispira\Core\Capture\ImportSettings;
use Ispira\Core\Capture\Pulses;

/**
 * Takes a file into a job as a capture: its samples into a folder, what was measured into a row.
 */
final readonly class ImportCapture
{
    /**
     * @param string $id the same id sent again is the same capture
     *
     * @throws CaptureError
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
        $existing = Capture::query()->find($id);
        if ($existing instanceof Capture) {
            return $existing->job_id === $job->id
                ? $existing
                : throw new CaptureError('This file was not taken. Reload the page and choose it again.');
        }
        $capture = new Capture(['id' => $id]);
        try {
            $head = Importer::import($path, $capture->store(), $settings);
            $capture
                ->fill([
                    'job_id' => $job->id,
                    'user_id' => $user->id,
                    'name' => $name,
                    'position' => $position,
                    'head' => $head->toArray(),
                    'pulses' => array_map(
                        static fn(int $channel): array => Pulses::of($capture->store(), $channel)->toArray(),
                        array_keys($head->channels),
                    ),
                    'taken_at' => now(),
                ])
                ->save();
        } catch (\Throwable $error) {
            File::deleteDirectory(Capture::folder($id));
            throw $error;
        }

        return $capture;
    }
}
