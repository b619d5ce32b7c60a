<?php

declare(strict_types=1);

namespace Ispira\Core\Device;

/**
 * A replaceable part with ordinary money and minutes, which a workshop may change.
 */
final readonly class Part
{
    /** The part that stands for the clips and jumpers of a bench: put right, not bought. */
    public const HOOK_UP = 'hook-up';

    /**
     * @param float $price   purchase price in the workshop's currency
     * @param float $minutes labour to replace it
     * @param string|null $measuredBy key of the test that measures it by itself: what has its value on its label is
     *     measured before it is named
     */
    public function __construct(
        public string $key,
        public float $price,
        public float $minutes,
        public ?string $measuredBy = null,
    ) {}
}
