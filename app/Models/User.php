<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Foundation\Auth\User as Authenticatable;

/**
 * @property int      $id
 * @property int      $workshop_id
 * @property string   $name
 * @property string   $email
 * @property string   $role
 * @property list<string>|null $missing_tools keys of tools that this person has not at hand
 * @property Workshop $workshop
 */
final class User extends Authenticatable
{
    protected $guarded = [];

    protected $hidden = ['password', 'remember_token'];

    protected $casts = ['password' => 'hashed', 'missing_tools' => 'array'];

    /** @return BelongsTo<Workshop, $this> */
    public function workshop(): BelongsTo
    {
        return $this->belongsTo(Workshop::class);
    }
}
