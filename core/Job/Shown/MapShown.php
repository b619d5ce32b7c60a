<?php

declare(strict_types=1);

namespace Ispira\Core\Job\Shown;

use Ispira\Core\Diagnosis\Inference\SpeedState;
use Ispira\Core\Job\MapKind;
use Ispira\Core\Kernel\Keyed;

/**
 * A speed map as it was noted.
 */
final readonly class MapShown
{
    /**
     * @param Keyed<SpeedState> $states by position
     */
    public function __construct(
        public string $id,
        public MapKind $kind,
        public ?string $notedFor,
        public int $episode,
        public Keyed $states,
    ) {}
}
