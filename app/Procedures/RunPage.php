<?php

declare(strict_types=1);

namespace App\Procedures;

use App\Http\Page;
use Ispira\Core\Job\Shown\JobHead;

final readonly class RunPage extends Page
{
    public function __construct(public RunShown $run, public ?JobHead $job) {}
}
