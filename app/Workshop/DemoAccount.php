<?php

declare(strict_types=1);

namespace App\Workshop;

use App\People\Role;

/**
 * Somebody of the demo.
 */
final readonly class DemoAccount
{
    public function __construct(public string $name, public string $email, public Role $role) {}
}
