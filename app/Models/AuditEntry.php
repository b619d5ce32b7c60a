<?php

declare(strict_types=1);

namespace App\Models;

use App\People\AuditAct;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * One act of the running of a workshop: who did it, to whom or what, and when. It is never changed.
 *
 * @property int         $sequence
 * @property int         $workshop_id
 * @property int         $user_id
 * @property AuditAct    $act
 * @property string      $about
 * @property string|null $detail
 * @property Carbon      $done_at
 * @property User        $user
 */
final class AuditEntry extends Model
{
    public $timestamps = false;

    protected $primaryKey = 'sequence';

    protected $guarded = [];

    protected $dateFormat = 'Y-m-d H:i:s.u';

    protected $casts = ['act' => AuditAct::class, 'done_at' => 'datetime'];

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }

    public static function note(User $by, AuditAct $act, string $about, ?string $detail = null): void
    {
        self::query()->create([
            'workshop_id' => $by->workshop_id,
            'user_id' => $by->id,
            'act' => $act,
            'about' => mb_substr($about, 0, 190),
            'detail' => $detail === null ? null : mb_substr($detail, 0, 500),
            'done_at' => now(),
        ]);
    }
}
