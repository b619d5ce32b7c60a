<?php

declare(strict_types=1);

namespace Ispira\Core\Learning\Shown;

/**
 * A test that would have told two remedies apart, with what it shows under each.
 */
final readonly class ToldShown
{
    /**
     * @param float $information bits between the two at even odds
     */
    public function __construct(
        public string $key,
        public string $test,
        public float $minutes,
        public string $underChosen,
        public string $underTruth,
        public float $information,
    ) {}
}
