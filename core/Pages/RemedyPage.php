<?php

declare(strict_types=1);

namespace Ispira\Core\Pages;

use Ispira\Core\Job\Shown\JobHead;
use Ispira\Core\Kernel\Page;
use Ispira\Core\Pages\Shown\BreakEvenShown;
use Ispira\Core\Pages\Shown\ToolWorth;
use Ispira\Core\Repair\Ledger\EntryKind;
use Ispira\Core\Repair\Ledger\EntryShown;
use Ispira\Core\Repair\Ledger\OfKind;
use Ispira\Core\Repair\Remedy\OutlookShown;

final readonly class RemedyPage extends Page
{
    /**
     * @param list<EntryShown> $choices
     * @param list<ToolWorth> $tools
     */
    public function __construct(
        public JobHead $job,
        public bool $open,
        public OutlookShown $outlook,
        public bool $potted,
        public string $standing,
        #[OfKind(EntryKind::Choice)] public array $choices,
        public array $tools,
        public ?BreakEvenShown $breakEven,
    ) {}
}
