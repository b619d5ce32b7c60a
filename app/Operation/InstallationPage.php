<?php

declare(strict_types=1);

namespace App\Operation;

use App\Http\Page;

final readonly class InstallationPage extends Page
{
    /**
     * @param array<string, bool> $checks what was asked of this machine, and whether it is well
     * @param string $used room that captures and photos of the workshop take, in words
     * @param string $limit room that they may take
     * @param string $limitOfJob room that those of one job may take
     * @param string $free room that is free on the disk
     * @param string|null $lastBackup moment of the last one that is known of
     * @param string|null $backupSize its size, in words
     * @param bool $encrypted whether it can be read with its key only
     * @param bool $backupLate whether it is longer ago than it should be
     * @param list<SlowRequest> $slow the newest first, of this workshop
     */
    public function __construct(
        public string $version,
        public array $checks,
        public string $used,
        public string $limit,
        public string $limitOfJob,
        public string $free,
        public ?string $lastBackup,
        public ?string $backupSize,
        public bool $encrypted,
        public bool $backupLate,
        public array $slow,
    ) {}
}
