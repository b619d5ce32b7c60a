<?php

declare(strict_types=1);

namespace Ispira\Core\Diagnosis\Presentation\Shown;

/**
 * A test that needs a tool which is not at hand.
 */
final readonly class BeyondShown
{
    /**
     * @param list<string> $tools
     */
    public function __construct(public string $key, public string $title, public array $tools) {}
}
