<?php

declare(strict_types=1);

namespace Ispira\Core\Job;

/**
 * How a make-believe unit is worked on.
 */
enum PracticeWay: string
{
    /** With odds, proposals and their reasons. */
    case Guided = 'guided';

    /** Nothing is shown; a hint has its price. */
    case Own = 'own';

    /** Nothing is shown, no hints, and a lead sees the result. */
    case Examination = 'examination';

    public function hides(): bool
    {
        return $this !== self::Guided;
    }
}
