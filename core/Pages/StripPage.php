<?php

declare(strict_types=1);

namespace Ispira\Core\Pages;

use Ispira\Core\Job\Shown\JobHead;
use Ispira\Core\Kernel\Page;
use Ispira\Core\Pages\Shown\KitShown;
use Ispira\Core\Pages\Shown\PhotoHead;
use Ispira\Core\Pages\Shown\RouteShown;
use Ispira\Core\Repair\Ledger\EntryKind;
use Ispira\Core\Repair\Ledger\EntryShown;
use Ispira\Core\Repair\Ledger\OfKind;
use Ispira\Core\Repair\Work\StepBack;
use Ispira\Core\Repair\Work\TrayPlace;

final readonly class StripPage extends Page
{
    /**
     * @param list<EntryShown> $found
     * @param list<KitShown> $kit
     * @param list<EntryShown> $down
     * @param list<StepBack> $steps
     * @param list<PhotoHead> $photos
     * @param list<TrayPlace> $tray
     */
    public function __construct(
        public JobHead $job,
        public bool $open,
        #[OfKind(EntryKind::Found)] public array $found,
        public array $kit,
        #[OfKind(EntryKind::Down)] public array $down,
        public array $steps,
        public int $leftOver,
        public int $missingBefore,
        public ?float $minutes,
        public array $photos,
        public ?RouteShown $route,
        public array $tray,
    ) {}
}
