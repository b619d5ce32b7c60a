<?php

declare(strict_types=1);

namespace App\Captures;

use App\Bench\ReadingRefused;
use App\Bench\RecordReading;
use App\Http\Asked;
use App\Http\Controller;
use App\Http\Middleware\BodyLimit;
use App\Jobs\JobView;
use App\Models\Capture;
use App\Models\Job;
use App\Operation\DiskFull;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\UploadedFile;
use Illuminate\Validation\Rule;
use Illuminate\Validation\ValidationException;
use Ispira\Core\Capture\CaptureError;
use Ispira\Core\Capture\Format\CsvExport;
use Ispira\Core\Capture\Format\VcdExport;
use Ispira\Core\Capture\ImportSettings;
use Ispira\Core\Diagnosis\Inference\Judged;
use Ispira\Core\Job\JobStage;
use Ispira\Core\Kernel\Named;
use Ispira\Core\Kernel\NumberReader;
use Ispira\Core\Kernel\UnreadableNumber;
use Ispira\Core\Reading\Reading;
use Ispira\Core\Reading\RefusedReading;
use Symfony\Component\HttpFoundation\StreamedResponse;

/**
 * Captures of a scope that belong to a job.
 */
final class CaptureController extends Controller
{
    private const MOST_COLUMNS = 2000;

    public function index(Request $request, Job $job): CapturesPage|RedirectResponse
    {
        if ($job->stage === JobStage::Circuit) {
            return $this->whereItStands($job);
        }
        $circuit = $job->circuit();
        $captures = array_values($job->captures()->get()->all());

        return new CapturesPage(
            job: JobView::head($job),
            open: $job->stage === JobStage::Bench,
            positions: array_map(
                static fn($position): Named => new Named(key: (string) $position->key, label: $position->label),
                array_values($circuit->positions),
            ),
            captures: array_map(
                static fn(Capture $capture): CaptureShown => CaptureView::of($capture, $circuit),
                $captures,
            ),
            steps: CaptureView::steps($captures, $circuit),
            wanted: Asked::text($request, 'test', 80),
        );
    }

    public function store(Request $request, Job $job, ImportCapture $import): RedirectResponse
    {
        $circuit = $job->circuit();
        $data = $request->validate(
            [
                'id' => ['required', 'ulid'],
                'file' => ['required', 'file', 'max:' . BodyLimit::CAPTURE_BYTES / 1000],
                'position' => ['nullable', 'string', Rule::in(array_map(strval(...), array_keys($circuit->positions)))],
                'rate' => ['nullable', 'string', 'max:40'],
                'volts' => ['nullable', 'string', 'max:40'],
                'probe' => ['nullable', Rule::in(['1', '10', '100'])],
            ],
            [
                'file.required' => 'Choose a file that the scope has saved.',
                'file.max' => 'The file is larger than 500 MB: cut the capture.',
                'file.uploaded' => 'The file did not arrive whole. Try it once more.',
            ],
        );
        $file = $request->file('file');
        abort_unless($file instanceof UploadedFile, 422);
        $settings = new ImportSettings(
            $this->number($request, 'rate', 'Hz', 1.0, 1e9),
            $this->number($request, 'volts', 'V', 1e-3, 1e4) ?? 1.0,
            (float) ($data['probe'] ?? 1),
        );
        try {
            $import(
                $this->user($request),
                $job,
                strtolower($data['id']),
                $file->getPathname(),
                mb_scrub(mb_substr(basename($file->getClientOriginalName()), 0, 120)),
                $data['position'] ?? null,
                $settings,
            );
        } catch (CaptureError | DiskFull $error) {
            throw ValidationException::withMessages(['file' => $error->getMessage()]);
        }

        return redirect("/jobs/$job->id/captures", 303);
    }

    /** The picture of a part of a capture. */
    public function trace(Request $request, Job $job, string $capture): JsonResponse
    {
        $found = $this->found($job, $capture);
        $head = $found->shape();
        $data = $request->validate([
            'channel' => ['required', 'integer', 'between:0,' . (count($head->channels) - 1)],
            'from' => ['required', 'integer', 'between:0,' . max(0, $head->count - 2)],
            'to' => ['required', 'integer', 'gt:from', 'max:' . $head->count],
            'columns' => ['required', 'integer', 'between:10,' . self::MOST_COLUMNS],
        ]);
        try {
            return response()->json(
                $found
                    ->store()
                    ->envelope((int) $data['channel'], (int) $data['from'], (int) $data['to'], (int) $data['columns']),
            );
        } catch (CaptureError $error) {
            return response()->json(['message' => $error->getMessage()], 410);
        }
    }

    public function export(Job $job, string $capture, string $format): StreamedResponse
    {
        $found = $this->found($job, $capture);
        $export = $format === 'vcd' ? new VcdExport($found->store()) : new CsvExport($found->store());

        return response()->streamDownload(
            static function () use ($export): void {
                foreach ($export->parts() as $text) {
                    echo $text;
                }
            },
            pathinfo($found->name, \PATHINFO_FILENAME) . ".$format",
            ['Content-Type' => $format === 'vcd' ? 'text/plain' : 'text/csv'],
        );
    }

    /** Takes what was measured of a channel down as a reading of a test. */
    public function reading(Request $request, Job $job, string $capture, RecordReading $record): RedirectResponse
    {
        $found = $this->found($job, $capture);
        if ($job->stage !== JobStage::Bench) {
            return $this->whereItStands($job, 'This job is no longer on the bench: the reading was not recorded.');
        }
        $data = $request->validate([
            'id' => ['required', 'ulid'],
            'test' => ['required', 'string', 'max:80'],
            'channel' => ['required', 'integer', 'min:0'],
        ]);
        $offer =
            CaptureView::readings($found, $job->circuit(), (int) $data['channel'])[$data['test']] ??
            throw ValidationException::withMessages([
                'test' => 'This capture does not show what that test asks. Reload the page.',
            ]);
        try {
            $circuit = $job->circuit();
            $value = Judged::intake($circuit)->within($circuit->tests[$data['test']], $offer);
            $record(
                $this->user($request),
                $job,
                new Reading($data['id'], $data['test'], $value, instrument: mb_substr("capture $found->name", 0, 120)),
            );
        } catch (ReadingRefused | RefusedReading $error) {
            throw ValidationException::withMessages(['test' => $error->getMessage()]);
        }

        return redirect("/jobs/$job->id/bench", 303);
    }

    public function destroy(Job $job, string $capture): RedirectResponse
    {
        if ($job->stage === JobStage::Closed) {
            return $this->refused($job, 'This job is closed: what it holds stays. Reopen it first.');
        }
        $found = $this->found($job, $capture);
        // First the samples: where they cannot be taken away, nothing is, and it can be tried again.
        CaptureFiles::remove($found->id);
        $found->delete();

        return redirect("/jobs/$job->id/captures", 303)->with(
            'notice',
            'The capture is gone. Readings that were taken from it stay.',
        );
    }

    private function found(Job $job, string $capture): Capture
    {
        return $job->captures()->findOrFail($capture);
    }

    private function number(Request $request, string $field, string $unit, float $least, float $most): ?float
    {
        $given = $request->input($field);
        if ($given === null || $given === '') {
            return null;
        }
        try {
            $number = NumberReader::read($given, $unit);
        } catch (UnreadableNumber $error) {
            throw ValidationException::withMessages([$field => $error->getMessage()]);
        }
        if ($number < $least || $number > $most) {
            throw ValidationException::withMessages([$field => "Give a value from $least to $most $unit."]);
        }

        return $number;
    }
}
