<?php

declare(strict_types=1);

namespace Ispira\Core\Pages;

use Ispira\Core\Job\Shown\JobHead;
use Ispira\Core\Kernel\Page;
use Ispira\Core\Repair\Ledger\EntryKind;
use Ispira\Core\Repair\Ledger\EntryShown;
use Ispira\Core\Repair\Ledger\OfKind;

final readonly class OrderPage extends Page
{
    /**
     * @param list<EntryShown> $onOrder what has not arrived, the one expected first at the front
     * @param list<EntryShown> $ordered all of it
     * @param list<EntryShown> $arrived
     * @param string $today YYYY-MM-DD
     * @param string|null $chosen the part that the remedy takes, where one was chosen
     * @param string|null $number its number
     * @param int|null $leadDays days that it takes
     */
    public function __construct(
        public JobHead $job,
        public bool $open,
        #[OfKind(EntryKind::Ordered)] public array $onOrder,
        #[OfKind(EntryKind::Ordered)] public array $ordered,
        #[OfKind(EntryKind::Arrived)] public array $arrived,
        public string $today,
        public ?string $chosen,
        public ?string $number,
        public ?int $leadDays,
    ) {}
}
