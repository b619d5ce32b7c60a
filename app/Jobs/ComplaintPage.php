<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Http\Page;
use Ispira\Core\Job\Shown\JobHead;
use Ispira\Core\Job\Shown\Strip;
use Ispira\Core\Kernel\Choice;
use Ispira\Core\Repair\Ledger\EntryKind;
use Ispira\Core\Repair\Ledger\EntryShown;
use Ispira\Core\Repair\Ledger\OfKind;

final readonly class ComplaintPage extends Page
{
    /**
     * @param list<OtherJob> $history
     * @param list<EntryShown> $also
     * @param list<EntryShown> $corrected
     * @param list<EntryShown> $handedOver
     * @param list<EntryShown> $reopened
     * @param list<Choice> $people to whom it can be handed
     * @param string|null $unitId null where its unit is a make-believe one
     */
    public function __construct(
        public JobHead $job,
        public Strip $strip,
        public array $history,
        #[OfKind(EntryKind::Also)] public array $also,
        #[OfKind(EntryKind::Corrected)] public array $corrected,
        #[OfKind(EntryKind::HandedOver)] public array $handedOver,
        #[OfKind(EntryKind::Reopened)] public array $reopened,
        public array $people,
        public string $openedBy,
        public ?string $unitId,
        public bool $open,
    ) {}
}
