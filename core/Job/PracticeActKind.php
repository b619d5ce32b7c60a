<?php

declare(strict_types=1);

namespace Ispira\Core\Job;

/**
 * What is done in an exercise, besides the readings that are written down.
 */
enum PracticeActKind: string
{
    /** Leads were put on and the meter was read; fields test, red, black, isolated, discharged, reading. */
    case Measured = 'measured';

    /** A proposal was asked for; field test. */
    case Hint = 'hint';

    /** What was believed before the engine's odds were seen: shares of 1 by remedy. */
    case Guess = 'guess';

    /** What hurts people in a real workshop; fields reason, test. */
    case Danger = 'danger';

    /** What is wrong, by its remedy; the exercise is over. */
    case Named = 'named';
}
