<?php

declare(strict_types=1);

namespace Ispira\Core\Practice;

use Ispira\Core\Device\CircuitModel;
use Ispira\Core\Device\Fault;

/**
 * What kind of fault is hidden in a make-believe unit.
 */
enum HiddenKind: string
{
    /** One fault, as often as it is met. */
    case Single = 'single';

    /** A cause, and what it has done to another part. */
    case Chain = 'chain';

    /** A fault that comes and goes. */
    case Intermittent = 'intermittent';

    /** A path that no drawing has. */
    case Outside = 'outside';

    /** Nothing is wrong: somebody misheard. */
    case None = 'none';

    public function isPossible(CircuitModel $circuit): bool
    {
        return match ($this) {
            self::Chain => $circuit->pairs !== [],
            self::Intermittent => array_filter($circuit->faults, static fn(Fault $one): bool => $one->comesAndGoes) !==
                [],
            default => true,
        };
    }
}
