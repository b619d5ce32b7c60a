<?php

declare(strict_types=1);

namespace Ispira\Core\Repair\Remedy;

/**
 * Something that can be done, and which suspects it would cure.
 */
final readonly class RemedyOption
{
    /**
     * @param string       $key   of it, as "pack" or "motor+pack"
     * @param float        $money price and labour
     * @param list<string> $cures suspects that it covers
     * @param float        $lost  money lost with it when it was the wrong one: restocking, deposit
     */
    public function __construct(
        public string $key,
        public float $money,
        public array $cures,
        public float $lost = 0.0,
    ) {}
}
