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
use Ispira\Core\Family\Bridged;
use Ispira\Core\Family\CircuitModel;
use Ispira\Core\Family\FamilyRegistry;
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
            'repairCaution' => $circuit->texts->find('repair') ?? Words::general('repair'),
            'temporary' => $this->temporary($job, $circuit),
            'open' => $job->stage === JobStage::Bench,
            'guessedOnTheMap' => $diagnosis->priceOfGuessing($job, $circuit),
            ...$diagnosis->withOutlook($job, $circuit),
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
            'temporaryUntil' => ['nullable', 'date_format:Y-m-d', 'after:today'],
        ], ['parts.required' => 'Choose what was replaced or repaired.', 'temporaryUntil.*' => 'Give the day on which the part is due, after today.']);
        $circuit = $job->circuit();
        $parts = array_values($data['parts']);
        sort($parts);
        foreach ($parts as $part) {
            if (!isset($circuit->parts[$part])) {
                throw ValidationException::withMessages(['parts' => 'This circuit has no such part. Reload the page.']);
            }
        }
        $until = $this->until($job, $circuit, $parts, $data['temporaryUntil'] ?? null);
        $verdict = $job->stage === JobStage::Bench ? $diagnosis->of($job, $circuit)['diagnosis'] : null;
        $snapshot = $verdict === null ? null : ['verdict' => $verdict['verdict'], 'suspects' => array_slice((array) $verdict['suspects'], 0, 4), 'guessing' => $diagnosis->priceOfGuessing($job, $circuit)];
        try {
            $record($this->user($request), $job, $data['id'], implode('+', $parts), $data['partNumber'] ?? null, $data['note'] ?? null, $snapshot, $until);
        } catch (ReadingRefused $error) {
            return $this->whereItStands($job->refresh(), $error->getMessage());
        }

        return redirect("/jobs/$job->id/proof", 303);
    }

    /**
     * Checks a temporary repair against what its family allows.
     *
     * @param list<string> $parts
     */
    private function until(Job $job, CircuitModel $circuit, array $parts, ?string $until): ?string
    {
        if ($until === null) {
            return null;
        }
        $offer = $this->temporary($job, $circuit);
        $problem = match (true) {
            $offer === null || $parts !== [$offer['part']] => 'Only the part that this unit allows may be bridged, and nothing else with it.',
            $offer['objection'] !== null => $offer['objection'],
            $until > $offer['latest'] => "It may stand until {$offer['latest']} at most.",
            default => null,
        };

        return $problem === null ? $until : throw ValidationException::withMessages(['temporaryUntil' => $problem]);
    }

    /** @return array{part: string, name: string, days: string, latest: string, objection: string|null, cautions: list<string>, steps: list<string>}|null */
    private function temporary(Job $job, CircuitModel $circuit): ?array
    {
        $family = app(FamilyRegistry::class)->get($job->family);
        if (!$family instanceof Bridged) {
            return null;
        }
        $repair = $family->temporaryRepair();
        $texts = $family->texts();
        $words = new Words($circuit);
        $tests = $circuit->tests;
        $answers = [];
        foreach ($job->caseFile()->standing() as $reading) {
            $answers[$reading->test] = (string) $reading->value;
        }
        [$kind, $test] = $repair->objection($answers) ?? [null, ''];

        return [
            'part' => $repair->part,
            'name' => $texts->get('temporary.name'),
            'days' => $texts->get('temporary.days', ['days' => (string) $repair->days]),
            'latest' => now()->addDays($repair->days)->toDateString(),
            'objection' => $kind === null ? null : $texts->get("temporary.$kind", ['test' => $words->test($tests[$test]), 'answer' => $kind === 'refused' ? $words->choice($tests[$test], $answers[$test]) : '']),
            'cautions' => $texts->list('temporary.cautions'),
            'steps' => $texts->list('temporary.steps'),
        ];
    }
}
