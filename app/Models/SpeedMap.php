<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;
use Ispira\Core\Job\MapKind;

/**
 * @property string      $id
 * @property string      $job_id
 * @property MapKind     $kind
 * @property string|null $noted_for
 * @property int         $episode
 * @property Carbon      $taken_at
 */
final class SpeedMap extends Model
{
    use HasUlids;

    public $timestamps = false;

    protected $guarded = [];

    protected $dateFormat = 'Y-m-d H:i:s.u';

    protected $casts = ['kind' => MapKind::class, 'episode' => 'integer', 'taken_at' => 'datetime'];

    protected static function booted(): void
    {
        self::created(static function (self $map): void {
            Job::query()
                ->whereKey($map->job_id)
                ->toBase()
                ->update(['strip' => null]);
        });
    }
}
