<?php

declare(strict_types=1);

namespace Ispira\Core\Pages;

use Ispira\Core\Device\Drawing\DrawnSheet;
use Ispira\Core\Diagnosis\Presentation\Shown\DiagnosisShown;
use Ispira\Core\Job\Shown\JobHead;
use Ispira\Core\Job\Shown\ReadingShown;
use Ispira\Core\Job\Shown\ReplacementShown;
use Ispira\Core\Job\Shown\Strip;
use Ispira\Core\Kernel\Page;
use Ispira\Core\Pages\Shown\LeadOn;
use Ispira\Core\Repair\Ledger\EntryKind;
use Ispira\Core\Repair\Ledger\EntryShown;
use Ispira\Core\Repair\Ledger\OfKind;
use Ispira\Core\Repair\Remedy\OutlookShown;

final readonly class VerdictPage extends Page
{
    /**
     * @param list<ReadingShown> $readings
     * @param list<ReplacementShown> $replacements
     * @param list<string> $refit
     * @param list<LeadOn> $leadsOn
     * @param list<EntryShown> $held
     * @param list<string> $lessons on its model, of verdicts that did not hold
     */
    public function __construct(
        public JobHead $job,
        public Strip $strip,
        public array $readings,
        public array $replacements,
        public DiagnosisShown $diagnosis,
        public DrawnSheet $sheet,
        public bool $open,
        public float $guessedOnTheMap,
        public OutlookShown $outlook,
        public array $refit,
        public ?string $part,
        public array $leadsOn,
        #[OfKind(EntryKind::Held)] public array $held,
        public array $lessons,
    ) {}
}
