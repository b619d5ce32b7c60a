<?php

declare(strict_types=1);

namespace Ispira\Core\Repair\Work;

/**
 * Switches of the old part and how they are set on the new one.
 */
final readonly class SwitchRow
{
    public function __construct(
        public string $id,
        public string $name,
        public string $old,
        public ?string $new,
        public string $reason,
    ) {}
}
