<?php

declare(strict_types=1);

namespace Ispira\Core\Repair\Work;

/**
 * How a job ends.
 */
enum JobOutcome: string
{
    case Repaired = 'repaired';
    case Temporary = 'temporary';
    case NotRepaired = 'not-repaired';
    case ProvenGood = 'proven-good';
    case Adjusted = 'adjusted';
    case Advised = 'advised';

    /** Repaired as far as can be told: what came and went has to stay away. */
    case Watched = 'watched';

    /** Switched off and secured, until somebody proves it safe. */
    case NotInService = 'not-in-service';

    /** To a person licensed for it. */
    case HandedOver = 'handed-over';

    /** Nothing was done to the machine, and nothing will be. */
    case Cancelled = 'cancelled';

    /** Whether it has to say why, or what. */
    public function needsReason(): bool
    {
        return \in_array($this, [self::NotRepaired, self::Advised, self::NotInService, self::Cancelled], true);
    }

    /** Whether somebody who was told, or who takes it over, is named. */
    public function needsName(): bool
    {
        return $this === self::NotInService || $this === self::HandedOver;
    }

    /** Whether a day on which it is looked at again has to be given. */
    public function needsDay(): bool
    {
        return $this === self::Temporary || $this === self::Watched || $this->needsName();
    }
}
