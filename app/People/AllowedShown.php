<?php

declare(strict_types=1);

namespace App\People;

/**
 * What can be done, and by whom.
 */
final readonly class AllowedShown
{
    /**
     * @param list<Role> $roles
     */
    public function __construct(public string $what, public array $roles) {}

    /** @return list<self> */
    public static function all(): array
    {
        return array_map(
            static fn(Ability $one): self => new self(
                what: $one->what(),
                roles: array_values(
                    array_filter(Role::cases(), static fn(Role $role): bool => $role->reaches($one->least())),
                ),
            ),
            Ability::cases(),
        );
    }
}
