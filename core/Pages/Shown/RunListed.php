<?php

declare(strict_types=1);

namespace Ispira\Core\Pages\Shown;

/**
 * A procedure that was begun.
 */
final readonly class RunListed
{
    public function __construct(
        public string $id,
        public string $key,
        public string $title,
        public ?string $job,
        public string $at,
        public string $state,
    ) {}
}
