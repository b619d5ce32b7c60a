<?php

declare(strict_types=1);

namespace App\Learning;

use App\Http\Page;
use Ispira\Core\Job\Shown\JobHead;
use Ispira\Core\Learning\Shown\ReplayShown;

/** A job whose verdict did not hold, gone through once more. */
final readonly class ReplayPage extends Page
{
    /**
     * @param list<ReplayShown> $replays one for each part that was replaced in vain
     * @param string|null $lesson that was noted
     * @param string|null $lessonOf id of the replacement that it is about
     */
    public function __construct(
        public JobHead $job,
        public array $replays,
        public ?string $lesson,
        public ?string $lessonOf,
    ) {}
}
