<?php

declare(strict_types=1);

namespace App\Workshop;

/**
 * Somebody of the demo.
 */
final readonly class DemoAccount
{
    public function __construct(public string $name, public string $email, public string $role) {}
}
