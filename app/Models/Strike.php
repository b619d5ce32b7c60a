<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;

/**
 * The striking out of a reading.
 *
 * @property int         $reading_sequence
 * @property string|null $reason
 * @property bool        $set_aside whether it was taken on another circuit
 * @property Carbon      $struck_at
 */
final class Strike extends Model
{
    public $timestamps = false;

    public $incrementing = false;

    protected $primaryKey = 'reading_sequence';

    protected $guarded = [];

    protected $dateFormat = 'Y-m-d H:i:s.u';

    protected $casts = ['struck_at' => 'datetime', 'set_aside' => 'boolean'];
}
