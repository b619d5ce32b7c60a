<?php

declare(strict_types=1);

namespace Ispira\Core\Diagnosis\Presentation\Shown;

/**
 * A test that is left, and what it is worth.
 */
final readonly class TestChoiceShown
{
    /**
     * @param float $gain money that it saves beyond its own cost
     * @param float $information bits
     * @param list<string> $elements
     */
    public function __construct(
        public string $key,
        public string $title,
        public float $gain,
        public float $saves,
        public float $cost,
        public float $minutes,
        public float $information,
        public array $elements,
    ) {}
}
