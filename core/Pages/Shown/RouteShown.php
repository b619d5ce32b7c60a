<?php

declare(strict_types=1);

namespace Ispira\Core\Pages\Shown;

use Ispira\Core\Repair\Ledger\EntryKind;
use Ispira\Core\Repair\Ledger\EntryShown;
use Ispira\Core\Repair\Ledger\OfKind;

/**
 * The route that worked on the same model.
 */
final readonly class RouteShown
{
    /**
     * @param list<EntryShown> $steps
     * @param list<EntryShown> $kit
     */
    public function __construct(
        public string $job,
        public string $id,
        public ?float $minutes,
        public ?float $mean,
        public int $jobs,
        #[OfKind(EntryKind::Down)] public array $steps,
        #[OfKind(EntryKind::Kit)] public array $kit,
    ) {}
}
