<?php

declare(strict_types=1);

namespace Ispira\Core\Pages;

use Ispira\Core\Device\Shown\FieldShown;
use Ispira\Core\Job\Shown\JobHead;
use Ispira\Core\Kernel\Keyed;
use Ispira\Core\Kernel\Page;
use Ispira\Core\Kernel\Titled;
use Ispira\Core\Pages\Shown\KeptPlan;
use Ispira\Core\Pages\Shown\PlannerHead;
use Ispira\Core\Pages\Shown\PlanShown;

final readonly class PlannerPage extends Page
{
    /**
     * @param list<FieldShown> $fields
     * @param Keyed<mixed> $values
     * @param Keyed<string> $problems
     * @param list<string> $cautions
     * @param bool $example whether what stands in the fields is an example's
     * @param list<KeptPlan> $kept
     * @param list<list<Titled>> $tests
     */
    public function __construct(
        public PlannerHead $planner,
        public array $fields,
        public Keyed $values,
        public Keyed $problems,
        public ?PlanShown $plan,
        public array $cautions,
        public bool $example,
        public ?JobHead $job,
        public bool $open,
        public array $kept,
        public string $wanted,
        public array $tests,
    ) {}
}
