<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Foundation\Auth\User as Authenticatable;
use Ispira\Core\Kernel\DisplayUnits;

/**
 * @property int      $id
 * @property int      $workshop_id
 * @property string   $name
 * @property string   $email
 * @property string   $role
 * @property list<string>|null $missing_tools keys of tools that this person has not at hand
 * @property string   $unit_system
 * @property array<string, string>|null $unit_exceptions symbols by base unit
 * @property Workshop $workshop
 */
final class User extends Authenticatable
{
    protected $guarded = [];

    protected $hidden = ['password', 'remember_token'];

    protected $casts = ['password' => 'hashed', 'missing_tools' => 'array', 'unit_exceptions' => 'array'];

    public function displayUnits(): DisplayUnits
    {
        return new DisplayUnits($this->unit_system ?? DisplayUnits::METRIC, $this->unit_exceptions ?? []);
    }

    /** @return BelongsTo<Workshop, $this> */
    public function workshop(): BelongsTo
    {
        return $this->belongsTo(Workshop::class);
    }
}
