<?php

declare(strict_types=1);

namespace App\People;

use App\Http\Page;

final readonly class PeoplePage extends Page
{
    /**
     * @param list<PersonShown> $people
     * @param list<InvitationShown> $invitations
     * @param LinkShown|null $link that was just made
     * @param list<AllowedShown> $allowed
     */
    public function __construct(
        public array $people,
        public array $invitations,
        public ?LinkShown $link,
        public array $allowed,
    ) {}
}
