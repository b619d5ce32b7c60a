<?php

declare(strict_types=1);

namespace Ispira\Core\Quality;

/**
 * What a rule says about a reading.
 */
final readonly class Doubt
{
    public function __construct(public string $rule, public string $sentence) {}

    /** @return array{rule: string, sentence: string} */
    public function toArray(): array
    {
        return ['rule' => $this->rule, 'sentence' => $this->sentence];
    }
}
