<?php

declare(strict_types=1);

namespace App\Models;

use App\Jobs\JobTerms;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;
use Ispira\Core\Repair\Ledger\Entry;
use Ispira\Core\Repair\Ledger\EntryKind;

/**
 * Something noted between the verdict and the closed job.
 *
 * @property int       $sequence
 * @property string    $id
 * @property string    $job_id
 * @property int       $user_id
 * @property EntryKind $kind
 * @property array<string, mixed> $data
 * @property string|null $author of a file that it came with
 * @property Carbon    $noted_at
 * @property Job       $job
 */
final class RepairEntry extends Model
{
    public $timestamps = false;

    protected $primaryKey = 'sequence';

    protected $guarded = [];

    protected $dateFormat = 'Y-m-d H:i:s.u';

    protected $casts = ['kind' => EntryKind::class, 'data' => 'array', 'noted_at' => 'datetime'];

    protected static function booted(): void
    {
        self::created(static function (self $one): void {
            if ($one->kind === EntryKind::Ordered) {
                JobTerms::note($one->job);
            }
        });
    }

    /** @return BelongsTo<Job, $this> */
    public function job(): BelongsTo
    {
        return $this->belongsTo(Job::class);
    }

    /** @param array<int, string> $names of persons */
    public function toCore(array $names = []): Entry
    {
        return Entry::read(
            $this->id,
            $this->kind,
            $this->data,
            $this->noted_at->utc()->format('Y-m-d\TH:i:s.u\Z'),
            $this->author ?? ($names[$this->user_id] ?? null),
        );
    }
}
