<?php

declare(strict_types=1);

namespace App\People;

/**
 * A link that somebody has not taken yet.
 */
final readonly class InvitationShown
{
    public function __construct(
        public string $id,
        public string $name,
        public string $email,
        public Role $role,
        public bool $renews,
        public string $expiresAt,
    ) {}
}
