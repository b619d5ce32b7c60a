<?php

declare(strict_types=1);

namespace Ispira\Core\Quality\Rules;

use Ispira\Core\Diagnosis\Inference\Likelihood;
use Ispira\Core\Diagnosis\Presentation\Words;
use Ispira\Core\Quality\QualityRule;
use Ispira\Core\Quality\ReadingInContext;

/**
 * A number that does not come to rest. It is evidence of a bad joint too, see {@see Likelihood::ofSteadiness()}.
 */
final readonly class Wandering implements QualityRule
{
    public function key(): string
    {
        return 'wandering';
    }

    public function doubt(ReadingInContext $context): ?string
    {
        return $context->reading->steady ? null : Words::general('doubts.wandering');
    }
}
