<?php

declare(strict_types=1);

namespace App\Models;

use App\Jobs\JobTerms;
use App\Jobs\SearchWords;
use App\Learning\ResultOfJob;
use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Carbon;

/**
 * @property string      $id
 * @property int         $workshop_id
 * @property Workshop    $workshop
 * @property int         $workshop_id
 * @property string      $name
 * @property string|null $place
 * @property string|null $model
 * @property string|null $note
 * @property bool        $practice   whether it is a make-believe one
 * @property Carbon|null $retired_at since when it is gone
 * @property string      $words      by which it is searched for
 */
final class Unit extends Model
{
    use HasUlids;

    protected $guarded = [];

    protected $attributes = ['practice' => false];

    protected $casts = ['practice' => 'boolean', 'retired_at' => 'datetime'];

    protected static function booted(): void
    {
        self::saving(static function (self $unit): void {
            $unit->words = mb_substr(SearchWords::indexed([$unit->name, $unit->place, $unit->model]), 0, 800);
        });
        self::updated(static function (self $unit): void {
            if ($unit->wasChanged(['name', 'place', 'model'])) {
                $unit->jobs()->each(static fn(Job $job) => JobTerms::note($job));
            }
            if ($unit->wasChanged('model')) {
                $unit->jobs()->update(['model' => trim((string) $unit->model)]);
                $unit->jobs()->each(static fn(Job $job) => ResultOfJob::note($job));
            }
        });
    }

    /** @return BelongsTo<Workshop, $this> */
    public function workshop(): BelongsTo
    {
        return $this->belongsTo(Workshop::class);
    }

    /** @return HasMany<Job, $this> */
    public function jobs(): HasMany
    {
        return $this->hasMany(Job::class);
    }
}
