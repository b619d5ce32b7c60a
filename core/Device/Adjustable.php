<?php

declare(strict_types=1);

namespace Ispira\Core\Device;

/**
 * Something that can be adjusted on a machine, and what a change of it is proved by.
 */
final readonly class Adjustable
{
    /** @param list<string> $proves names of tests without which a changed one does not close */
    public function __construct(public string $key, public string $name, public array $proves) {}
}
