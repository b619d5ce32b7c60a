<?php

declare(strict_types=1);

namespace Ispira\Core\Device\Shown;

/**
 * A field that is asked only when another one has one of these values.
 */
final readonly class OnlyWith
{
    /**
     * @param list<string> $values
     */
    public function __construct(public string $key, public array $values) {}
}
