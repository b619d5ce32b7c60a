<?php

declare(strict_types=1);

namespace Ispira\Core\Diagnosis\Presentation\Shown;

/**
 * What has to be looked at before a new part goes in.
 */
final readonly class CauseShown
{
    public function __construct(public string $test, public string $title, public string $question) {}
}
