<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Captures\CaptureFiles;
use App\Learning\ProvenCounts;
use App\Models\AuditEntry;
use App\Models\Job;
use App\Models\User;
use App\People\AuditAct;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;
use Ispira\Core\Job\Shown\ReplacementShown;
use Ispira\Core\Pages\JobShown;
use Ispira\Core\Repair\Ledger\Entry;
use Ispira\Core\Repair\Ledger\EntryKind;

/**
 * Deletes a job with all that was noted in it, its pictures and captures. For the books its number stays taken, and
 * the audit trail keeps its days, how it ended, what was replaced and for what money; no customer, unit or place.
 */
final readonly class DeleteJob
{
    public function __invoke(User $lead, Job $job, string $reason): void
    {
        DB::transaction(static function () use ($lead, $job, $reason): void {
            $locked = $job->locked();
            $captures = $locked->captures()->pluck('id')->all();
            AuditEntry::note($lead, AuditAct::JobDeleted, JobView::number($locked), self::books($locked) . ". $reason");
            $unit = $locked->unit;
            ProvenCounts::replace($locked->id, []);
            $locked->delete();
            // A unit that was only here for this job goes with it: its name and place may be a customer's.
            $unit->jobs()->exists() || $unit->delete();

            // Last: where the files cannot be taken away, nothing is, and it can be tried again.
            Storage::deleteDirectory("photos/$job->id");
            foreach ($captures as $id) {
                CaptureFiles::remove((string) $id);
            }
        });
    }

    private static function books(Job $job): string
    {
        $said = ['opened ' . $job->created_at->toDateString()];
        if ($job->closed_at !== null && $job->outcome !== null) {
            $said[] = 'closed ' . $job->closed_at->toDateString() . ' as ' . $job->outcome->value;
        }
        foreach (JobShown::replaced($job->circuit(), JobStates::replaced($job)) as $one) {
            $said[] = 'replaced ' . self::part($one);
        }
        foreach ($job->ledger()->all(EntryKind::Ordered) as $one) {
            $said[] = 'ordered ' . self::order($one, $job->workshop->currency);
        }

        return ucfirst(implode('; ', $said));
    }

    private static function part(ReplacementShown $one): string
    {
        return $one->partNumber === null ? $one->label : "$one->label, $one->partNumber";
    }

    private static function order(Entry $one, string $currency): string
    {
        $price = $one->number('price');

        return $one->text('what') . ($price === null ? '' : sprintf(' for %.2f %s', $price, $currency));
    }
}
