<?php

declare(strict_types=1);

namespace Ispira\Core\Practice;

/**
 * A simulated pupil, to see whether the examiner's points follow what a course really costs.
 */
enum Pupil: string
{
    /** Names what the pattern of speeds alone makes likeliest. */
    case Pattern = 'buys on the pattern';

    /** Takes the tests in the order of the list until one suspect is nearly sure. */
    case FixedOrder = 'fixed order';

    /** Takes a hint for every second test, the other ones in the order of the list. */
    case HalfHints = 'hints half the time';

    /** Follows every proposal, and misreads one reading in four. */
    case Misreads = 'misreads';

    /** Finds what the engine would do by himself. */
    case Engine = 'as the engine';

    /** Knows the shortest way to this unit's fault. */
    case Best = 'the best course';

    /** Does the same as the engine, and once bridges a fuse or reaches in. */
    case Dangerous = 'dangerous';
}
