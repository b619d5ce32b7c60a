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

    /** Whether it has to say why, or what. */
    public function needsReason(): bool
    {
        return $this === self::NotRepaired || $this === self::Advised;
    }

    /** Whether a day on which it is looked at again has to be given. */
    public function needsDay(): bool
    {
        return $this === self::Temporary;
    }
}
