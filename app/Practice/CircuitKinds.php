<?php

declare(strict_types=1);

namespace App\Practice;

use Ispira\Core\Kernel\Choice;

/**
 * A kind of circuit, and what can be hidden in one.
 */
final readonly class CircuitKinds
{
    /** @param list<Choice> $kinds */
    public function __construct(public string $family, public string $name, public array $kinds) {}
}
