<?php

declare(strict_types=1);

namespace App\Models;

use App\People\Ability;
use App\People\Role;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Foundation\Auth\User as Authenticatable;
use Illuminate\Support\Carbon;
use Illuminate\Support\Str;
use Ispira\Core\Kernel\DisplayUnits;
use Ispira\Core\Kernel\NumberLanguage;

/**
 * @property int      $id
 * @property int      $workshop_id
 * @property string   $name
 * @property string   $email
 * @property Role     $role
 * @property Carbon|null $disabled_at since when this person cannot sign in
 * @property Carbon|null $seen_at     when this person last asked for a page
 * @property string   $session_key what sessions carry that have not ended
 * @property string|null $theme       "day" or "dash"; null for what each device shows
 * @property list<string>|null $missing_tools keys of tools that this person has not at hand
 * @property string   $unit_system
 * @property NumberLanguage $numbers how this person writes them
 * @property array<string, string>|null $unit_exceptions symbols by base unit
 * @property Workshop $workshop
 */
final class User extends Authenticatable
{
    /** How addresses of the demo end. */
    public const DEMO = '@halvmark.example';

    protected $guarded = [];

    protected $hidden = ['password', 'remember_token'];

    protected $attributes = ['numbers' => NumberLanguage::Point->value];

    protected $casts = [
        'password' => 'hashed',
        'role' => Role::class,
        'missing_tools' => 'array',
        'unit_exceptions' => 'array',
        'numbers' => NumberLanguage::class,
        'disabled_at' => 'datetime',
        'seen_at' => 'datetime',
    ];

    /** Whether it is an account of the demo, whose password everybody knows, where the demo is off. */
    public function isLeftOver(): bool
    {
        return str_ends_with($this->email, self::DEMO) && !config()->boolean('ispira.demo');
    }

    public function may(Ability $ability): bool
    {
        return $this->disabled_at === null && $this->role->reaches($ability->least());
    }

    /** Ends every session of this person: those that are open carry a key that is no longer this person's. */
    public function endSessions(): void
    {
        $this->forceFill(['session_key' => strtolower((string) Str::ulid()), 'remember_token' => null])->save();
    }

    protected static function booted(): void
    {
        self::creating(static function (self $user): void {
            $user->session_key ??= strtolower((string) Str::ulid());
        });
    }

    public function displayUnits(): DisplayUnits
    {
        return new DisplayUnits(
            $this->unit_system ?? DisplayUnits::METRIC,
            $this->unit_exceptions ?? [],
            $this->numbers,
        );
    }

    /** @return BelongsTo<Workshop, $this> */
    public function workshop(): BelongsTo
    {
        return $this->belongsTo(Workshop::class);
    }
}
