<?php

declare(strict_types=1);

namespace App\Captures;

use App\Http\Page;
use Ispira\Core\Job\Shown\JobHead;
use Ispira\Core\Kernel\Named;

final readonly class CapturesPage extends Page
{
    /**
     * @param list<Named> $positions
     * @param list<CaptureShown> $captures
     */
    public function __construct(
        public JobHead $job,
        public bool $open,
        public array $positions,
        public array $captures,
        public StepsShown $steps,
        public string $wanted,
    ) {}
}
