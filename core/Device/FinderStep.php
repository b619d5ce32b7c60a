<?php

declare(strict_types=1);

namespace Ispira\Core\Device;

/**
 * One question by which a kind of circuit is found by what is seen.
 */
final readonly class FinderStep
{
    /** @param non-empty-list<FinderChoice> $choices */
    public function __construct(public string $key, public string $question, public array $choices) {}
}
