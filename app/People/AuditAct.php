<?php

declare(strict_types=1);

namespace App\People;

/**
 * What is written down of the running of a workshop.
 */
enum AuditAct: string
{
    case Invited = 'invited';
    case InvitationWithdrawn = 'invitation-withdrawn';
    case Joined = 'joined';
    case RoleSet = 'role-set';
    case Disabled = 'disabled';
    case Enabled = 'enabled';
    case SessionsEnded = 'sessions-ended';
    case ResetLinkMade = 'reset-link-made';
    case PasswordReset = 'password-reset';
    case PasswordChanged = 'password-changed';
    case NameChanged = 'name-changed';
    case SettingsChanged = 'settings-changed';
    case ExperienceTaken = 'experience-taken';
    case ExperienceRemoved = 'experience-removed';
    case TermPinned = 'term-pinned';
    case TermReleased = 'term-released';
    case JobDeleted = 'job-deleted';
    case PersonErased = 'person-erased';

    public function words(): string
    {
        return match ($this) {
            self::Invited => 'invited',
            self::InvitationWithdrawn => 'withdrew the invitation of',
            self::Joined => 'took the invitation, as',
            self::RoleSet => 'set the role of',
            self::Disabled => 'disabled',
            self::Enabled => 'enabled again',
            self::SessionsEnded => 'ended the sessions of',
            self::ResetLinkMade => 'made a link for a new password for',
            self::PasswordReset => 'set a new password by a link, for',
            self::PasswordChanged => 'changed the password of',
            self::NameChanged => 'changed the name of',
            self::SettingsChanged => 'changed the settings of',
            self::ExperienceTaken => 'took in the experience of',
            self::ExperienceRemoved => 'removed the experience of',
            self::TermPinned => 'pinned',
            self::TermReleased => 'released',
            self::JobDeleted => 'deleted the job',
            self::PersonErased => 'erased the name of',
        };
    }
}
