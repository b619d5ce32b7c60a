<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;

/**
 * What another workshop's jobs have shown, taken in with a weight.
 *
 * @property string $id
 * @property int    $workshop_id
 * @property int    $user_id who took it in
 * @property string $name    of the workshop that gave it
 * @property Carbon $made_on
 * @property float  $weight  of each of its jobs, beside an own one
 * @property float  $jobs
 */
final class TakenExperience extends Model
{
    use HasUlids;

    protected $table = 'experiences';

    protected $guarded = [];

    protected $casts = ['made_on' => 'date:Y-m-d', 'weight' => 'float', 'jobs' => 'float'];
}
