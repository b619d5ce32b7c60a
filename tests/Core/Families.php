<?php

declare(strict_types=1);

namespace Tests\Core;

use Ispira\Core\Device\FamilyRegistry;

/**
 * The families of circuits, as cases of a test.
 */
final class Families
{
    private function __construct() {}

    /** @return iterable<string, array{0: string}> */
    public static function all(): iterable
    {
        foreach (array_keys(FamilyRegistry::shipped()->all()) as $key) {
            yield $key => [$key];
        }
    }
}
