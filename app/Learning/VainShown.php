<?php

declare(strict_types=1);

namespace App\Learning;

use App\Jobs\JobListed;

/**
 * A job with a verdict that did not hold.
 */
final readonly class VainShown
{
    public function __construct(public JobListed $listed, public ?string $lesson) {}
}
