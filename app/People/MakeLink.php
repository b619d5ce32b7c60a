<?php

declare(strict_types=1);

namespace App\People;

use App\Models\AuditEntry;
use App\Models\Invitation;
use App\Models\User;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Notification;
use Illuminate\Support\Str;

/**
 * Makes a link that is good once: for somebody new, or for a new password. Its secret is only in the link.
 */
final readonly class MakeLink
{
    private const INVITED_DAYS = 7;
    private const RENEWED_HOURS = 24;

    public function invite(User $lead, string $name, string $email, Role $role): LinkShown
    {
        return $this->make($lead, null, $name, $email, $role, now()->addDays(self::INVITED_DAYS));
    }

    public function renew(User $lead, User $person): LinkShown
    {
        return $this->make(
            $lead,
            $person,
            $person->name,
            $person->email,
            $person->role,
            now()->addHours(self::RENEWED_HOURS),
        );
    }

    private function make(User $lead, ?User $person, string $name, string $email, Role $role, Carbon $until): LinkShown
    {
        $secret = Str::random(40);
        DB::transaction(static function () use ($lead, $person, $name, $email, $role, $until, $secret): void {
            // Of links to one person the newest is good.
            Invitation::query()
                ->where('email', $email)
                ->whereNull('used_at')
                ->whereNull('withdrawn_at')
                ->update(['withdrawn_at' => now()]);
            $lead->workshop->invitations()->create([
                'user_id' => $lead->id,
                'renews' => $person?->id,
                'name' => $name,
                'email' => $email,
                'role' => $role,
                'token' => hash('sha256', $secret),
                'expires_at' => $until,
            ]);
            AuditEntry::note(
                $lead,
                $person === null ? AuditAct::Invited : AuditAct::ResetLinkMade,
                "$name ($email)",
                $person === null ? $role->value : null,
            );
        });
        $url = url("/invited/$secret");
        $mailed = self::mails();
        if ($mailed) {
            Notification::route('mail', $email)->notify(
                new LinkMailed($lead->workshop->name, $lead->name, $url, $person !== null),
            );
        }

        return new LinkShown($url, $name, $person !== null, $mailed, $until->toIso8601String());
    }

    /** Whether letters leave this machine: the mailers that only write a log do not. */
    private static function mails(): bool
    {
        return !in_array(config()->string('mail.default'), ['log', 'array'], true);
    }
}
