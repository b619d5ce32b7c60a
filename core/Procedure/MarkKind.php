<?php

declare(strict_types=1);

namespace Ispira\Core\Procedure;

/**
 * Kinds of what is noted of a procedure.
 */
enum MarkKind: string
{
    case Done = 'done';

    /** The step was begun anew, and its wait with it. */
    case Again = 'again';
    case Aborted = 'aborted';
}
