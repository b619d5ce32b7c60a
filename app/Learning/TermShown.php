<?php

declare(strict_types=1);

namespace App\Learning;

use Ispira\Core\Learning\TermKind;

/**
 * What something takes: as shipped, as learned, and as pinned.
 */
final readonly class TermShown
{
    /** @param int $noted from how many observations it was learned */
    public function __construct(
        public TermKind $kind,
        public string $key,
        public string $label,
        public float $shipped,
        public float $own,
        public int $noted,
        public ?float $pinned,
    ) {}
}
