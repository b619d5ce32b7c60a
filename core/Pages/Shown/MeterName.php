<?php

declare(strict_types=1);

namespace Ispira\Core\Pages\Shown;

/**
 * A meter of the workshop.
 */
final readonly class MeterName
{
    public function __construct(public string $id, public string $name) {}
}
