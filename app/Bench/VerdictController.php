<?php

declare(strict_types=1);

namespace App\Bench;

use App\Http\Controller;
use App\Jobs\JobView;
use App\Models\Job;
use App\Repair\RemedyView;
use App\Repair\RepairView;
use Illuminate\Http\RedirectResponse;
use Ispira\Core\Job\JobStage;
use Ispira\Core\Repair\Ledger\EntryKind;

final class VerdictController extends Controller
{
    public function show(
        Job $job,
        JobDiagnosis $diagnosis,
        RemedyView $remedies,
        LeadsOn $leads,
    ): VerdictPage|RedirectResponse {
        if ($job->stage === JobStage::Circuit) {
            return $this->whereItStands($job);
        }
        $circuit = $job->circuit();
        $found = $remedies->diagnosis($job, $circuit);

        $seen = $diagnosis->shown($circuit, $job->caseFile(), $found);

        return new VerdictPage(
            job: JobView::head($job),
            strip: JobView::strip($job, $circuit),
            readings: JobView::readings($job, $circuit),
            replacements: JobView::replacements($job, $circuit),
            diagnosis: $seen->diagnosis,
            sheet: $seen->sheet,
            open: $job->stage === JobStage::Bench,
            guessedOnTheMap: $diagnosis->priceOfGuessing($job, $circuit),
            outlook: $remedies->outlook($job, $circuit, $found),
            refit: $job->part === null ? [] : $job->repairSheet()->refit[$job->part] ?? [],
            part: $job->part === null ? null : $circuit->texts->get("parts.$job->part"),
            leadsOn: $leads->of($job, array_column($found->suspects, 'probability', 'remedy')),
            held: RepairView::entries($job->ledger(), EntryKind::Held),
        );
    }
}
