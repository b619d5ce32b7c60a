<?php

declare(strict_types=1);

namespace App\Models;

use App\Instruments\ScpiMeter;
use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Model;
use Ispira\Core\Instrument\Meter;

/**
 * A meter of the workshop, and where it is found on its network.
 *
 * @property string      $id
 * @property int         $workshop_id
 * @property string      $name
 * @property string      $host
 * @property int         $port
 * @property string|null $identity    what it said it is
 */
final class MeterAddress extends Model
{
    use HasUlids;

    protected $table = 'meters';

    protected $guarded = [];

    protected $casts = ['port' => 'integer'];

    public function meter(): Meter
    {
        return new ScpiMeter($this->host, $this->port);
    }
}
