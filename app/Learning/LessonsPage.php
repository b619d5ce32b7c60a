<?php

declare(strict_types=1);

namespace App\Learning;

use App\Http\Page;

/** Verdicts that did not hold, and what was noted for next time. */
final readonly class LessonsPage extends Page
{
    /**
     * @param list<VainShown> $vain the newest first
     * @param bool $more whether there are older ones
     */
    public function __construct(public array $vain, public bool $more) {}
}
