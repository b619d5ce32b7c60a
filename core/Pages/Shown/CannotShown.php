<?php

declare(strict_types=1);

namespace Ispira\Core\Pages\Shown;

/**
 * A test that cannot be done on this job, and why not.
 */
final readonly class CannotShown
{
    /** @param string $id of the entry */
    public function __construct(
        public string $id,
        public string $test,
        public string $title,
        public string $because,
        public ?string $note,
        public ?string $at,
    ) {}
}
