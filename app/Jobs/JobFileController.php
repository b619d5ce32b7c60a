<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Http\Controller;
use App\Models\Job;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\UploadedFile;
use Illuminate\Validation\ValidationException;
use Ispira\Core\Job\JobFileFormat;
use Ispira\Core\Kernel\FileError;

final class JobFileController extends Controller
{
    public function show(Job $job, JobFileFormat $format): JsonResponse
    {
        return response()->json(
            $format->toArray(StoredJobFile::of($job)),
            200,
            ['Content-Disposition' => 'attachment; filename="' . JobView::number($job) . '.json"'],
            \JSON_PRETTY_PRINT | \JSON_UNESCAPED_UNICODE | \JSON_UNESCAPED_SLASHES | \JSON_PRESERVE_ZERO_FRACTION,
        );
    }

    public function store(Request $request, JobFileFormat $format): RedirectResponse
    {
        $file = $request->file('file');
        if (!($file instanceof UploadedFile) || !$file->isValid()) {
            throw ValidationException::withMessages(['file' => 'Choose a job file of at most 30 MB.']);
        }
        if ($file->getSize() > JobFileFormat::MOST_BYTES) {
            throw ValidationException::withMessages(['file' => 'The file is larger than 30 MB: that is no job file.']);
        }
        try {
            $job = StoredJobFile::import($this->user($request), $format->read((string) $file->get()));
        } catch (FileError $error) {
            throw ValidationException::withMessages(['file' => $error->getMessage()]);
        }

        return $this->whereItStands($job, 'Imported as ' . JobView::number($job) . '.');
    }
}
