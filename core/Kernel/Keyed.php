<?php

declare(strict_types=1);

namespace Ispira\Core\Kernel;

/**
 * Values by key that are an object in JSON, also when there are none or the keys are numbers.
 *
 * @template T
 */
final readonly class Keyed implements \JsonSerializable
{
    /** @param array<array-key, T> $values */
    public function __construct(public array $values) {}

    public function jsonSerialize(): object
    {
        return (object) $this->values;
    }
}
