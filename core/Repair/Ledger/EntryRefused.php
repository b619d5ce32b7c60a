<?php

declare(strict_types=1);

namespace Ispira\Core\Repair\Ledger;

/**
 * An entry that cannot be taken; the message says at which field, and what to do.
 */
final class EntryRefused extends \InvalidArgumentException
{
    public function __construct(public readonly string $field, string $message)
    {
        parent::__construct($message);
    }
}
