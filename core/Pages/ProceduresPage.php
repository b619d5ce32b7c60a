<?php

declare(strict_types=1);

namespace Ispira\Core\Pages;

use Ispira\Core\Job\Shown\JobHead;
use Ispira\Core\Kernel\Page;
use Ispira\Core\Pages\Shown\ProcedureHead;
use Ispira\Core\Pages\Shown\RunListed;

final readonly class ProceduresPage extends Page
{
    /**
     * @param list<ProcedureHead> $procedures
     * @param list<RunListed> $running
     */
    public function __construct(
        public array $procedures,
        public array $running,
        public ?JobHead $job,
        public bool $lead,
    ) {}
}
