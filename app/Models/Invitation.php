<?php

declare(strict_types=1);

namespace App\Models;

use App\People\Role;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * A link that is good once: for somebody new, or for a new password. Only what its secret hashes to is kept.
 *
 * @property string      $id
 * @property int         $workshop_id
 * @property int         $user_id of who made it
 * @property int|null    $renews  of whose password it renews
 * @property string      $name
 * @property string      $email
 * @property Role        $role
 * @property string      $token
 * @property Carbon      $expires_at
 * @property Carbon|null $used_at
 * @property Carbon|null $withdrawn_at
 * @property Workshop    $workshop
 */
final class Invitation extends Model
{
    use HasUlids;

    protected $guarded = [];

    protected $hidden = ['token'];

    protected $casts = [
        'role' => Role::class,
        'expires_at' => 'datetime',
        'used_at' => 'datetime',
        'withdrawn_at' => 'datetime',
    ];

    /** @return BelongsTo<Workshop, $this> */
    public function workshop(): BelongsTo
    {
        return $this->belongsTo(Workshop::class);
    }

    /**
     * Those that can still be taken.
     *
     * @param Builder<Invitation> $query
     */
    public function scopeOpen(Builder $query): void
    {
        $query->whereNull('used_at')->whereNull('withdrawn_at')->where('expires_at', '>', now());
    }
}
