<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;

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
 * @property Carbon      $replaced_at
 */
final class Replacement extends Model
{
    public $timestamps = false;

    protected $primaryKey = 'sequence';

    protected $guarded = [];

    protected $dateFormat = 'Y-m-d H:i:s.u';

    protected $casts = ['verdict' => 'array', 'replaced_at' => 'datetime', 'temporary_until' => 'date:Y-m-d'];
}
