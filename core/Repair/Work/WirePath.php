<?php

declare(strict_types=1);

namespace Ispira\Core\Repair\Work;

use Ispira\Core\Device\Plug\WireColour;

/**
 * A wire from its terminal on the old part to that on the new one.
 */
final readonly class WirePath
{
    /** @param bool $done whether it was moved, pulled and seen to be right */
    public function __construct(
        public string $from,
        public string $to,
        public string $tag,
        public ?WireColour $colour,
        public bool $done,
    ) {}
}
