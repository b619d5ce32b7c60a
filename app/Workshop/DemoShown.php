<?php

declare(strict_types=1);

namespace App\Workshop;

/**
 * Who may sign in to look around.
 */
final readonly class DemoShown
{
    /**
     * @param list<DemoAccount> $accounts
     */
    public function __construct(public string $password, public array $accounts) {}
}
