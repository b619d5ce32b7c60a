<?php

declare(strict_types=1);

namespace App\Log;

use App\Http\Page;
use Ispira\Core\Job\Shown\JobHead;

final readonly class LogPage extends Page
{
    /**
     * @param list<LoggedReading> $readings
     * @param list<PhotoShown> $photos
     */
    public function __construct(public JobHead $job, public bool $open, public array $readings, public array $photos) {}
}
