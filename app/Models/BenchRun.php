<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;
use Ispira\Core\Planning\BenchSupply\BenchRun as Run;

/**
 * A motor that ran alone on a bench supply. The last good one of a model is its reference.
 *
 * @property string            $id
 * @property string            $model
 * @property float             $pulses
 * @property float|null        $starts_at
 * @property list<array{0: float, 1: float}> $points
 * @property bool              $steady
 * @property bool              $smooth
 * @property bool              $loaded
 * @property float|null        $amps
 * @property string|null       $note
 * @property list<string>      $against
 * @property bool              $compared
 * @property Carbon            $ran_at
 */
final class BenchRun extends Model
{
    public $timestamps = false;

    public $incrementing = false;

    protected $keyType = 'string';

    protected $guarded = [];

    protected $dateFormat = 'Y-m-d H:i:s.u';

    protected $casts = [
        'points' => 'array',
        'against' => 'array',
        'steady' => 'boolean',
        'smooth' => 'boolean',
        'loaded' => 'boolean',
        'compared' => 'boolean',
        'pulses' => 'float',
        'starts_at' => 'float',
        'amps' => 'float',
        'ran_at' => 'datetime',
    ];

    public function run(): Run
    {
        return new Run($this->starts_at, $this->points, $this->steady, $this->smooth, $this->loaded);
    }
}
