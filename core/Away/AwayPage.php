<?php

declare(strict_types=1);

namespace Ispira\Core\Away;

use Ispira\Core\Job\Shown\JobHead;
use Ispira\Core\Kernel\Page;

/**
 * Stands for a page that is only made with the server in reach.
 */
final readonly class AwayPage extends Page
{
    /** @param JobHead|null $job one that was taken along, and can go on */
    public function __construct(public ?JobHead $job, public string $why) {}
}
