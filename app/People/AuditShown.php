<?php

declare(strict_types=1);

namespace App\People;

/**
 * One act, in words.
 */
final readonly class AuditShown
{
    public function __construct(
        public int $sequence,
        public string $by,
        public string $words,
        public string $about,
        public ?string $detail,
        public string $at,
    ) {}
}
