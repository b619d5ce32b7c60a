<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Http\Page;
use Ispira\Core\Job\Shown\JobHead;
use Ispira\Core\Job\Shown\Strip;
use Ispira\Core\Repair\Ledger\EntryKind;
use Ispira\Core\Repair\Ledger\EntryShown;
use Ispira\Core\Repair\Ledger\OfKind;

final readonly class ComplaintPage extends Page
{
    /**
     * @param list<OtherJob> $history
     * @param list<EntryShown> $also
     */
    public function __construct(
        public JobHead $job,
        public Strip $strip,
        public array $history,
        #[OfKind(EntryKind::Also)] public array $also,
        public bool $open,
    ) {}
}
