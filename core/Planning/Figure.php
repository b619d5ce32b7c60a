<?php

declare(strict_types=1);

namespace Ispira\Core\Planning;

/**
 * A value that was worked out, and how it stands against its limit.
 */
final readonly class Figure
{
    /** @param 'fine'|'refused'|'' $standing */
    public function __construct(
        public string $label,
        public string $value,
        public string $standing = '',
        public string $note = '',
    ) {}
}
