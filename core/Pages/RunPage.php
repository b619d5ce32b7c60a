<?php

declare(strict_types=1);

namespace Ispira\Core\Pages;

use Ispira\Core\Job\Shown\JobHead;
use Ispira\Core\Kernel\Page;
use Ispira\Core\Pages\Shown\RunShown;

final readonly class RunPage extends Page
{
    public function __construct(public RunShown $run, public ?JobHead $job) {}
}
