<?php

declare(strict_types=1);

namespace Tests\Core\Family;

use Ispira\Core\Device\FamilyRegistry;

/**
 * The families that are shipped.
 */
final class FamilyContractTest extends FamilyContract
{
    protected static function registry(): FamilyRegistry
    {
        return FamilyRegistry::shipped();
    }
}
