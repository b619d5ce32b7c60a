<?php

declare(strict_types=1);

namespace Ispira\Core\Kernel;

/**
 * Something that is done, by its key, and its title.
 */
final readonly class Titled
{
    public function __construct(public string $key, public string $title) {}
}
