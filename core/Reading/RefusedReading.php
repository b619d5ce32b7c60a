<?php

declare(strict_types=1);

namespace Ispira\Core\Reading;

/**
 * What was given is no reading of this circuit; the message says what to do.
 */
final class RefusedReading extends \RuntimeException
{
    public const TEST = 'test';
    public const VALUE = 'value';
    public const SUPPLY = 'supply';

    /** @param self::* $field at which it is refused */
    public function __construct(public readonly string $field, string $message)
    {
        parent::__construct($message);
    }
}
