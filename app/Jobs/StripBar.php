<?php

declare(strict_types=1);

namespace App\Jobs;

use Ispira\Core\Diagnosis\Inference\SpeedState;

/**
 * One position of a small strip.
 */
final readonly class StripBar
{
    /**
     * @param bool $runs whether something should run there
     * @param SpeedState|null $state that was heard last; null where it was not tried
     * @param string|null $word what that is called at this position
     */
    public function __construct(
        public string $label,
        public bool $runs,
        public ?SpeedState $state,
        public ?string $word,
    ) {}
}
