<?php

declare(strict_types=1);

namespace Ispira\Core\Families\Furnace;

use Ispira\Core\Device\Adjustment;
use Ispira\Core\Device\Severity;

/**
 * A break in the line before a furnace: most lose their 24 V with it, some have a transformer that is fed apart.
 */
final readonly class LineBreak
{
    private const LOSES_CONTROL = 0.75;

    private function __construct() {}

    /** @return list<Severity> of a circuit whose element "transformer" gives the 24 V */
    public static function of(string $element): array
    {
        $open = Adjustment::opened($element);

        return Severity::shared(
            [self::LOSES_CONTROL, Severity::only($open, Adjustment::set('transformer.volts', 0.0))],
            [1.0 - self::LOSES_CONTROL, Severity::only($open)],
        );
    }
}
