<?php

declare(strict_types=1);

namespace Ispira\Core\Device;

/**
 * A family declares a test that would bring hands or an ohmmeter to what is powered or moves.
 */
final class UnsafeTest extends \LogicException
{
    public static function of(Test $test, SetUp $setUp, Hazard $hazard): self
    {
        return new self(
            "The test \"$test->key\" is done with {$test->contact->value} in the set-up \"$setUp->key\", in which there " .
                "is $hazard->value. Give it an isolated set-up, or keep the hands out.",
        );
    }
}
