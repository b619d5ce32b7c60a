<?php

declare(strict_types=1);

namespace App\People;

/**
 * What can be done in a workshop, and from which role on. Every route names one; docs/people.md has the same table.
 */
enum Ability: string
{
    case Look = 'look';
    case Note = 'note';
    case Remove = 'remove';
    case Correct = 'correct';
    case Countersign = 'countersign';
    case Catalogue = 'catalogue';
    case Instruments = 'instruments';
    case Procedures = 'procedures';
    case People = 'people';
    case Settings = 'settings';
    case Results = 'results';
    case Teach = 'teach';
    case Delete = 'delete';

    /** Who has to be at least that to do it. */
    public function least(): Role
    {
        return match ($this) {
            self::Look, self::Note => Role::Trainee,
            self::Remove, self::Correct, self::Countersign => Role::Technician,
            default => Role::Lead,
        };
    }

    public function what(): string
    {
        return match ($this) {
            self::Look => 'See jobs, parts, procedures and planners; export them; keep their own account',
            self::Note => 'Open jobs, note readings, repairs and procedures, hand a job over, close it, practise',
            self::Remove => 'Strike out what another person read, take photos and captures off an open job',
            self::Correct => 'Correct the intake of a job and a unit, reopen a closed job, import a job file',
            self::Countersign => 'Countersign what a trainee closed',
            self::Catalogue => 'Change parts and prices of the catalogue',
            self::Instruments => 'Put meters on the list and take them off it',
            self::Procedures => 'Write procedures and remove them',
            self::People => 'Invite people, set their roles, end their sessions, see who did what',
            self::Settings => 'Change the settings of the workshop, pin what it learned, take in experience of others',
            self::Results => 'See results by circuit, model, person and month',
            self::Teach => 'Set exercises and examinations, see what came of them',
            self::Delete => 'Delete whole jobs, erase names of persons',
        };
    }
}
