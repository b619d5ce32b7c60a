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
 * @property int         $user_id
 * @property Carbon      $struck_at
 * @property Carbon|null $taken_back_at
 */
final class Strike extends Model
{
    public $timestamps = false;

    public $incrementing = false;

    protected $primaryKey = 'reading_sequence';

    protected $guarded = [];

    protected $dateFormat = 'Y-m-d H:i:s.u';

    protected $casts = ['struck_at' => 'datetime', 'taken_back_at' => 'datetime', 'set_aside' => 'boolean'];

    protected static function booted(): void
    {
        // What lists show of the map is drawn anew without it, or with it again.
        self::saved(static function (self $strike): void {
            Job::query()
                ->whereIn('id', Reading::query()->whereKey($strike->reading_sequence)->toBase()->select('job_id'))
                ->toBase()
                ->update(['strip' => null]);
        });
    }

    /** Strikes a reading out, once; a strike that was taken back counts anew. */
    public static function out(Reading $reading, User $user, ?string $reason): bool
    {
        $strike = self::query()->find($reading->sequence);
        if ($strike !== null && $strike->taken_back_at === null) {
            return false;
        }
        self::query()->updateOrCreate(
            ['reading_sequence' => $reading->sequence],
            ['user_id' => $user->id, 'reason' => $reason, 'struck_at' => now(), 'taken_back_at' => null],
        );

        return true;
    }
}
