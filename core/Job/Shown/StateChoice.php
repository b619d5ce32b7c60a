<?php

declare(strict_types=1);

namespace Ispira\Core\Job\Shown;

use Ispira\Core\Diagnosis\Inference\SpeedState;

/**
 * What a position may be doing, and what that is called in it.
 */
final readonly class StateChoice
{
    public function __construct(public SpeedState $value, public string $label) {}
}
