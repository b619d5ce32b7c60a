<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Carbon;
use Ispira\Core\Job\PracticeWay;

/**
 * Units that a lead sets for the others to work on.
 *
 * @property string      $id
 * @property int         $workshop_id
 * @property int         $user_id
 * @property string      $title
 * @property PracticeWay $way
 * @property list<array{family: string, kind: string, seed: int}> $units
 * @property Carbon      $made_at
 */
final class ExerciseSet extends Model
{
    use HasUlids;

    public $timestamps = false;

    protected $guarded = [];

    protected $dateFormat = 'Y-m-d H:i:s.u';

    protected $casts = ['way' => PracticeWay::class, 'units' => 'array', 'made_at' => 'datetime'];

    /** @return HasMany<Exercise, $this> */
    public function exercises(): HasMany
    {
        return $this->hasMany(Exercise::class, 'set_id');
    }
}
