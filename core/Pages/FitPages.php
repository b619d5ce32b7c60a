<?php

declare(strict_types=1);

namespace Ispira\Core\Pages;

use Ispira\Core\Job\JobStage;
use Ispira\Core\Job\JobState;
use Ispira\Core\Kernel\Choice;
use Ispira\Core\Kernel\Keyed;
use Ispira\Core\Pages\Shown\FindingShown;
use Ispira\Core\Repair\Fit\AttributeView;
use Ispira\Core\Repair\Fit\FitCheck;
use Ispira\Core\Repair\Fit\FitFaces;
use Ispira\Core\Repair\Fit\FitFinding;
use Ispira\Core\Repair\Fit\PartShown;
use Ispira\Core\Repair\Fit\PartType;
use Ispira\Core\Repair\Ledger\Entry;
use Ispira\Core\Repair\Ledger\EntryKind;

/**
 * The old part against its candidate.
 */
final readonly class FitPages
{
    public function __construct(private Workplace $place) {}

    public function fit(JobState $job, FitAsked $asked): FitPage
    {
        $last = $job->ledger->latest(EntryKind::Fit);
        $choice = $job->ledger->latest(EntryKind::Choice);
        $type =
            PartType::tryFrom($asked->type) ??
            (PartType::tryFrom($last?->text('type') ?? '') ?? self::usual($job, $choice));
        $old = $asked->old ?? ($last?->map('old') ?? []);
        $new = $asked->new ?? ($last?->map('new') ?? []);
        $findings = FitCheck::compare($type, $old, $new);

        return new FitPage(
            job: $job->head,
            open: !$job->is(JobStage::Closed),
            type: $type->value,
            types: array_map(
                static fn(PartType $one): Choice => new Choice(value: $one->value, label: $one->label()),
                PartType::cases(),
            ),
            attributes: AttributeView::of($type),
            old: new Keyed($old),
            new: new Keyed($new),
            candidate: $asked->candidate !== ''
                ? $asked->candidate
                : ($last?->text('candidate') ?:
                $choice?->text('partNumber') ?:
                ''),
            findings: array_map(
                static fn(FitFinding $one): FindingShown => new FindingShown(
                    key: $one->attribute->value,
                    verdict: $one->verdict,
                    how: $one->how,
                ),
                $findings,
            ),
            worst: FitCheck::worst($findings),
            faces: FitFaces::of($old, $new),
            chosen: $choice?->text('label'),
            checks: (new JobShown($job))->entries(EntryKind::Fit),
            catalogue: array_map(PartShown::of(...), $this->place->parts()),
        );
    }

    private static function usual(JobState $job, ?Entry $choice): PartType
    {
        $types = $job->repairSheet->types;
        foreach ($choice?->list('parts') ?? [] as $part) {
            if (isset($types[$part])) {
                return PartType::tryFrom($types[$part]) ?? PartType::Other;
            }
        }

        return PartType::Other;
    }
}
