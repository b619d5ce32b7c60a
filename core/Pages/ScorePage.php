<?php

declare(strict_types=1);

namespace Ispira\Core\Pages;

use Ispira\Core\Device\Drawing\DrawnSheet;
use Ispira\Core\Job\PracticeWay;
use Ispira\Core\Job\Shown\JobHead;
use Ispira\Core\Job\Shown\Strip;
use Ispira\Core\Kernel\Page;
use Ispira\Core\Practice\Shown\ScoreShown;

/**
 * What came of an exercise.
 */
final readonly class ScorePage extends Page
{
    public function __construct(
        public JobHead $job,
        public PracticeWay $way,
        public Strip $strip,
        public DrawnSheet $sheet,
        public ScoreShown $score,
    ) {}
}
