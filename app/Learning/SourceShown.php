<?php

declare(strict_types=1);

namespace App\Learning;

use Ispira\Core\Learning\Share;

/**
 * Where parts were bought, and what came of them.
 */
final readonly class SourceShown
{
    /**
     * @param int        $parts    that were ordered there
     * @param float|null $leadDays the usual ones
     * @param float|null $price    as a multiple of what ships
     * @param Share      $cameBack of those of which it is known
     */
    public function __construct(
        public string $source,
        public int $parts,
        public ?float $leadDays,
        public ?float $price,
        public Share $cameBack,
    ) {}
}
