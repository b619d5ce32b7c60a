<?php

declare(strict_types=1);

namespace App\Models;

use App\Jobs\JobTerms;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;
use Ispira\Core\Job\Replaced;

/**
 * A part that was replaced, with the verdict that led to it.
 *
 * @property int         $sequence
 * @property string      $id
 * @property string      $job_id
 * @property string      $remedy
 * @property string|null $part_number
 * @property string|null $note
 * @property array<string, mixed>|null $verdict
 * @property Carbon|null $temporary_until the day on which a temporary repair is due
 * @property int         $user_id
 * @property string|null $author of a file that it came with
 * @property Carbon      $replaced_at
 */
final class Replacement extends Model
{
    public $timestamps = false;

    protected $primaryKey = 'sequence';

    protected $guarded = [];

    protected $dateFormat = 'Y-m-d H:i:s.u';

    protected $casts = ['verdict' => 'array', 'replaced_at' => 'datetime', 'temporary_until' => 'date:Y-m-d'];

    protected static function booted(): void
    {
        self::created(static fn(self $one) => JobTerms::note(Job::query()->findOrFail($one->job_id)));
    }

    /** @param array<int, string> $names of persons */
    public function toCore(array $names = []): Replaced
    {
        return new Replaced(
            $this->id,
            $this->remedy,
            $this->part_number,
            $this->note,
            $this->temporary_until?->toDateString(),
            $this->replaced_at->toIso8601String(),
            $this->verdict,
            $this->author ?? ($names[$this->user_id] ?? null),
        );
    }

    /** The odds of its part when it was chosen; null where none were kept. */
    public function odds(): ?float
    {
        $suspects = $this->verdict['suspects'] ?? null;
        $odds = is_array($suspects) && is_array($suspects[0] ?? null) ? $suspects[0]['probability'] ?? null : null;

        return is_float($odds) || is_int($odds) ? (float) $odds : null;
    }
}
