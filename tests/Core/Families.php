<?php

declare(strict_types=1);

namespace Tests\Core;

use Ispira\Core\Device\FamilyRegistry;
use Ispira\Core\Diagnosis\Trial\Trial;

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

    /**
     * The ordinary circuit of each family, and one for each other choice of each parameter.
     *
     * @return iterable<string, array{0: string, 1: array<string, string>}>
     */
    public static function variants(): iterable
    {
        foreach (FamilyRegistry::shipped()->all() as $key => $family) {
            foreach ((new Trial($family, 1))->variants() as $name => $parameters) {
                yield "$key, $name" => [$key, $parameters];
            }
        }
    }
}
