<?php

declare(strict_types=1);

namespace App\Jobs;

/**
 * How many jobs a list would show.
 */
final readonly class ListNumber
{
    /**
     * @param bool $more whether there are more than were counted
     */
    public function __construct(public ListView $view, public string $title, public int $count, public bool $more) {}
}
