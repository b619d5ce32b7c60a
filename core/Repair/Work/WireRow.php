<?php

declare(strict_types=1);

namespace Ispira\Core\Repair\Work;

/**
 * A wire that moves from the old part to the new one.
 */
final readonly class WireRow
{
    public function __construct(
        public string $id,
        public string $function,
        public string $from,
        public string $to,
        public string $colour,
        public string $label,
        public bool $moved,
        public bool $checked,
    ) {}
}
