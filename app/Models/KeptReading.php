<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;

/**
 * That somebody heard the doubts about a reading, and it is right as it stands.
 *
 * @property int    $reading_sequence
 * @property Carbon $kept_at
 */
final class KeptReading extends Model
{
    public $timestamps = false;

    public $incrementing = false;

    protected $primaryKey = 'reading_sequence';

    protected $guarded = [];

    protected $dateFormat = 'Y-m-d H:i:s.u';

    protected $casts = ['kept_at' => 'datetime'];
}
