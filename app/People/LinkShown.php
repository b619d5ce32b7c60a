<?php

declare(strict_types=1);

namespace App\People;

/**
 * A link that was just made: it is shown once, and is kept nowhere.
 */
final readonly class LinkShown
{
    public function __construct(
        public string $url,
        public string $name,
        public bool $renews,
        public bool $mailed,
        public string $expiresAt,
    ) {}
}
