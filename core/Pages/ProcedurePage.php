<?php

declare(strict_types=1);

namespace Ispira\Core\Pages;

use Ispira\Core\Job\Shown\JobHead;
use Ispira\Core\Kernel\Page;
use Ispira\Core\Procedure\Procedure;

final readonly class ProcedurePage extends Page
{
    public function __construct(
        public Procedure $procedure,
        public bool $asksForCapacitor,
        public bool $own,
        public bool $shipped,
        public bool $lead,
        public ?JobHead $job,
    ) {}
}
