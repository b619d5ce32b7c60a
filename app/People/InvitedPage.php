<?php

declare(strict_types=1);

namespace App\People;

use App\Http\Page;

final readonly class InvitedPage extends Page
{
    /**
     * @param bool $renews whether it is for a new password
     */
    public function __construct(
        public string $token,
        public string $workshop,
        public string $name,
        public string $email,
        public Role $role,
        public bool $renews,
    ) {}
}
