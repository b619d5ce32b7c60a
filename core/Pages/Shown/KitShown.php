<?php

declare(strict_types=1);

namespace Ispira\Core\Pages\Shown;

/**
 * Something that the job needs, and whether it lies ready.
 */
final readonly class KitShown
{
    public function __construct(
        public string $id,
        public string $sort,
        public string $what,
        public bool $ready,
        public string $substitute,
    ) {}
}
