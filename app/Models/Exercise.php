<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;
use Ispira\Core\Job\PracticeWay;
use Ispira\Core\Practice\HiddenKind;
use Ispira\Core\Practice\Rung;

/**
 * A job on a make-believe unit as an exercise: how it is worked on, and what came of it.
 *
 * @property string      $job_id
 * @property int         $workshop_id
 * @property int         $user_id
 * @property HiddenKind  $kind
 * @property Rung        $rung
 * @property PracticeWay $way
 * @property bool        $guesses
 * @property array{from: string, to: string, ohms: float}|null $leak
 * @property string|null $set_id
 * @property int|null    $set_unit which unit of its set it is
 * @property Carbon|null $over_at
 * @property int|null    $points
 * @property bool|null   $passed
 * @property array<string, mixed>|null $result what the lists show of it
 * @property Carbon|null $seen_at  when who did it has seen the result: from then on a lead sees it, too
 * @property Job         $job
 */
final class Exercise extends Model
{
    public $timestamps = false;

    public $incrementing = false;

    protected $primaryKey = 'job_id';

    protected $keyType = 'string';

    protected $guarded = [];

    protected $dateFormat = 'Y-m-d H:i:s.u';

    protected $casts = [
        'kind' => HiddenKind::class,
        'rung' => Rung::class,
        'way' => PracticeWay::class,
        'guesses' => 'boolean',
        'leak' => 'array',
        'over_at' => 'datetime',
        'passed' => 'boolean',
        'result' => 'array',
        'seen_at' => 'datetime',
    ];

    /** @return BelongsTo<Job, $this> */
    public function job(): BelongsTo
    {
        return $this->belongsTo(Job::class);
    }
}
