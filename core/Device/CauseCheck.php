<?php

declare(strict_types=1);

namespace Ispira\Core\Device;

/**
 * A test that looks for the cause behind a failed part before its verdict is final.
 */
final readonly class CauseCheck
{
    /** @param string $test key of the test to do */
    public function __construct(public string $part, public string $test, public string $text) {}
}
