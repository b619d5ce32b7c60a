<?php

declare(strict_types=1);

namespace Ispira\Core\Job\Shown;

/**
 * The speed strip: the cells, and every map laid over them.
 */
final readonly class Strip
{
    /**
     * @param list<StripCell> $cells
     * @param list<MapShown> $maps
     */
    public function __construct(public array $cells, public array $maps) {}
}
