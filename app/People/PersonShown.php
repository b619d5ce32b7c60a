<?php

declare(strict_types=1);

namespace App\People;

/**
 * Somebody of the workshop.
 */
final readonly class PersonShown
{
    /**
     * @param string|null $seenAt when this person last asked for a page
     * @param bool $needed whether the workshop would be without a lead without this person
     */
    public function __construct(
        public int $id,
        public string $name,
        public string $email,
        public Role $role,
        public bool $disabled,
        public ?string $seenAt,
        public bool $needed,
    ) {}
}
