<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\ReadingRefused;
use App\Actions\RecordReplacement;
use App\Diagnosis\JobDiagnosis;
use App\Diagnosis\JobView;
use App\Models\Job;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\ValidationException;
use Inertia\Inertia;
use Inertia\Response;
use Ispira\Core\Diagnosis\Words;
use Ispira\Core\Family\Part;
use Ispira\Core\Job\JobStage;

final class VerdictController extends Controller
{
    public function show(Job $job, JobDiagnosis $diagnosis): Response|RedirectResponse
    {
        if ($job->stage === JobStage::Circuit) {
            return $this->whereItStands($job);
        }
        $circuit = $job->circuit();
        $words = new Words($circuit);

        return Inertia::render('Verdict', [
            'job' => JobView::head($job),
            'strip' => JobView::strip($job, $circuit),
            'readings' => JobView::readings($job, $circuit),
            'replacements' => JobView::replacements($job, $circuit),
            'parts' => array_map(static fn (Part $part): array => ['key' => $part->key, 'label' => $words->part($part->key), 'price' => $part->price, 'minutes' => $part->minutes], array_values($circuit->parts)),
            'open' => $job->stage === JobStage::Bench,
            'guessedOnTheMap' => $diagnosis->priceOfGuessing($job, $circuit),
            ...$diagnosis->of($job, $circuit),
        ]);
    }

    public function store(Request $request, Job $job, RecordReplacement $record, JobDiagnosis $diagnosis): RedirectResponse
    {
        $data = $request->validate([
            'id' => ['required', 'ulid'],
            'parts' => ['required', 'array', 'min:1', 'max:6'],
            'parts.*' => ['string', 'max:60', 'distinct'],
            'partNumber' => ['nullable', 'string', 'max:120'],
            'note' => ['nullable', 'string', 'max:2000'],
        ], ['parts.required' => 'Choose what was replaced or repaired.']);
        $circuit = $job->circuit();
        $parts = array_values($data['parts']);
        sort($parts);
        foreach ($parts as $part) {
            if (!isset($circuit->parts[$part])) {
                throw ValidationException::withMessages(['parts' => 'This circuit has no such part. Reload the page.']);
            }
        }
        $verdict = $job->stage === JobStage::Bench ? $diagnosis->of($job, $circuit)['diagnosis'] : null;
        $snapshot = $verdict === null ? null : ['verdict' => $verdict['verdict'], 'suspects' => array_slice((array) $verdict['suspects'], 0, 4), 'guessing' => $diagnosis->priceOfGuessing($job, $circuit)];
        try {
            $record($this->user($request), $job, $data['id'], implode('+', $parts), $data['partNumber'] ?? null, $data['note'] ?? null, $snapshot);
        } catch (ReadingRefused $error) {
            return $this->whereItStands($job->refresh(), $error->getMessage());
        }

        return redirect("/jobs/$job->id/proof", 303);
    }
}
