<?php

declare(strict_types=1);

namespace App\Parts;

use Ispira\Core\Repair\Fit\AttributeShown;

/**
 * A kind of part with what it is compared by.
 */
final readonly class PartTypeShown
{
    /**
     * @param list<AttributeShown> $attributes
     */
    public function __construct(public string $value, public string $label, public array $attributes) {}
}
