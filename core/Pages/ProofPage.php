<?php

declare(strict_types=1);

namespace Ispira\Core\Pages;

use Ispira\Core\Job\Shown\JobHead;
use Ispira\Core\Job\Shown\ReadingShown;
use Ispira\Core\Job\Shown\ReplacementShown;
use Ispira\Core\Job\Shown\Strip;
use Ispira\Core\Kernel\Choice;
use Ispira\Core\Kernel\Page;
use Ispira\Core\Pages\Shown\CheckShown;
use Ispira\Core\Pages\Shown\EndingShown;
use Ispira\Core\Pages\Shown\KeptPlan;
use Ispira\Core\Pages\Shown\PlannerHead;
use Ispira\Core\Practice\PracticeShown;
use Ispira\Core\Repair\Ledger\EntryKind;
use Ispira\Core\Repair\Ledger\EntryShown;
use Ispira\Core\Repair\Ledger\OfKind;
use Ispira\Core\Repair\Work\OpenItem;
use Ispira\Core\Repair\Work\SettledItem;

final readonly class ProofPage extends Page
{
    /**
     * @param list<ReplacementShown> $replacements
     * @param list<ReadingShown> $readings
     * @param list<CheckShown> $checks
     * @param list<EndingShown> $outcomes
     * @param list<Choice> $adjusts
     * @param list<EntryShown> $adjusted
     * @param list<EntryShown> $loans
     * @param list<EntryShown> $closing
     * @param list<OpenItem> $stillOpen
     * @param list<SettledItem> $settled
     * @param list<PlannerHead> $planners
     * @param list<KeptPlan> $plans
     */
    public function __construct(
        public JobHead $job,
        public Strip $strip,
        public array $replacements,
        public array $readings,
        public bool $open,
        public bool $machine,
        public bool $proved,
        public array $checks,
        public array $outcomes,
        public string $never,
        public array $adjusts,
        #[OfKind(EntryKind::Adjusted)] public array $adjusted,
        #[OfKind(EntryKind::Loan)] public array $loans,
        #[OfKind(EntryKind::Closed)] public array $closing,
        public ?int $passes,
        public array $stillOpen,
        public array $settled,
        public array $planners,
        public array $plans,
        public ?PracticeShown $practice,
    ) {}
}
