<?php

declare(strict_types=1);

namespace Ispira\Core\Pages;

use Ispira\Core\Device\Drawing\DrawnSheet;
use Ispira\Core\Diagnosis\Presentation\Shown\DiagnosisShown;
use Ispira\Core\Diagnosis\Presentation\Shown\SeriesStep;
use Ispira\Core\Job\Shown\JobHead;
use Ispira\Core\Job\Shown\ReadingShown;
use Ispira\Core\Job\Shown\ReplacementShown;
use Ispira\Core\Job\Shown\Strip;
use Ispira\Core\Kernel\Keyed;
use Ispira\Core\Kernel\Page;
use Ispira\Core\Pages\Shown\CannotShown;
use Ispira\Core\Pages\Shown\LeadOn;
use Ispira\Core\Pages\Shown\MeterName;
use Ispira\Core\Pages\Shown\PlannerHead;
use Ispira\Core\Pages\Shown\Tool;
use Ispira\Core\Practice\PracticeShown;

final readonly class BenchPage extends Page
{
    /**
     * @param list<ReadingShown> $readings
     * @param list<ReplacementShown> $replacements
     * @param list<SeriesStep> $series
     * @param list<PlannerHead> $planners
     * @param Keyed<list<PlannerHead>> $worksheets
     * @param list<Tool> $tools
     * @param list<MeterName> $meters
     * @param list<LeadOn> $leadsOn
     * @param list<CannotShown> $cannot newest last
     * @param string $pulse another one when somebody has changed the job
     */
    public function __construct(
        public JobHead $job,
        public Strip $strip,
        public array $readings,
        public array $replacements,
        public DiagnosisShown $diagnosis,
        public array $series,
        public DrawnSheet $sheet,
        public ?string $chosen,
        public bool $open,
        public array $planners,
        public Keyed $worksheets,
        public array $tools,
        public bool $stepping,
        public ?string $whatIf,
        public array $meters,
        public float $leads,
        public array $leadsOn,
        public array $cannot,
        public string $pulse,
        public ?PracticeShown $practice,
    ) {}
}
