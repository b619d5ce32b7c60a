<?php

declare(strict_types=1);

namespace Ispira\Core\Repair\Remedy;

/**
 * The best test that is left, in money.
 */
final readonly class TestWorth
{
    public function __construct(
        public string $title,
        public float $costs,
        public float $saves,
        public bool $makesSure,
    ) {}
}
