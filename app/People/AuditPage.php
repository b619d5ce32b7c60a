<?php

declare(strict_types=1);

namespace App\People;

use App\Http\Page;

final readonly class AuditPage extends Page
{
    /**
     * @param list<AuditShown> $acts the newest first
     * @param int|null $before number of the last of them, where there are older ones
     */
    public function __construct(public array $acts, public ?int $before) {}
}
