<?php

declare(strict_types=1);

namespace Ispira\Core\Pages;

/**
 * What a person asks of the bench.
 */
final readonly class BenchAsked
{
    /**
     * @param string $test     that is to be described instead of the proposed one; empty for that
     * @param bool   $stepping whether a table is stepped through
     * @param string $suppose  remedy that it is supposed to be
     * @param string $reading  id of one that is left out, or had shown something else
     * @param string $showed   what it had shown
     */
    public function __construct(
        public string $test = '',
        public bool $stepping = false,
        public string $suppose = '',
        public string $reading = '',
        public string $showed = '',
    ) {}
}
