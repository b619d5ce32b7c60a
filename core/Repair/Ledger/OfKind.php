<?php

declare(strict_types=1);

namespace Ispira\Core\Repair\Ledger;

/**
 * Says which kind of entries a property holds, so that their fields are known.
 */
#[\Attribute(\Attribute::TARGET_PROPERTY | \Attribute::TARGET_PARAMETER)]
final readonly class OfKind
{
    public function __construct(public EntryKind $kind) {}
}
