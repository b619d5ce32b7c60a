<?php

declare(strict_types=1);

namespace App\Repair;

use Ispira\Core\Repair\Work\OpenItem;

/**
 * What a job leaves open.
 */
final readonly class OpenJobItems
{
    /**
     * @param list<OpenItem> $items
     */
    public function __construct(
        public string $id,
        public string $number,
        public string $unit,
        public bool $closed,
        public array $items,
    ) {}
}
