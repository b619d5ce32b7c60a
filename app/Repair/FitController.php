<?php

declare(strict_types=1);

namespace App\Repair;

use App\Http\Controller;
use App\Jobs\JobView;
use App\Models\CatalogueEntry;
use App\Models\Job;
use App\Parts\AttributeView;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Ispira\Core\Job\JobStage;
use Ispira\Core\Kernel\Choice;
use Ispira\Core\Kernel\Keyed;
use Ispira\Core\Repair\Fit\FitCheck;
use Ispira\Core\Repair\Fit\FitFinding;
use Ispira\Core\Repair\Fit\PartShown;
use Ispira\Core\Repair\Fit\PartType;
use Ispira\Core\Repair\Ledger\Entry;
use Ispira\Core\Repair\Ledger\EntryKind;

/**
 * The old part against its candidate, before anything is taken apart and again beside it.
 */
final class FitController extends Controller
{
    public function show(Request $request, Job $job): FitPage|RedirectResponse
    {
        if ($job->stage === JobStage::Circuit) {
            return $this->whereItStands($job);
        }
        $ledger = $job->ledger();
        $last = $ledger->latest(EntryKind::Fit);
        $choice = $ledger->latest(EntryKind::Choice);
        $type =
            PartType::tryFrom($request->string('type')->toString()) ??
            (PartType::tryFrom($last?->text('type') ?? '') ?? $this->usual($job, $choice));
        $old = $this->given($request, 'old') ?? ($last?->map('old') ?? []);
        $new = $this->given($request, 'new') ?? ($last?->map('new') ?? []);

        return new FitPage(
            job: JobView::head($job),
            open: $job->stage !== JobStage::Closed,
            type: $type->value,
            types: array_map(
                static fn(PartType $one): Choice => new Choice(value: $one->value, label: $one->label()),
                PartType::cases(),
            ),
            attributes: AttributeView::of($type),
            old: new Keyed($old),
            new: new Keyed($new),
            candidate: $request->string('candidate')->toString() !== ''
                ? $request->string('candidate')->toString()
                : ($last?->text('candidate') ?:
                $choice?->text('partNumber') ?:
                ''),
            findings: array_map(
                static fn(FitFinding $one): FindingShown => new FindingShown(
                    key: $one->attribute->value,
                    verdict: $one->verdict,
                    how: $one->how,
                ),
                $findings = FitCheck::compare($type, $old, $new),
            ),
            worst: FitCheck::worst($findings),
            chosen: $choice?->text('label'),
            checks: RepairView::entries($ledger, EntryKind::Fit),
            catalogue: array_values(
                $job->workshop
                    ->parts()
                    ->get()
                    ->map(static fn(CatalogueEntry $entry): PartShown => PartShown::of($entry->toCore()))
                    ->all(),
            ),
        );
    }

    public function store(Request $request, Job $job, RecordEntry $record): RedirectResponse
    {
        $data = $request->validate(['id' => ['required', 'ulid']]);
        $record(
            $this->user($request),
            $job,
            Entry::read(
                strtolower($data['id']),
                EntryKind::Fit,
                $request->only(['when', 'type', 'candidate', 'old', 'new', 'accepted', 'reason']),
            ),
        );

        return redirect("/jobs/$job->id/fit", 303)->with('notice', 'The comparison is on record.');
    }

    private function usual(Job $job, ?Entry $choice): PartType
    {
        $types = $job->repairSheet()->types;
        foreach ($choice?->list('parts') ?? [] as $part) {
            if (isset($types[$part])) {
                return PartType::tryFrom($types[$part]) ?? PartType::Other;
            }
        }

        return PartType::Other;
    }

    /** @return array<string, string>|null */
    private function given(Request $request, string $field): ?array
    {
        $given = $request->query($field);
        if (!is_array($given)) {
            return null;
        }
        $texts = [];
        foreach ($given as $key => $value) {
            if (is_string($value) && mb_strlen($value) <= 200) {
                $texts[(string) $key] = $value;
            }
        }

        return $texts;
    }
}
