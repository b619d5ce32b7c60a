<?php

declare(strict_types=1);

namespace Ispira\Core\Repair\Remedy;

/**
 * What was measured that a way of repair leaves in the machine.
 */
final readonly class LeftShown
{
    public function __construct(
        public string $test,
        public string $shown,
        public string $ordinary,
        public string $question,
    ) {}
}
