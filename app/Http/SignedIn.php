<?php

declare(strict_types=1);

namespace App\Http;

/**
 * Who is signed in.
 */
final readonly class SignedIn
{
    public function __construct(
        public int $id,
        public string $name,
        public string $role,
        public string $workshop,
        public string $currency,
    ) {}
}
