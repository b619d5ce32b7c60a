<?php

declare(strict_types=1);

namespace App\People;

use App\Models\AuditEntry;
use App\Models\User;
use App\Models\Workshop;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;

/**
 * What a lead does to somebody's account. A workshop always keeps a lead.
 */
final readonly class ChangePerson
{
    /** @throws ValidationException */
    public function role(User $lead, int $person, Role $role): void
    {
        $this->change($lead, $person, static function (User $one, bool $needed) use ($lead, $role): void {
            if ($one->role === $role) {
                return;
            }
            $needed && self::refuse();
            $one->update(['role' => $role]);
            AuditEntry::note($lead, AuditAct::RoleSet, $one->name, $role->value);
        });
    }

    /** @throws ValidationException */
    public function disable(User $lead, int $person): void
    {
        $this->change($lead, $person, static function (User $one, bool $needed) use ($lead): void {
            if ($one->disabled_at !== null) {
                return;
            }
            $needed && self::refuse();
            $one->update(['disabled_at' => now()]);
            $one->endSessions();
            AuditEntry::note($lead, AuditAct::Disabled, $one->name);
        });
    }

    public function enable(User $lead, int $person): void
    {
        $this->change($lead, $person, static function (User $one) use ($lead): void {
            if ($one->disabled_at !== null) {
                $one->update(['disabled_at' => null]);
                AuditEntry::note($lead, AuditAct::Enabled, $one->name);
            }
        });
    }

    public function endSessions(User $lead, int $person): void
    {
        $this->change($lead, $person, static function (User $one) use ($lead): void {
            $one->endSessions();
            AuditEntry::note($lead, AuditAct::SessionsEnded, $one->name);
        });
    }

    /** @return list<int> numbers of those without whom there would be no lead */
    public static function needed(Workshop $workshop): array
    {
        $leads = $workshop->users()->where('role', Role::Lead)->whereNull('disabled_at')->pluck('id');

        return $leads->count() === 1 ? [(int) $leads->first()] : [];
    }

    /** @param callable(User, bool): void $how with the person, and whether this is the last lead */
    private function change(User $lead, int $person, callable $how): void
    {
        DB::transaction(static function () use ($lead, $person, $how): void {
            // Two leads who disable each other at once must not leave the workshop to nobody.
            $workshop = Workshop::query()->whereKey($lead->workshop_id)->lockForUpdate()->firstOrFail();
            $how($workshop->users()->findOrFail($person), in_array($person, self::needed($workshop), true));
        });
    }

    private static function refuse(): never
    {
        throw ValidationException::withMessages([
            'person' => 'This is the only lead. Make somebody else a lead first.',
        ]);
    }
}
