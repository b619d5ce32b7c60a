<?php

declare(strict_types=1);

namespace Ispira\Core\Pages;

use Ispira\Core\Job\Shown\JobHead;
use Ispira\Core\Kernel\Page;
use Ispira\Core\Repair\Ledger\EntryKind;
use Ispira\Core\Repair\Ledger\EntryShown;
use Ispira\Core\Repair\Ledger\OfKind;
use Ispira\Core\Repair\Work\SwitchRow;
use Ispira\Core\Repair\Work\WireFaces;
use Ispira\Core\Repair\Work\WireRow;

final readonly class WiresPage extends Page
{
    /**
     * @param list<WireRow> $rows
     * @param list<string> $warnings
     * @param list<SwitchRow> $switches
     * @param list<EntryShown> $plugs
     * @param list<string> $undone
     * @param list<string> $functions
     */
    public function __construct(
        public JobHead $job,
        public bool $open,
        public ?string $method,
        public array $rows,
        public array $warnings,
        public array $switches,
        #[OfKind(EntryKind::Plug)] public array $plugs,
        public array $undone,
        public array $functions,
        public ?WireFaces $faces,
    ) {}
}
