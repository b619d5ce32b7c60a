<?php

declare(strict_types=1);

namespace Ispira\Core\Job\Shown;

/**
 * A part that was replaced, with the verdict under which it was.
 */
final readonly class ReplacementShown
{
    public function __construct(
        public string $id,
        public string $remedy,
        public string $label,
        public ?string $partNumber,
        public ?string $note,
        public ?string $temporaryUntil,
        public string $at,
        public ?VerdictThen $verdict,
        public ?string $by,
    ) {}
}
