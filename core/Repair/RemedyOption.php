<?php

declare(strict_types=1);

namespace Ispira\Core\Repair;

/**
 * Something that can be done, and which suspects it would cure.
 */
final readonly class RemedyOption
{
    /**
     * @param string       $key   of it, as "pack" or "motor+pack"
     * @param float        $money price and labour
     * @param list<string> $cures remedies of the suspects that it covers, its own among them
     */
    public function __construct(public string $key, public float $money, public array $cures)
    {
    }
}
