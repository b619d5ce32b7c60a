<?php

declare(strict_types=1);

namespace Ispira\Core\Device;

/**
 * Values that do not describe a circuit, with a message for each field.
 */
final class ParameterError extends \InvalidArgumentException
{
    /** @param array<string, string> $messages by parameter key */
    public function __construct(public readonly array $messages)
    {
        parent::__construct(implode(' ', $messages));
    }
}
