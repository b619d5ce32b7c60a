<?php

declare(strict_types=1);

namespace Ispira\Core\Pages;

use Ispira\Core\Job\Shown\JobHead;
use Ispira\Core\Kernel\Choice;
use Ispira\Core\Kernel\Keyed;
use Ispira\Core\Kernel\Page;
use Ispira\Core\Pages\Shown\FindingShown;
use Ispira\Core\Repair\Fit\AttributeShown;
use Ispira\Core\Repair\Fit\FitFaces;
use Ispira\Core\Repair\Fit\FitVerdict;
use Ispira\Core\Repair\Fit\PartShown;
use Ispira\Core\Repair\Ledger\EntryKind;
use Ispira\Core\Repair\Ledger\EntryShown;
use Ispira\Core\Repair\Ledger\OfKind;

final readonly class FitPage extends Page
{
    /**
     * @param list<Choice> $types
     * @param list<AttributeShown> $attributes
     * @param Keyed<string> $old
     * @param Keyed<string> $new
     * @param list<FindingShown> $findings
     * @param list<EntryShown> $checks
     * @param list<PartShown> $catalogue
     */
    public function __construct(
        public JobHead $job,
        public bool $open,
        public string $type,
        public array $types,
        public array $attributes,
        public Keyed $old,
        public Keyed $new,
        public string $candidate,
        public array $findings,
        public FitVerdict $worst,
        public ?FitFaces $faces,
        public ?string $chosen,
        #[OfKind(EntryKind::Fit)] public array $checks,
        public array $catalogue,
    ) {}
}
