<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasOne;
use Illuminate\Support\Carbon;
use Ispira\Core\Reading\Reading as CoreReading;
use Ispira\Core\Reading\Trust;

/**
 * One observed value. Rows are only ever added.
 *
 * @property int         $sequence
 * @property string      $id
 * @property string      $job_id
 * @property int         $user_id
 * @property string|null $author of a file that it came with
 * @property string|null $speed_map_id
 * @property string      $test
 * @property float|null  $number
 * @property string|null $choice
 * @property bool        $over_range
 * @property bool        $steady
 * @property Trust       $trust
 * @property float|null  $supply_volts
 * @property bool|null   $misbehaved
 * @property string|null $instrument
 * @property float       $lead_ohms
 * @property list<array{rule: string, sentence: string}>|null $doubts
 * @property int         $episode
 * @property Carbon      $taken_at
 * @property Strike|null $strike
 * @property KeptReading|null $kept
 */
final class Reading extends Model
{
    public $timestamps = false;

    protected $primaryKey = 'sequence';

    protected $guarded = [];

    protected $dateFormat = 'Y-m-d H:i:s.u';

    protected $casts = [
        'number' => 'float',
        'over_range' => 'boolean',
        'steady' => 'boolean',
        'trust' => Trust::class,
        'supply_volts' => 'float',
        'misbehaved' => 'boolean',
        'lead_ohms' => 'float',
        'doubts' => 'array',
        'episode' => 'integer',
        'taken_at' => 'datetime',
    ];

    protected $with = ['strike', 'kept'];

    /** @return BelongsTo<Job, $this> */
    public function job(): BelongsTo
    {
        return $this->belongsTo(Job::class);
    }

    /** @return HasOne<Strike, $this> */
    public function strike(): HasOne
    {
        return $this->hasOne(Strike::class, 'reading_sequence', 'sequence')->whereNull('taken_back_at');
    }

    /** @return HasOne<KeptReading, $this> */
    public function kept(): HasOne
    {
        return $this->hasOne(KeptReading::class, 'reading_sequence', 'sequence');
    }

    /**
     * The columns in which the value and its circumstances are stored.
     *
     * @return array<string, mixed>
     */
    public static function columns(CoreReading $reading): array
    {
        return [
            'test' => $reading->test,
            'number' => is_float($reading->value) ? $reading->value : null,
            'choice' => is_string($reading->value) ? $reading->value : null,
            'over_range' => $reading->isOverRange(),
            'steady' => $reading->steady,
            'trust' => $reading->trust,
            'supply_volts' => $reading->supplyVolts,
            'misbehaved' => $reading->misbehaved,
            'instrument' => $reading->instrument,
            'lead_ohms' => $reading->leadOhms,
        ];
    }

    public function toCore(): CoreReading
    {
        return new CoreReading(
            $this->id,
            $this->test,
            $this->over_range ? null : $this->choice ?? $this->number,
            $this->steady,
            $this->trust,
            $this->supply_volts,
            $this->strike !== null,
            $this->episode,
            $this->misbehaved,
            $this->instrument,
            $this->lead_ohms,
            $this->kept === null ? array_column($this->doubts ?? [], 'rule') : [],
            $this->kept !== null,
        );
    }
}
