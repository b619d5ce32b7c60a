<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Carbon;
use Ispira\Core\Procedure\Marked;
use Ispira\Core\Procedure\ProcedureFormat;
use Ispira\Core\Procedure\Run;
use Ispira\Core\Procedure\StartedRun;

/**
 * A procedure that is or was worked, as it read when it began.
 *
 * @property string               $id
 * @property int                  $workshop_id
 * @property string|null          $job_id
 * @property string               $key
 * @property array<string, mixed> $text
 * @property Carbon               $started_at
 * @property Carbon|null          $heard_at   when the server heard of it, where a device began it without
 * @property Job|null             $job
 * @property Workshop             $workshop
 * @property \Illuminate\Database\Eloquent\Collection<int, ProcedureMark> $marks
 */
final class ProcedureRun extends Model
{
    use HasUlids;

    public $timestamps = false;

    protected $guarded = [];

    protected $dateFormat = 'Y-m-d H:i:s.u';

    protected $casts = ['text' => 'array', 'started_at' => 'datetime', 'heard_at' => 'datetime'];

    /** @return HasMany<ProcedureMark, $this> */
    public function marks(): HasMany
    {
        return $this->hasMany(ProcedureMark::class, 'run_id')->orderBy('sequence');
    }

    /** @return BelongsTo<Workshop, $this> */
    public function workshop(): BelongsTo
    {
        return $this->belongsTo(Workshop::class);
    }

    /** @return BelongsTo<Job, $this> */
    public function job(): BelongsTo
    {
        return $this->belongsTo(Job::class);
    }

    public function toCore(): StartedRun
    {
        return new StartedRun(
            $this->id,
            $this->key,
            $this->started_at->toIso8601String(),
            Run::of(
                ProcedureFormat::read((string) json_encode($this->text)),
                $this->started_at->getPreciseTimestamp() / 1e6,
                array_values(
                    $this->marks
                        ->map(fn(ProcedureMark $mark): Marked => $mark->toCore($this->workshop->names()))
                        ->all(),
                ),
                $this->heard_at === null ? null : $this->heard_at->getPreciseTimestamp() / 1e6,
            ),
        );
    }
}
