<?php

declare(strict_types=1);

namespace Ispira\Core\Pages;

use Ispira\Core\Job\Shown\JobHead;
use Ispira\Core\Job\Shown\ReplacementShown;
use Ispira\Core\Kernel\Named;
use Ispira\Core\Kernel\Page;
use Ispira\Core\Kernel\Titled;
use Ispira\Core\Pages\Shown\PartMeasured;
use Ispira\Core\Pages\Shown\PartTest;
use Ispira\Core\Pages\Shown\RunListed;
use Ispira\Core\Pages\Shown\TemporaryShown;
use Ispira\Core\Repair\Ledger\EntryKind;
use Ispira\Core\Repair\Ledger\EntryShown;
use Ispira\Core\Repair\Ledger\OfKind;

final readonly class SwapPage extends Page
{
    /**
     * @param list<string> $changes
     * @param list<Named> $parts
     * @param list<PartTest> $tests
     * @param list<PartMeasured> $measured
     * @param list<Titled> $procedures
     * @param list<RunListed> $runs
     * @param list<ReplacementShown> $replacements
     */
    public function __construct(
        public JobHead $job,
        public bool $open,
        #[OfKind(EntryKind::Choice)] public ?EntryShown $choice,
        public array $changes,
        public string $leading,
        public array $parts,
        public string $repairCaution,
        public ?TemporaryShown $temporary,
        public array $tests,
        public array $measured,
        public array $procedures,
        public array $runs,
        public array $replacements,
    ) {}
}
