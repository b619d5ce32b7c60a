<?php

declare(strict_types=1);

namespace Ispira\Core\Diagnosis\Trial;

/**
 * Ways of choosing what to do next that are compared on the same jobs.
 */
enum Policy: string
{
    /** The engine's proposals. */
    case Engine = 'engine';

    /** The tests of the family in their listed order, until one remedy is sure. */
    case FixedOrder = 'fixed order';

    /** Tests at random, until one remedy is sure. */
    case RandomOrder = 'random order';

    /** No test: the likeliest remedy for the map. */
    case BuyOnPattern = 'buy on the pattern';
}
