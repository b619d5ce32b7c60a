<?php

declare(strict_types=1);

namespace Ispira\Core\Pages\Shown;

/**
 * A procedure in a list.
 */
final readonly class ProcedureHead
{
    /**
     * @param bool $own whether the text is the workshop's own
     * @param int $worked how often it was begun lately
     * @param RunListed|null $last begun last
     */
    public function __construct(
        public string $key,
        public string $title,
        public string $summary,
        public int $minutes,
        public int $steps,
        public bool $own,
        public int $worked,
        public ?RunListed $last,
    ) {}
}
