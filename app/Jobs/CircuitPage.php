<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Http\Page;
use Ispira\Core\Device\Drawing\DrawnSheet;
use Ispira\Core\Device\Shown\FieldShown;
use Ispira\Core\Diagnosis\Presentation\Shown\LearnedShown;
use Ispira\Core\Job\Shown\JobHead;
use Ispira\Core\Job\Shown\Strip;
use Ispira\Core\Kernel\Keyed;
use Ispira\Core\Repair\Ledger\EntryKind;
use Ispira\Core\Repair\Ledger\EntryShown;
use Ispira\Core\Repair\Ledger\OfKind;

final readonly class CircuitPage extends Page
{
    /**
     * @param list<FieldShown> $fields
     * @param Keyed<mixed> $values
     * @param list<LearnedShown> $learned
     * @param list<EntryShown> $changed
     */
    public function __construct(
        public JobHead $job,
        public Strip $strip,
        public string $family,
        public array $fields,
        public Keyed $values,
        public DrawnSheet $sheet,
        public array $learned,
        public bool $open,
        public bool $mayChange,
        #[OfKind(EntryKind::OtherCircuit)] public array $changed,
    ) {}
}
