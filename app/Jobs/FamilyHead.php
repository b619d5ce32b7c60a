<?php

declare(strict_types=1);

namespace App\Jobs;

use Ispira\Core\Device\Family;
use Ispira\Core\Device\FamilyRegistry;

/**
 * A kind of circuit.
 */
final readonly class FamilyHead
{
    public function __construct(public string $key, public string $name, public string $summary) {}

    /** @return list<self> of every family, in its order */
    public static function all(FamilyRegistry $families): array
    {
        return array_values(
            array_map(
                static fn(Family $one): self => new self(
                    key: $one->key(),
                    name: $one->texts()->get('name'),
                    summary: $one->texts()->get('summary'),
                ),
                $families->all(),
            ),
        );
    }
}
